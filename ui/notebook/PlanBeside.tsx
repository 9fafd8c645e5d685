'use client';
import { Paper, Table, TableBody, TableCell, TableHead, TableRow } from '@mui/material';
import { useMemo } from 'react';
import { forecastLight } from '@/core/forecast';
import { emptyKitchen } from '@/core/kitchen';
import { TEXTURE_AXES } from '@/core/model/batter';
import type { Snapshot, StampedEvent } from '@/core/work/notebook';
import { asCooked } from '@/core/work/stove';
import { sayDuration, sayGrams, sayMm, there } from '@/core/units';
import { Told } from '../kit';
import { AXIS_WORDS } from '../kit/TextureBars';

/** What was planned, beside what happened. */
export function PlanBeside({ snapshot, events }: { snapshot: Snapshot; events: readonly StampedEvent[] }) {
  const f = snapshot.figures;
  const tasted = events.findLast((e) => e.kind === 'tasted');
  const checks = events.flatMap((e) => (e.kind === 'checked' ? [e] : []));
  const clean = checks.find((c) => c.state === 'clean');
  const lastNot = checks.filter((c) => c.state !== 'clean').at(-1);
  // What happened is read off the cake as it was cooked, in the kitchen it was cooked in, not off the plan.
  const cooked = useMemo(() => {
    const light = forecastLight(asCooked(snapshot.plan, events), snapshot.kitchen ?? emptyKitchen());
    return light.ok ? light.value : undefined;
  }, [snapshot, events]);
  const rows: readonly (readonly [string, string, string])[] = [
    [
      'Set',
      f.firstCleanPickS === null ? '–' : sayDuration(f.firstCleanPickS),
      clean
        ? `${lastNot ? `between ${sayDuration(lastNot.afterS)} and ` : 'by '}${sayDuration(clean.afterS)}`
        : 'not seen',
    ],
    ['Batter', sayGrams(f.massG), cooked ? sayGrams(cooked.balance.massG) : '–'],
    ['Hydration', f.hydration.toFixed(2), cooked ? there(cooked.balance.batters[0]).hydration.toFixed(2) : '–'],
    [
      'Depth',
      sayMm(f.depthM),
      cooked ? `${sayMm(cooked.fill.depthM)}, ${cooked.fill.measured ? 'by the ruler' : 'reckoned'}` : '–',
    ],
    ['Cuts clean after', f.cutReadyAtS === null ? '–' : sayDuration(f.cutReadyAtS), '–'],
    ...TEXTURE_AXES.map(
      (a) =>
        [
          AXIS_WORDS[a],
          (snapshot.texture[a] ?? 0).toFixed(1),
          tasted?.kind === 'tasted' ? (tasted.axes[a] ?? '–') : '–',
        ] as const,
    ),
  ];
  return (
    <Paper sx={{ overflowX: 'auto' }}>
      <Table size="small" aria-label="Plan beside what happened">
        <TableHead>
          <TableRow>
            <TableCell />
            <TableCell>Planned</TableCell>
            <TableCell>Happened</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {rows.map(([name, plan, real]) => (
            <TableRow key={name}>
              <TableCell component="th" scope="row">
                {name}
              </TableCell>
              <TableCell>
                <Told>{plan}</Told>
              </TableCell>
              <TableCell sx={{ fontWeight: real === '–' ? 400 : 600 }}>
                <Told>{real}</Told>
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </Paper>
  );
}
