'use client';
import { Button, Stack } from '@mui/material';
import { useState } from 'react';
import { answerCheck, type BatchEvent, type Check } from '@/core/notebook';
import type { StoredBatch } from '@/db';
import { NumberField, Say } from '../kit';

const STATES = [{ state: 'sticky', words: 'Sticky' }, { state: 'nearly', words: 'Nearly' }, { state: 'clean', words: 'Clean' }] as const;

/** What the pick says, after how many minutes: answered with the extra minutes to give it. */
export function CheckEntry({ batch, earlier, record }: { batch: StoredBatch; earlier: readonly Check[]; record: (e: BatchEvent) => Promise<void> }) {
  const modelS = batch.snapshot.figures.unlearnedS;
  const checks = batch.events.flatMap((e) => (e.kind === 'checked' && modelS !== null ? [{ afterS: e.afterS, state: e.state, modelS }] : []));
  const last = checks[checks.length - 1];
  const [minutes, setMinutes] = useState(Math.round((batch.snapshot.figures.checkAtS ?? 1200) / 60));
  return (
    <Stack spacing={1} sx={{ mt: 1 }}>
      <Stack direction="row" spacing={1} useFlexGap sx={{ flexWrap: 'wrap', alignItems: 'flex-start' }}>
        <NumberField label="Minutes in the steam" value={minutes} min={0} max={720} unit="min" width={170} onChange={setMinutes} />
        {STATES.map(({ state, words }) => <Button key={state} variant="outlined" sx={{ minHeight: 56, minWidth: 92, fontSize: 17 }} onClick={() => void record({ kind: 'checked', state, afterS: minutes * 60 })}>{words}</Button>)}
      </Stack>
      {last ? <div aria-live="polite" data-testid="check-answer" style={{ fontSize: 19, fontWeight: 600 }}><Say tone={last.state === 'clean' ? 'ready' : 'watch'}>{answerCheck(last, [...earlier, ...checks.slice(0, -1)]).sentence}</Say></div> : null}
    </Stack>
  );
}
