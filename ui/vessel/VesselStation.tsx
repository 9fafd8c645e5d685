'use client';
import { Stack, Typography } from '@mui/material';
import { sayMm } from '@/core/units';
import { DEFAULT_STEAMER, DEFAULT_VESSEL } from '@/core/kitchen';
import { schoolOf } from '@/core/families';
import { releaseAdvice, WALLS } from '@/core/vessel';
import { Choice, Fact, NumberField, Say } from '../kit';
import { PanChoices } from './PanChoices';
import { TiltNote } from './TiltNote';
import type { StationProps } from '../plan/StationProps';

/** Vessel: which pan, how many, how deep, and whether they go into the steamer. */
export function VesselStation(props: StationProps) {
  const { plan, forecast, kitchen, edit } = props;
  const { fill, resolved, family } = forecast.light;
  const vessels = [
    ...(kitchen.vessels.length > 0 ? kitchen.vessels : [DEFAULT_VESSEL]),
    ...(typeof plan.vessel === 'object' ? [plan.vessel] : []),
  ];
  const steamers = [
    ...(kitchen.steamers.length > 0 ? kitchen.steamers : [DEFAULT_STEAMER]),
    ...(typeof plan.steamer === 'object' ? [plan.steamer] : []),
  ];
  return (
    <Stack spacing={2}>
      <Stack direction="row" spacing={1.5} useFlexGap sx={{ flexWrap: 'wrap' }}>
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
        <NumberField
          label="How many"
          value={plan.vesselCount}
          min={1}
          max={60}
          whole
          width={100}
          decimals={0}
          onChange={(vesselCount) => edit('vesselCount', (p) => ({ ...p, vesselCount }))}
        />
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
      </Stack>
      <Stack direction="row" spacing={3} useFlexGap sx={{ flexWrap: 'wrap' }}>
        <Fact name="Depth" note={`usual ${family.depthMm[0]} to ${family.depthMm[1]} mm`}>
          {sayMm(fill.depthM)}
        </Fact>
        <Fact name="Each pan holds" note={`brimful ${Math.round(fill.brimMl)} ml`}>
          {Math.round(fill.volumeEachMl)} ml
        </Fact>
        <Fact name="Room to rise">{sayMm(Math.max(0, fill.headroomM))}</Fact>
        <Fact name="Steamer loads" note={`${fill.perLoad} ${fill.perLoad === 1 ? 'pan' : 'pans'} at a time`}>
          {fill.loads}
        </Fact>
      </Stack>
      {fill.problems.map((p) => (
        <Say key={p.code} tone="stop">
          {p.sentence}
        </Say>
      ))}
      {fill.advice.map((a) => (
        <Say key={a} tone="watch">
          {a}
        </Say>
      ))}
      {fill.problems.length + fill.advice.length === 0 ? <Say tone="ready">It fits, at a usual depth.</Say> : null}
      <Typography variant="body2" color="text.secondary">
        {WALLS[resolved.vessel.material].words[0].toUpperCase() + WALLS[resolved.vessel.material].words.slice(1)} wall,{' '}
        {sayMm(WALLS[resolved.vessel.material].thicknessM)}.{' '}
        {releaseAdvice(
          resolved.vessel.material,
          forecast.light.texture.sticky,
          plan.paper || schoolOf(family, plan.schools, 'lining') === 'paper',
        )}
      </Typography>
      {fill.depthM < 0.012 ? <TiltNote {...props} /> : null}
      <PanChoices {...props} />
    </Stack>
  );
}
