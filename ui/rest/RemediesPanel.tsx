'use client';
import { Box, Button, Paper, Stack, Typography } from '@mui/material';
import { useState } from 'react';
import type { Plan } from '@/core/plan';
import type { Remedy } from '@/core/remedies';
import { sayDuration } from '@/core/units';
import { Say } from '../kit';
import { remediesInWorker } from '@/workers/remediesInWorker';
import type { StationProps } from '../plan/StationProps';

/** When the cooling misses a gate: remedies, each computed with its own curve, adopted by one press. */
export function RemediesPanel({ plan, kitchen, edit }: StationProps) {
  const [found, setFound] = useState<{ plan: Plan; list: readonly Remedy[] } | undefined>(undefined);
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState(false);
  const look = async () => {
    setBusy(true);
    try {
      setFound({ plan, list: await remediesInWorker(plan, kitchen) });
      setTrouble(false);
    } catch {
      setTrouble(true);
    } finally {
      setBusy(false);
    }
  };
  const list = found?.plan === plan ? found.list : undefined;
  return (
    <Stack spacing={0.75}>
      {list ? null : (
        <Button variant="contained" sx={{ alignSelf: 'flex-start' }} disabled={busy} onClick={() => void look()}>
          {busy ? 'Working it out' : 'Find what would cool it in time'}
        </Button>
      )}
      {trouble ? <Say tone="watch">It could not be worked out on this device; try again.</Say> : null}
      {list?.length === 0 ? (
        <Typography>Nothing here cools it in time as it stands: pour it shallower or make less.</Typography>
      ) : null}
      {list?.map((r) => (
        <Paper key={r.id} sx={{ p: 1, display: 'flex', gap: 1.5, alignItems: 'center' }}>
          <MiniCurve remedy={r} />
          <Box sx={{ flex: 1 }}>
            <Typography sx={{ fontWeight: 600 }}>{r.words}</Typography>
            <Typography variant="body2" color="text.secondary">
              {r.rest.check.to21S === undefined ? '' : `60 to 21 °C in ${sayDuration(r.rest.check.to21S)}, `}
              {r.rest.check.to5S === undefined ? '' : `to 5 °C in ${sayDuration(r.rest.check.to5S)}`}
              {r.safe ? '' : ': nearer, still too slow'}
            </Typography>
          </Box>
          <Button
            variant="outlined"
            onClick={() =>
              edit(`remedy.${r.id}`, (p) => ({ ...p, cooling: r.plan.cooling, vesselCount: r.plan.vesselCount }))
            }
          >
            Do this
          </Button>
        </Paper>
      ))}
    </Stack>
  );
}

function MiniCurve({ remedy }: { remedy: Remedy }) {
  const curve = remedy.rest.curve;
  const last = Math.max(curve[curve.length - 1]?.timeS ?? 1, 6 * 3600);
  const at = (t: number, c: number) => `${((t / last) * 96 + 2).toFixed(1)},${(38 - (c / 100) * 36).toFixed(1)}`;
  return (
    <svg viewBox="0 0 100 40" width="100" height="40" aria-hidden>
      {[60, 21, 5].map((g) => (
        <path
          key={g}
          d={`M2,${38 - (g / 100) * 36}h96`}
          stroke="var(--watch)"
          strokeWidth="0.6"
          strokeDasharray="3 2"
        />
      ))}
      <polyline
        points={curve.map((p) => at(p.timeS, p.centreC)).join(' ')}
        fill="none"
        stroke="var(--bad)"
        strokeWidth="1.6"
      />
    </svg>
  );
}
