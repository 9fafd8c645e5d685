'use client';
import NextLink from 'next/link';
import { Box, Button, Paper, Stack, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import { useMemo } from 'react';
import type { StoredBatch } from '@/db';
import { TEXTURE_AXES } from '@/core/model/batter';
import { boundsOf, canTakeBack, saySeen, type StampedEvent } from '@/core/work/notebook';
import { forecastLight } from '@/core/forecast';
import { emptyKitchen } from '@/core/kitchen';
import { asCooked } from '@/core/work/stove';
import { sayC, sayDuration, sayGrams, sayMm, there } from '@/core/units';
import { LocalTime, Say, Told, useTell } from '../kit';
import { RawText } from '../kit/Unreadable';
import { AXIS_WORDS } from '../kit/TextureBars';
import { sayOutcome } from '../stove/outbox';
import { Photos } from '../stove/Photos';
import { RefusedEvents } from '../stove/RefusedEvents';
import { useBatch } from '../stove/useBatch';
import { BowlScore } from './BowlScore';
import { eventLine, eventWords } from '../stove/eventWords';
import { useDeleteBatch } from '../stove/useDeleteBatch';

/** One batch: the plan beside what happened. */
export function BatchPage({
  batch: initial,
  modelS,
}: {
  batch: StoredBatch;
  /** Time of the cake as it was cooked by the models, before learning, s; null: not worked out. */
  modelS: number | null;
}) {
  const hand = useBatch(initial);
  const tell = useTell();
  const { batch, events } = hand;
  const { snapshot } = batch;
  const counts = new Set(events.map((e) => e.key));
  const takeBack = async (key: string, words: string) => {
    const outcome = await hand.record({ kind: 'taken-back', of: key });
    tell({
      words: sayOutcome(outcome, `Taken back: ${words}.`),
      undo:
        outcome.how === 'refused'
          ? undefined
          : async () => {
              const taker = hand.latest().findLast((e) => e.kind === 'taken-back' && e.of === key);
              if (taker) await hand.record({ kind: 'taken-back', of: taker.key });
            },
    });
  };
  const f = snapshot.figures;
  const tasted = events.findLast((e) => e.kind === 'tasted');
  const checks = events.flatMap((e) => (e.kind === 'checked' ? [e] : []));
  const clean = checks.find((c) => c.state === 'clean');
  const lastNot = checks.filter((c) => c.state !== 'clean').at(-1);
  const bounds = boundsOf(checks);
  const remove = useDeleteBatch(batch.id, batch.name);
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
        <Button component={NextLink} variant="outlined" href={`/batches/${batch.id}/cooling`}>
          Record of the cooling
        </Button>
        {batch.planId ? (
          <Button component={NextLink} variant="outlined" href={`/plans/${batch.planId}`}>
            The plan
          </Button>
        ) : null}
        <Button onClick={() => void remove()}>Delete</Button>
      </Stack>
      <Typography color="text.secondary">
        <LocalTime at={batch.startedAt} as="full" /> · {snapshot.vesselName} · {snapshot.plan.heat} heat · made from
        revision {batch.planRevision}
      </Typography>
      <div role="status">{hand.trouble ? <Say tone="watch">{hand.trouble}</Say> : null}</div>
      <RefusedEvents hand={hand} />
      {tasted?.kind === 'tasted' && tasted.sign ? <Typography sx={{ mt: 1 }}>Seen: {tasted.sign}.</Typography> : null}
      {tasted?.kind === 'tasted' && tasted.note ? (
        <Typography sx={{ my: 1, fontSize: 17 }}>“{tasted.note}”</Typography>
      ) : null}
      <Photos hand={hand} add={false} />
      {bounds && modelS !== null ? (
        <Box sx={{ my: 1 }}>
          <Say>{saySeen(bounds, modelS)}</Say>
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
            {withoutRuns(batch.events).map((e) => {
              const words =
                e.kind === 'probed' ? probeRun(e, batch.events) : eventLine(e, batch.events, snapshot.steps);
              const gone = e.kind !== 'taken-back' && !counts.has(e.key);
              return (
                <Box component="li" key={e.key} sx={{ display: 'flex', gap: 2, py: 0.25, alignItems: 'baseline' }}>
                  <Typography variant="body2" color="text.secondary" sx={{ width: 48, flex: 'none' }}>
                    <LocalTime at={e.at} as="time" />
                  </Typography>
                  <Typography
                    variant="body2"
                    component={gone ? 's' : 'p'}
                    sx={{
                      flex: 1,
                      fontWeight: e.kind === 'ticked' || e.kind === 'taken-back' ? 400 : 600,
                      overflowWrap: 'anywhere',
                      minWidth: 0,
                    }}
                  >
                    {e.kind === 'noted' || e.kind === 'tasted' ? words : <Told>{words}</Told>}
                  </Typography>
                  {!gone && canTakeBack(e) ? (
                    <Button
                      sx={{ flex: 'none', minHeight: 24, py: 0 }}
                      aria-label={`Take back: ${words}`}
                      onClick={() => void takeBack(e.key, words)}
                    >
                      Take back
                    </Button>
                  ) : null}
                </Box>
              );
            })}
            {batch.unreadableEvents.map((e) => (
              <Box component="li" key={`raw ${e.id}`} sx={{ py: 0.5 }}>
                <Say tone="watch">
                  Something of <LocalTime at={e.at} as="time" /> cannot be read:
                </Say>
                <RawText row={{ raw: e.raw, problems: [] }} />
              </Box>
            ))}
          </Box>
        </Paper>
      </Box>
    </>
  );
}

/** Of a run of probe readings only the last is a line. */
const withoutRuns = (events: readonly StampedEvent[]): readonly StampedEvent[] =>
  events.filter((e, i) => e.kind !== 'probed' || events[i + 1]?.kind !== 'probed');

/** A run of probe readings in words: the last one, from what, and how many. */
function probeRun(last: StampedEvent, events: readonly StampedEvent[]): string {
  const end = events.indexOf(last);
  let first = end;
  while (first > 0 && there(events[first - 1]).kind === 'probed') first--;
  const from = there(events[first]);
  return last.kind !== 'probed' || from.kind !== 'probed' || first === end
    ? eventWords(last, [])
    : `Probe from ${sayC(from.tempC)} to ${sayC(last.tempC)}, ${end - first + 1} readings`;
}
