'use client';
import { Stack, Typography } from '@mui/material';
import { sayMm } from '@/core/units';
import { DEFAULT_PAN, DEFAULT_STEAMER, DEFAULT_VESSEL } from '@/core/kitchen';
import { isSteamed, schoolOf } from '@/core/families';
import { filmVessel } from '@/core/start';
import { releaseAdvice, WALLS } from '@/core/vessel';
import { Choice, Fact, NumberField, Say, Told } from '../kit';
import { AlsoVessels } from './AlsoVessels';
import { FillPanel } from './FillPanel';
import { GearStandIns } from './GearStandIns';
import { LiningPanel } from './LiningPanel';
import { PanChoices } from './PanChoices';
import { SheetPanel } from './SheetPanel';
import { AdviceList } from '../plan/AdviceList';
import { TiltNote } from './TiltNote';
import type { StationProps } from '../plan/StationProps';

/** Advice that is told here. */
const ABOUT_VESSEL: readonly string[] = ['depth', 'layer-depth', 'rises-over', 'steam-gap', 'alkali-vessel'];

/** Vessel: which pan, how many, how deep, and whether they go into the steamer. */
export function VesselStation(props: StationProps) {
  const { plan, forecast, kitchen, edit } = props;
  const { fill, resolved, family } = forecast.light;
  const vessels = [
    ...(kitchen.vessels.length > 0 ? kitchen.vessels : [DEFAULT_VESSEL]),
    ...(typeof plan.vessel === 'object' ? [plan.vessel] : []),
  ];
  const steamed = isSteamed(family);
  const film = family.cooked === 'pan-film';
  const repeated = film || family.cooked === 'cups' || family.cooked === 'sheets';
  const rings = kitchen.hobs.flatMap((h) =>
    h.rings.map((r) => ({
      value: `${h.id}/${r.id}`,
      words: r.name,
      hint: `${h.name}, ${r.kind}${r.marks[plan.heat] === undefined ? '' : `: ${plan.heat} is ${r.marks[plan.heat]}`}`,
    })),
  );
  const steamers = [
    ...(kitchen.steamers.length > 0 ? kitchen.steamers : [DEFAULT_STEAMER]),
    ...(typeof plan.steamer === 'object' ? [plan.steamer] : []),
  ];
  return (
    <Stack spacing={2}>
      <Stack direction="row" spacing={1.5} useFlexGap sx={{ flexWrap: 'wrap' }}>
        {film ? (
          <Choice
            label="Frying pan"
            value={resolved.fryingPan.id}
            width={260}
            options={(kitchen.fryingPans.length > 0 ? kitchen.fryingPans : [DEFAULT_PAN]).map((p) => ({
              value: p.id,
              words: p.name,
              hint: `${p.coating}, ${p.lid ? 'with a lid' : 'no lid'}`,
            }))}
            onChange={(id) => {
              const pan = kitchen.fryingPans.find((p) => p.id === id);
              if (pan) edit('filmPan', (p) => ({ ...p, fryingPan: pan.id, vessel: filmVessel(pan) }));
            }}
          />
        ) : (
          <Choice
            label="Pan"
            value={resolved.vessel.id}
            width={260}
            options={vessels.map((v) => ({
              value: v.id,
              words: v.name,
              hint: `${WALLS[v.material].words}, ${sayMm(v.heightM)} high, ${v.count} on the rack`,
            }))}
            onChange={(id) => edit('vessel', (p) => ({ ...p, vessel: id }))}
          />
        )}
        {repeated ? null : (
          <NumberField
            label="How many"
            value={plan.vesselCount}
            min={1}
            max={200}
            whole
            width={100}
            decimals={0}
            onChange={(vesselCount) => edit('vesselCount', (p) => ({ ...p, vesselCount }))}
          />
        )}
        {steamed ? (
          <Choice
            label="Steamer"
            value={resolved.steamer.id}
            width={230}
            options={steamers.map((s) => ({
              value: s.id,
              words: s.name,
              hint: `${sayMm(s.innerDiameterM)} inside, ${s.tiers} ${s.tiers === 1 ? 'tier' : 'tiers'}`,
            }))}
            onChange={(id) => edit('steamer', (p) => ({ ...p, steamer: id }))}
          />
        ) : null}
        {rings.length > 1 ? (
          <Choice
            label="Ring"
            value={`${resolved.hob.id}/${resolved.ring.id}`}
            width={200}
            options={rings}
            onChange={(place) => {
              const [hob, ring] = place.split('/');
              edit('ring', (p) => ({ ...p, hob, ring }));
            }}
          />
        ) : null}
      </Stack>
      <Stack direction="row" spacing={3} useFlexGap sx={{ flexWrap: 'wrap' }}>
        <Fact name="Depth" note={`usual ${family.depthMm[0]} to ${family.depthMm[1]} mm`}>
          <Told>{sayMm(fill.depthM)}</Told>
        </Fact>
        <Fact name="Each pan holds" note={`brimful ${Math.round(fill.brimMl)} ml`}>
          {Math.round(fill.volumeEachMl)} ml
        </Fact>
        <Fact name="Room to rise">
          <Told>{sayMm(Math.max(0, fill.headroomM))}</Told>
        </Fact>
        <Fact name="Steamer loads" note={`${fill.perLoad} ${fill.perLoad === 1 ? 'pan' : 'pans'} at a time`}>
          {fill.loads}
        </Fact>
      </Stack>
      {fill.problems.map((p) => (
        <Say key={p.code} tone="stop">
          {p.sentence}
        </Say>
      ))}
      <AdviceList {...props} about={ABOUT_VESSEL} />
      {fill.problems.length === 0 && !forecast.light.advice.some((a) => ABOUT_VESSEL.includes(a.id)) ? (
        <Say tone="ready">It fits, at a usual depth.</Say>
      ) : null}
      <Typography variant="body2" color="text.secondary">
        {WALLS[resolved.vessel.material].words[0].toUpperCase() + WALLS[resolved.vessel.material].words.slice(1)} wall,{' '}
        <Told>{sayMm(WALLS[resolved.vessel.material].thicknessM)}</Told>.{' '}
        {releaseAdvice(
          resolved.vessel.material,
          forecast.light.texture.sticky,
          plan.paper || schoolOf(family, plan.schools, 'lining') === 'paper',
        )}
      </Typography>
      {fill.depthM < 0.012 ? <TiltNote {...props} /> : null}
      {repeated ? <FillPanel {...props} /> : null}
      <SheetPanel {...props} />
      {film ? null : <AlsoVessels {...props} />}
      {plan.paper || schoolOf(family, plan.schools, 'lining') === 'paper' ? <LiningPanel {...props} /> : null}
      <PanChoices {...props} />
      <GearStandIns {...props} />
    </Stack>
  );
}
