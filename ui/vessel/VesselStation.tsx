'use client';
import { sayMm, there } from '@/core/units';
import { wayOf } from '@/core/families';
import { filmVessel } from '@/core/desk/newPlan';
import { releaseAdvice, WALLS } from '@/core/model/vessel';
import { Choice, Column, Facts, More, NumberField, SaidLine, Say, Soft, Told } from '../kit';
import { Method } from '../method/Method';
import { onRing, pansFor, ringId, ringsFor, steamersFor, vesselsFor } from '../plan/gear';
import { WhyFact } from '../method/WhyFact';
import type { StationProps } from '../plan/StationProps';
import { grounded } from '../kit/grounded';
import { loadsIn } from '@/core/stations/steam/cooking';

const AlsoVessels = grounded(() => import('./AlsoVessels').then((m) => m.AlsoVessels));
const FillPanel = grounded(() => import('./FillPanel').then((m) => m.FillPanel));
const GearStandIns = grounded(() => import('./GearStandIns').then((m) => m.GearStandIns));
const LiningPanel = grounded(() => import('./LiningPanel').then((m) => m.LiningPanel));
const PanChoices = grounded(() => import('./PanChoices').then((m) => m.PanChoices));
const SheetPanel = grounded(() => import('./SheetPanel').then((m) => m.SheetPanel));
const TiltNote = grounded(() => import('./TiltNote').then((m) => m.TiltNote));

/** Advice that is told here. */
const ABOUT_VESSEL: readonly string[] = ['depth', 'layer-depth', 'rises-over', 'steam-gap', 'alkali-vessel'];

/** Vessel: which pan, how many, how deep, and whether they go into the steamer. */
export function VesselStation(props: StationProps) {
  const { plan, forecast, kitchen, edit } = props;
  const { fill, resolved, family } = forecast.light;
  // What goes in by turns is told as its steaming was worked out.
  const loads = loadsIn(forecast.heat);
  const steamed = wayOf(family).overSteam;
  const { into } = wayOf(family);
  const film = into === 'film';
  const repeated = into !== 'pan';
  const rings = ringsFor(kitchen).map(({ id, hob, ring }) => ({
    value: id,
    words: ring.name,
    hint: `${hob.name}, ${ring.kind}${ring.marks[plan.heat] === undefined ? '' : `: ${plan.heat} is ${ring.marks[plan.heat]}`}`,
  }));
  const { paper } = resolved.plan;
  return (
    <Column>
      <SaidLine>
        {film ? (
          <>
            In{' '}
            <Choice
              as="said"
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
            <NumberField
              as="said"
              label="How many"
              value={plan.vesselCount}
              min={1}
              max={200}
              whole
              decimals={0}
              onChange={(vesselCount) => edit('vesselCount', (p) => ({ ...p, vesselCount }))}
            />{' '}
            of{' '}
            <Choice
              as="said"
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
            <Choice
              as="said"
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
            <Choice
              as="said"
              label="Ring"
              value={ringId(resolved.hob, resolved.ring)}
              options={rings}
              onChange={(id) => edit('ring', (p) => onRing(p, id))}
            />
          </>
        ) : null}
        .
      </SaidLine>
      <div>
        <Method {...props} station="vessel" />
      </div>
      <Facts>
        <WhyFact
          forecast={forecast}
          path="fill.depthM"
          name="Depth"
          note={`usual ${family.depthMm[0]} to ${family.depthMm[1]} mm`}
          source={fill.measured ? 'measured' : undefined}
        >
          <Told>{sayMm(fill.depthM)}</Told>
        </WhyFact>
        <WhyFact
          forecast={forecast}
          path="fill.volumeEachMl"
          name="Each pan holds"
          note={`brimful ${Math.round(fill.brimMl)} ml`}
        >
          {Math.round(fill.volumeEachMl)} ml
        </WhyFact>
        <WhyFact forecast={forecast} path="fill.headroomM" name="Room to rise">
          <Told>{sayMm(Math.max(0, fill.headroomM))}</Told>
        </WhyFact>
        {loads ? (
          <WhyFact
            forecast={forecast}
            path="heat.loads.loads"
            name="Turns"
            note={loads.together > 1 ? `up to ${loads.together} at a time` : 'one at a time'}
          >
            {loads.loads}
          </WhyFact>
        ) : repeated ? null : (
          <WhyFact
            forecast={forecast}
            path="fill.loads"
            name="Steamer loads"
            note={`${fill.perLoad} ${fill.perLoad === 1 ? 'pan' : 'pans'} at a time`}
          >
            {fill.loads}
          </WhyFact>
        )}
      </Facts>
      {fill.problems.length === 0 && !forecast.light.advice.some((a) => ABOUT_VESSEL.includes(a.id)) ? (
        <Say tone="ready">It fits, at a usual depth.</Say>
      ) : null}
      <Soft>
        {there(WALLS[resolved.vessel.material].words[0]).toUpperCase() + WALLS[resolved.vessel.material].words.slice(1)}{' '}
        wall, <Told>{sayMm(WALLS[resolved.vessel.material].thicknessM)}</Told>.{' '}
        {releaseAdvice(resolved.vessel.material, forecast.light.texture.sticky, paper)}
      </Soft>
      {fill.depthM < 0.012 ? <TiltNote {...props} /> : null}
      <More
        label="More about the vessel"
        of={[
          { name: 'Pans of the rack', draw: () => <PanChoices {...props} /> },
          ...(repeated ? [{ name: 'Fill', draw: () => <FillPanel {...props} /> }] : []),
          ...(repeated ? [{ name: 'Will it hold', draw: () => <SheetPanel {...props} /> }] : []),
          ...(film ? [] : [{ name: 'Further vessels', draw: () => <AlsoVessels {...props} /> }]),
          ...(paper ? [{ name: 'Paper for it', draw: () => <LiningPanel {...props} /> }] : []),
          { name: 'No such pan?', draw: () => <GearStandIns {...props} /> },
        ]}
      />
    </Column>
  );
}
