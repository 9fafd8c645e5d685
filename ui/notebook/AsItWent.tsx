'use client';
import { Box, Button, Paper, Typography } from '@mui/material';
import { canTakeBack, type StampedEvent } from '@/core/work/notebook';
import { sayC, there } from '@/core/units';
import { LocalTime, Say, Told, useTell } from '../kit';
import { RawText } from '../kit/Unreadable';
import { eventLine, eventWords } from '../stove/eventWords';
import { sayOutcome } from '../stove/outbox';
import type { BatchHand } from '../stove/useBatch';

/** All that was written down of a batch, line by line, each to be taken back. */
export function AsItWent({ hand }: { hand: BatchHand }) {
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
  return (
    <Paper sx={{ p: 2 }}>
      <Typography variant="h2" gutterBottom>
        As it went
      </Typography>
      <Box component="ol" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {withoutRuns(batch.events).map((e) => {
          const words = e.kind === 'probed' ? probeRun(e, batch.events) : eventLine(e, batch.events, snapshot.steps);
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
