'use client';
import { Box, Button, Checkbox, FormControlLabel, Paper, Slider, Stack, Typography } from '@mui/material';
import { useState } from 'react';
import { isDryBlend, type Ingredient } from '@/core/larder';
import { solverInputFor } from '@/core/flow';
import { TEXTURE_AXES, type Blend, type TextureAxis } from '@/core/model/batter';
import { bad, problem, shortName, there } from '@/core/units';
import { corePool } from '@/workers/corePool';
import { Say } from '../kit';
import type { StationProps } from '../plan/StationProps';
import { AXIS_WORDS } from '../kit/TextureBars';
import { applyBlend } from './applyBlend';

interface Answer {
  readonly best: Blend;
  readonly alternatives: readonly Blend[];
  readonly names: readonly string[];
  readonly ids: readonly string[];
  readonly tookMs: number;
}

const sayBlend = (b: Blend, names: readonly string[]) =>
  b.shares
    .flatMap((x, i) => (x > 0.005 ? [[x, `${shortName(there(names[i]))} ${Math.round(x * 100)} %`] as const] : []))
    .sort((a, c) => c[0] - a[0])
    .map(([, w]) => w)
    .join(', ');

/** Target texture, what is in the cupboard, and the blend that comes nearest, with two that differ. */
export function SolverPanel({ plan, forecast, edit }: StationProps) {
  const { light } = forecast;
  const balance = there(light.balance.batters[0]);
  const flours = [...light.resolved.larder.values()].filter(
    (i) => i.starchKind && isDryBlend(i) && !i.blendOf && i.kind !== 'grain',
  );
  const stocked = flours.some((i) => i.stockG !== undefined);
  const [ticked, setTicked] = useState<ReadonlySet<string>>(
    () =>
      new Set(
        flours
          .filter((i) => (stocked ? (i.stockG ?? 0) > 0 : true) || (balance.shares[i.id] ?? 0) > 0)
          .map((i) => i.id),
      ),
  );
  const [target, setTarget] = useState<Partial<Record<TextureAxis, number>>>({});
  const [keepBands, setKeepBands] = useState(false);
  const [answer, setAnswer] = useState<Answer | undefined>(undefined);
  const [trouble, setTrouble] = useState<string | undefined>(undefined);
  const run = async (without?: Ingredient) => {
    const chosen = flours
      .filter((i) => ticked.has(i.id) && i.id !== without?.id)
      .map((i) => (stocked ? i : { ...i, stockG: undefined }));
    const [lo, hi] = light.family.liquidToDry;
    const perLiquid = balance.liquidToDry > 0 ? balance.hydration / balance.liquidToDry : 1;
    const wish = without ? Object.fromEntries(TEXTURE_AXES.map((a) => [a, light.texture[a]])) : target;
    const input = solverInputFor(
      balance,
      chosen,
      wish,
      {},
      {
        bands: light.family.blend,
        keepBands: keepBands && !without,
        hydration: without ? [balance.hydration, balance.hydration] : [lo * perLiquid, hi * perLiquid],
      },
    );
    const from = performance.now();
    const solved = await corePool()
      .run('solve', [input], { urgent: true })
      .catch(() => bad(problem('worker', '', 'It could not be worked out on this device; try again.')));
    if (solved.ok) {
      setTrouble(undefined);
      setAnswer({
        ...solved.value,
        names: input.starches.map((s) => s.name),
        ids: input.starches.map((s) => s.id),
        tookMs: performance.now() - from,
      });
    } else {
      setTrouble(there(solved.problems[0]).sentence);
      setAnswer(undefined);
    }
  };
  const used = flours.filter((i) => (balance.shares[i.id] ?? 0) > 0);
  return (
    <Stack spacing={1.5}>
      <Typography variant="h3" component="h3">
        What should it be like?
      </Typography>
      <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' }, columnGap: 3 }}>
        {TEXTURE_AXES.map((axis) => (
          <Stack key={axis} direction="row" spacing={1} sx={{ alignItems: 'center' }}>
            <Checkbox
              size="small"
              checked={target[axis] !== undefined}
              onChange={(e) =>
                setTarget((t) => ({
                  ...t,
                  [axis]: e.target.checked ? Number(light.texture[axis].toFixed(1)) : undefined,
                }))
              }
              slotProps={{ input: { 'aria-label': `Ask for ${AXIS_WORDS[axis]}` } }}
            />
            <Typography variant="body2" sx={{ width: 100, flex: 'none', whiteSpace: 'nowrap' }}>
              {AXIS_WORDS[axis]}
            </Typography>
            <Slider
              size="small"
              min={0}
              max={10}
              step={0.1}
              disabled={target[axis] === undefined}
              value={target[axis] ?? light.texture[axis]}
              aria-label={`Wanted ${AXIS_WORDS[axis]}`}
              valueLabelDisplay="auto"
              onChange={(_, v) => setTarget((t) => ({ ...t, [axis]: v as number }))}
            />
          </Stack>
        ))}
      </Box>
      <Box component="details">
        <Typography component="summary" variant="body2" sx={{ cursor: 'pointer', py: 0.5 }}>
          In the cupboard: {ticked.size} of {flours.length} starches
        </Typography>
        <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' } }}>
          {flours.map((i) => (
            <FormControlLabel
              key={i.id}
              control={
                <Checkbox
                  size="small"
                  checked={ticked.has(i.id)}
                  onChange={(e) =>
                    setTicked((t) => {
                      const n = new Set(t);
                      if (e.target.checked) n.add(i.id);
                      else n.delete(i.id);
                      return n;
                    })
                  }
                />
              }
              label={`${i.name}${i.stockG === undefined ? '' : `, ${i.stockG} g`}`}
            />
          ))}
        </Box>
      </Box>
      <FormControlLabel
        control={<Checkbox size="small" checked={keepBands} onChange={(e) => setKeepBands(e.target.checked)} />}
        label="Stay within this family's shares"
      />
      <Stack direction="row" spacing={1} useFlexGap sx={{ flexWrap: 'wrap' }}>
        <Button variant="contained" onClick={() => void run()}>
          Find the blend
        </Button>
        {used.map((i) => (
          <Button key={i.id} variant="outlined" onClick={() => void run(i)}>
            Without {shortName(i.name).toLowerCase()}
          </Button>
        ))}
      </Stack>
      {trouble ? (
        <Say tone="watch" role="status">
          {trouble}
        </Say>
      ) : null}
      {answer ? (
        <Stack spacing={1} role="status" aria-label="Blends found">
          {[answer.best, ...answer.alternatives].map((b, i) => (
            <Paper key={i} sx={{ p: 1, display: 'flex', gap: 1, alignItems: 'center' }}>
              <Box sx={{ flex: 1 }}>
                <Typography sx={{ fontWeight: 600 }}>{sayBlend(b, answer.names)}</Typography>
                <Typography variant="body2" color="text.secondary">
                  Hydration {b.hydration.toFixed(2)}. {i === 0 ? 'Off by' : 'Gives'}: {b.givesUp}.
                </Typography>
              </Box>
              <Button
                onClick={() =>
                  edit(`solve.${i}.${answer.tookMs}`, (p) =>
                    applyBlend(p, balance, answer.ids, b, forecast.light.resolved.larder),
                  )
                }
              >
                Use it
              </Button>
            </Paper>
          ))}
        </Stack>
      ) : null}
      <Typography variant="caption" color="text.secondary">
        Texture is the house model&apos;s estimate; your tastings correct it.{' '}
        {plan.batters.length > 1 ? 'This works on the first batter.' : ''}
      </Typography>
    </Stack>
  );
}
