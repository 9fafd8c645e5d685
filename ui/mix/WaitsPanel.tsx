'use client';
import { Stack, Typography } from '@mui/material';
import { withWait } from '@/core/flow';
import type { WaitCost } from '@/core/stations/mix/waitTradeOffs';
import { TimeField, Say, Soft } from '../kit';
import type { StationProps } from '../plan/StationProps';
import { useWaitCosts } from '../lines/useWaitCosts';

const NAMES: Partial<Readonly<Record<WaitCost['op'], string>>> = { rest: 'The batter rests', ferment: 'It ferments' };

/** Waits that belong to the batter as a whole, with what cutting them short costs. */
export function WaitsPanel({ plan, forecast, edit }: StationProps) {
  const waits = useWaitCosts(forecast.light);
  const own = waits.filter((w) => NAMES[w.op]);
  if (own.length === 0) return <Soft>No wait of the batter as a whole.</Soft>;
  const set = (node: string, timeS: number | undefined) =>
    edit(`wait.${node}`, (p) => withWait(p, node, timeS, forecast.light.resolved.larder));
  return (
    <Stack spacing={1} component="section" aria-label="Waits">
      {own.map((w) => (
        <Stack key={w.node} direction="row" spacing={1.5} sx={{ alignItems: 'flex-start' }}>
          <TimeField
            label={NAMES[w.op] ?? ''}
            timeS={w.waitS}
            width={150}
            helper={plan.waits[w.node] === undefined ? 'the usual' : undefined}
            onTake={(timeS) => set(w.node, timeS)}
            onClear={() => set(w.node, undefined)}
          />
          {w.waitS < w.shortestS - 30 ? (
            <Say tone="watch">{w.sentence}</Say>
          ) : (
            <Typography variant="body2" color="text.secondary">
              {w.sentence}
            </Typography>
          )}
        </Stack>
      ))}
    </Stack>
  );
}
