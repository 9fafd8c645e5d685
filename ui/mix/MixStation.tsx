'use client';
import { Box, Stack, ToggleButton, ToggleButtonGroup, Typography } from '@mui/material';
import { useState } from 'react';
import { isDryBlend } from '@/core/larder';
import { sayC, sayDuration, sayGrams } from '@/core/units';
import { Fact, Say, Told } from '../kit';
import type { StationProps } from '../plan/StationProps';
import { BlendField } from './BlendField';
import { MEASURES, MEASURE_WORDS, useMeasure } from './measure';
import { MixHeat } from './MixHeat';
import { PourScale } from './PourScale';
import { SaucesPanel } from './SaucesPanel';
import { ScalePanel } from './ScalePanel';
import { ShoppingPanel } from './ShoppingPanel';
import { SolverPanel } from './SolverPanel';
import { ThicknessCheck } from './ThicknessCheck';
import { WaterLedger } from './WaterLedger';
import { WeighPanel } from './WeighPanel';

const VIEWS = [
  ['weigh', 'Weigh'],
  ['blend', 'Blend'],
  ['water', 'Water'],
  ['scale', 'Scale'],
  ['sauces', 'Sauces'],
  ['buy', 'Buy'],
] as const;
type View = (typeof VIEWS)[number][0];

/** The three starches the field starts with: the plan's own, filled up with ones of the family. */
function firstThree({ forecast }: StationProps): string[] {
  const { light } = forecast;
  const own = Object.entries(light.balance.batters[0].shares)
    .sort((a, b) => b[1] - a[1])
    .map(([id]) => id);
  const more = [...Object.keys(light.family.blend), 'rice-flour-fine', 'tapioca', 'maize-starch'];
  return [...new Set([...own, ...more])]
    .filter((id) => {
      const i = light.resolved.larder.get(id);
      return i !== undefined && isDryBlend(i);
    })
    .slice(0, 3);
}

/** Mix: what goes in, how it pours, how it will eat. */
export function MixStation(props: StationProps) {
  const { light } = props.forecast;
  const [view, setView] = useState<View>('weigh');
  const [three, setThree] = useState(() => firstThree(props));
  const [measure, setMeasure] = useMeasure();
  const b = light.balance.batters[0];
  const c = light.consistency[0];
  return (
    <Stack spacing={1.75}>
      <Stack direction="row" spacing={2.5} useFlexGap sx={{ flexWrap: 'wrap' }}>
        <Fact name="Hydration" note="water ÷ dry">
          {b.hydration.toFixed(2)}
        </Fact>
        <Fact name="Liquid : dry">{b.liquidToDry.toFixed(2)}</Fact>
        <Fact
          name="Pours like"
          note={
            c.viscosityMPas === undefined
              ? undefined
              : `${c.viscosityMPas < 10 ? c.viscosityMPas.toFixed(1) : Math.round(c.viscosityMPas)} mPa·s`
          }
        >
          {c.words}
        </Fact>
        <Fact name="Stir each" note="it settles">
          {Number.isFinite(c.stirEveryS) ? sayDuration(c.stirEveryS) : 'never'}
        </Fact>
        <Fact name="Salt" note={`${light.balance.salt.leftG.toFixed(1)} g left in`}>
          {light.balance.salt.pctOfTotal.toFixed(2)} %
        </Fact>
        <Fact name="In all">{sayGrams(light.balance.massG)}</Fact>
      </Stack>
      <Stack direction="row" spacing={1} useFlexGap sx={{ flexWrap: 'wrap', justifyContent: 'space-between' }}>
        <ToggleButtonGroup
          exclusive
          size="small"
          value={view}
          onChange={(_, v: View | null) => {
            if (v) setView(v);
          }}
          aria-label="Part of the mix"
        >
          {VIEWS.map(([v, words]) => (
            <ToggleButton key={v} value={v} sx={{ textTransform: 'none', py: 0.5, px: { xs: 0.9, sm: 1.5 } }}>
              {words}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
        {view === 'weigh' ? (
          <ToggleButtonGroup
            exclusive
            size="small"
            value={measure}
            onChange={(_, v: (typeof MEASURES)[number] | null) => {
              if (v) setMeasure(v);
            }}
            aria-label="Measure in"
          >
            {MEASURES.map((m) => (
              <ToggleButton key={m} value={m} sx={{ textTransform: 'none', py: 0.5 }}>
                {MEASURE_WORDS[m]}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
        ) : null}
      </Stack>
      {view === 'weigh' ? <WeighPanel {...props} /> : null}
      {view === 'blend' ? (
        <>
          {three.length === 3 ? (
            <BlendField
              {...props}
              three={three.flatMap((id) => {
                const i = light.resolved.larder.get(id);
                return i ? [i] : [];
              })}
              onThree={(k, id) => setThree((t) => t.map((x, q) => (q === k ? id : x)))}
            />
          ) : null}
          <SolverPanel {...props} />
        </>
      ) : null}
      {view === 'water' ? (
        <>
          <WaterLedger {...props} />
          <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', lg: '3fr 2fr' }, gap: 2 }}>
            <PourScale {...props} />
            <ThicknessCheck {...props} />
          </Box>
          <MixHeat {...props} />
        </>
      ) : null}
      {view === 'scale' ? <ScalePanel {...props} /> : null}
      {view === 'sauces' ? <SaucesPanel {...props} /> : null}
      {view === 'buy' ? <ShoppingPanel {...props} /> : null}
      {light.balance.problems.map((p) => (
        <Say key={p.path + p.code} tone="stop">
          {p.sentence}
        </Say>
      ))}
      <Typography variant="body2" color="text.secondary">
        <Told>
          {`Poured ${light.pour.words}, at about ${sayC(light.pour.startC.value)}; the starch gels around ${sayC(light.gelling.midpointC)}.`}
        </Told>
      </Typography>
    </Stack>
  );
}
