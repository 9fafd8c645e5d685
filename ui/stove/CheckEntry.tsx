'use client';
import { Box, Button, Stack } from '@mui/material';
import { useState } from 'react';
import { answerCheck, expectedOf } from '@/core/notebook';
import { sayDuration } from '@/core/units';
import { NumberField, Say } from '../kit';
import { sayOutcome } from './outbox';
import type { BatchHand } from './useBatch';

const STATES = [
  { state: 'sticky', words: 'Sticky' },
  { state: 'nearly', words: 'Nearly' },
  { state: 'clean', words: 'Clean' },
] as const;

/** What the pick says, after how many minutes: answered with the extra minutes to give it. */
export function CheckEntry({ hand }: { hand: BatchHand }) {
  const { batch, events, record } = hand;
  const { firstCleanPickS, factorSigma } = batch.snapshot.figures;
  const checks = events.flatMap((e) => (e.kind === 'checked' ? [e] : []));
  const last = checks[checks.length - 1];
  const answer =
    last && firstCleanPickS !== null
      ? answerCheck(checks, expectedOf(firstCleanPickS, factorSigma))
      : undefined;
  const late =
    answer && last && batch.snapshot.figures.planForS !== null
      ? last.afterS + answer.moreS - batch.snapshot.figures.planForS
      : 0;
  const after = batch.snapshot.steps
    .slice(batch.snapshot.steps.findIndex((s) => s.verb === 'Check') + 1)
    .reduce((s, x) => s + x.handsOnS + x.waitS, 0);
  const [told, setTold] = useState<string | undefined>(undefined);
  const [minutes, setMinutes] = useState(Math.round((batch.snapshot.figures.checkAtS ?? 1200) / 60));
  return (
    <Stack spacing={1} sx={{ mt: 1 }}>
      <Stack direction="row" spacing={1} useFlexGap sx={{ flexWrap: 'wrap', alignItems: 'flex-start' }}>
        <NumberField
          label="Minutes in the steam"
          value={minutes}
          min={0}
          max={720}
          unit="min"
          width={170}
          onChange={setMinutes}
        />
        {STATES.map(({ state, words }) => (
          <Button
            key={state}
            variant="outlined"
            sx={{ minHeight: 56, minWidth: 92, fontSize: 17 }}
            onClick={() =>
              void record({ kind: 'checked', state, afterS: minutes * 60 }).then((o) =>
                setTold(o.how === 'written' ? undefined : sayOutcome(o, '')),
              )
            }
          >
            {words}
          </Button>
        ))}
      </Stack>
      {last && answer ? (
        <div aria-live="polite" data-testid="check-answer" style={{ fontSize: 19, fontWeight: 600 }}>
          <Say tone={last.state === 'clean' ? 'ready' : 'watch'}>{answer?.sentence}</Say>
        </div>
      ) : null}
      <div role="status">{told ? <Say tone="watch">{told}</Say> : null}</div>
      {checks.length > 0 ? (
        <Box component="ul" aria-label="Checks" sx={{ listStyle: 'none', m: 0, p: 0 }}>
          {checks.map((c) => (
            <Stack component="li" key={c.key} direction="row" spacing={1} sx={{ alignItems: 'center' }}>
              <span>
                {c.state} at {sayDuration(c.afterS)}
              </span>
              <Button onClick={() => void record({ kind: 'taken-back', of: c.key })}>Take back</Button>
            </Stack>
          ))}
        </Box>
      ) : null}
      {answer ? (
        <div>
          {late > 60 ? `Everything after this moves ${sayDuration(late)} later: ` : 'The rest stays as planned: '}ready{' '}
          {sayDuration(answer.moreS + after)} from now.
        </div>
      ) : null}
    </Stack>
  );
}
