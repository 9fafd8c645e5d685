'use client';
import NextLink from 'next/link';
import { Box, Button, Paper, Stack, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import { format, parseISO } from 'date-fns';
import type { StoredBatch } from '@/db';
import { TEXTURE_AXES } from '@/core/mix';
import { boundsOf } from '@/core/notebook';
import { saySeen } from './saySeen';
import { sayDuration, sayGrams, sayMm } from '@/core/units';
import { Say, Told } from '../kit';
import { AXIS_WORDS } from '../mix/TextureBars';
import { BowlScore } from './BowlScore';
import { eventWords } from './eventWords';

/** One batch: the plan beside what happened. */
export function BatchPage({ batch }: { batch: StoredBatch }) {
  const { snapshot, events } = batch;
  const f = snapshot.figures;
  const tasted = events.findLast((e) => e.kind === 'tasted');
  const checks = events.flatMap((e) => (e.kind === 'checked' ? [e] : []));
  const clean = checks.find((c) => c.state === 'clean');
  const lastNot = checks.filter((c) => c.state !== 'clean').at(-1);
  const bounds = boundsOf(checks);
  const juice = events.findLast((e) => e.kind === 'weighed');
  const rows: readonly (readonly [string, string, string])[] = [
    [
      'Set',
      f.firstCleanPickS === null ? '–' : sayDuration(f.firstCleanPickS),
      clean
        ? `${lastNot ? `between ${sayDuration(lastNot.afterS)} and ` : 'by '}${sayDuration(clean.afterS)}`
        : 'not seen',
    ],
    ['Batter', sayGrams(f.massG), juice?.kind === 'weighed' ? `${sayGrams(juice.massG)} weighed` : '–'],
    ['Hydration', f.hydration.toFixed(2), '–'],
    ['Depth', sayMm(f.depthM), '–'],
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
    <>
      <Stack direction="row" spacing={2} useFlexGap sx={{ my: 1.5, alignItems: 'center', flexWrap: 'wrap' }}>
        <Typography variant="h1" sx={{ overflowWrap: 'anywhere' }}>
          {batch.name}
        </Typography>
        <BowlScore score={tasted?.kind === 'tasted' ? tasted.overall : null} />
        <Box sx={{ flex: 1 }} />
        {batch.finishedAt === null ? (
          <Button component={NextLink} variant="contained" href={`/batches/${batch.id}/stove`}>
            Back to the stove
          </Button>
        ) : null}
        {batch.planId ? (
          <Button component={NextLink} variant="outlined" href={`/plans/${batch.planId}`}>
            The plan
          </Button>
        ) : null}
      </Stack>
      <Typography color="text.secondary" suppressHydrationWarning>
        {format(parseISO(batch.startedAt), 'EEEE d MMMM yyyy, HH:mm')} · {snapshot.vesselName} · {snapshot.plan.heat}{' '}
        heat · made from revision {batch.planRevision}
      </Typography>
      {tasted?.kind === 'tasted' && tasted.note ? (
        <Typography sx={{ my: 1, fontSize: 17 }}>“{tasted.note}”</Typography>
      ) : null}
      {bounds && f.unlearnedS !== null ? (
        <Box sx={{ my: 1 }}>
          <Say>{saySeen(bounds, f.unlearnedS)}</Say>
        </Box>
      ) : null}
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' },
          gap: 3,
          mt: 1.5,
          alignItems: 'start',
        }}
      >
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
        <Paper sx={{ p: 2 }}>
          <Typography variant="h2" gutterBottom>
            As it went
          </Typography>
          <Box component="ol" sx={{ listStyle: 'none', m: 0, p: 0 }}>
            {events.map((e) => (
              <Box component="li" key={e.id} sx={{ display: 'flex', gap: 2, py: 0.25 }}>
                <Typography
                  variant="body2"
                  color="text.secondary"
                  sx={{ width: 48, flex: 'none' }}
                  suppressHydrationWarning
                >
                  {format(parseISO(e.at), 'HH:mm')}
                </Typography>
                <Typography
                  variant="body2"
                  sx={{ fontWeight: e.kind === 'ticked' ? 400 : 600, overflowWrap: 'anywhere' }}
                >
                  {e.kind === 'noted' || e.kind === 'tasted' ? (
                    eventWords(e, snapshot.steps)
                  ) : (
                    <Told>{eventWords(e, snapshot.steps)}</Told>
                  )}
                </Typography>
              </Box>
            ))}
          </Box>
        </Paper>
      </Box>
    </>
  );
}
