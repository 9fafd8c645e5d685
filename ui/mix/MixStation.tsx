'use client';
import { Box, Stack, Typography } from '@mui/material';
import { sayDuration, sayGrams } from '@/core/units';
import { Fact, NumberField, Say } from '../kit';
import type { StationProps } from '../plan/StationProps';
import { changeBatter } from './editLines';
import { LineTable } from './LineTable';

/** Mix: what goes in, how it pours, how it will eat. */
export function MixStation({ plan, forecast, edit }: StationProps) {
  const { light } = forecast;
  const b = light.balance.batters[0];
  const c = light.consistency[0];
  return (
    <Stack spacing={2}>
      <Stack direction="row" spacing={2.5} useFlexGap sx={{ flexWrap: 'wrap' }}>
        <Fact name="Hydration" note="water ÷ dry">{b.hydration.toFixed(2)}</Fact>
        <Fact name="Liquid : dry">{b.liquidToDry.toFixed(2)}</Fact>
        <Fact name="Pours like" note={c.viscosityMPas === undefined ? undefined : `${c.viscosityMPas < 10 ? c.viscosityMPas.toFixed(1) : Math.round(c.viscosityMPas)} mPa·s`}>{c.words}</Fact>
        <Fact name="Stir each" note="it settles">{Number.isFinite(c.stirEveryS) ? sayDuration(c.stirEveryS) : 'never'}</Fact>
        <Fact name="Salt" note={`${light.balance.salt.leftG.toFixed(1)} g left in`}>{light.balance.salt.pctOfTotal.toFixed(2)} %</Fact>
        <Fact name="In all">{sayGrams(light.balance.massG)}</Fact>
      </Stack>
      <Stack spacing={1.5}>
          {plan.batters.map((batter, i) => (
            <Box key={batter.id}>
              <LineTable title={batter.name} place={i} lines={batter.lines} larder={light.resolved.larder} dryBlendG={light.balance.batters[i].dryBlendG} edit={edit} />
              {batter.wantedLiquidG !== undefined ? (
                <Stack direction="row" spacing={2} sx={{ mt: 1, alignItems: 'flex-start' }}>
                  <NumberField label="Liquid wanted" value={batter.wantedLiquidG} min={0} max={50000} unit="g" width={140} onChange={(wantedLiquidG) => edit(`batter.${i}.liquid`, (p) => changeBatter(p, i, { wantedLiquidG }))} />
                  <Fact name="Top up with water"><span data-testid="top-up">{sayGrams(light.balance.batters[i].topUpG)}</span></Fact>
                </Stack>
              ) : null}
            </Box>
          ))}
        <LineTable title="Add-ins" place="addIns" lines={plan.addIns} larder={light.resolved.larder} dryBlendG={b.dryBlendG} edit={edit} />
      </Stack>
      {light.balance.problems.map((p) => <Say key={p.path + p.code} tone="stop">{p.sentence}</Say>)}
      <Typography variant="body2" color="text.secondary">Poured {light.pour.words}, at about {Math.round(light.pour.startC.value)} °C; the starch gels around {Math.round(light.midpointC)} °C.</Typography>
    </Stack>
  );
}
