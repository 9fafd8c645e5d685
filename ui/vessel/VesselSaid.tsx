import { sayMm } from '@/core/units';
import { wayOf } from '@/core/families';
import { filmVessel } from '@/core/desk/newPlan';
import { WALLS } from '@/core/model/vessel';
import { SaidChoice, SaidLine, SaidNumber } from '../kit';
import { onRing, pansFor, ringId, ringsFor, steamersFor, vesselsFor } from '../plan/gear';
import type { StationProps } from '../plan/StationProps';

/** In how many of which pan, in which steamer, on which ring: a sentence in which each is chosen. */
export function VesselSaid({ plan, forecast, kitchen, edit }: StationProps) {
  const { resolved, family } = forecast.light;
  const { overSteam: steamed, into } = wayOf(family);
  const film = into === 'film';
  const rings = ringsFor(kitchen).map(({ id, hob, ring }) => ({
    value: id,
    words: ring.name,
    hint: `${hob.name}, ${ring.kind}${ring.marks[plan.heat] === undefined ? '' : `: ${plan.heat} is ${ring.marks[plan.heat]}`}`,
  }));
  return (
    <SaidLine>
      {film ? (
        <>
          In{' '}
          <SaidChoice
            label="Frying pan"
            value={resolved.fryingPan.id}
            options={pansFor(kitchen, plan).map((p) => ({
              value: p.id,
              words: p.name,
              hint: `${p.coating}, ${p.lid ? 'with a lid' : 'no lid'}`,
            }))}
            onChange={(id) => {
              const pan = kitchen.fryingPans.find((p) => p.id === id);
              if (pan) edit('filmPan', (p) => ({ ...p, fryingPan: pan.id, vessel: filmVessel(pan) }));
            }}
          />
        </>
      ) : (
        <>
          In{' '}
          <SaidNumber
            label="How many"
            value={plan.vesselCount}
            min={1}
            max={200}
            whole
            onChange={(vesselCount) => edit('vesselCount', (p) => ({ ...p, vesselCount }))}
          />{' '}
          of{' '}
          <SaidChoice
            label="Pan"
            value={resolved.vessel.id}
            options={vesselsFor(kitchen, plan).map((v) => ({
              value: v.id,
              words: v.name,
              hint: `${WALLS[v.material].words}, ${sayMm(v.heightM)} high, ${v.count} on the rack`,
            }))}
            onChange={(id) => edit('vessel', (p) => ({ ...p, vessel: id }))}
          />
        </>
      )}
      {steamed ? (
        <>
          , steamed in{' '}
          <SaidChoice
            label="Steamer"
            value={resolved.steamer.id}
            options={steamersFor(kitchen, plan).map((s) => ({
              value: s.id,
              words: s.name,
              hint: `${sayMm(s.innerDiameterM)} inside, ${s.tiers} ${s.tiers === 1 ? 'tier' : 'tiers'}`,
            }))}
            onChange={(id) => edit('steamer', (p) => ({ ...p, steamer: id }))}
          />
        </>
      ) : null}
      {rings.length > 1 ? (
        <>
          {' '}
          on{' '}
          <SaidChoice
            label="Ring"
            value={ringId(resolved.hob, resolved.ring)}
            options={rings}
            onChange={(id) => edit('ring', (p) => onRing(p, id))}
          />
        </>
      ) : null}
      .
    </SaidLine>
  );
}
