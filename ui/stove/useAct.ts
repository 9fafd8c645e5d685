'use client';
import { useCallback, useState } from 'react';
import type { BatchEvent } from '@/core/work/notebook';
import { sayOutcome } from './outbox';
import type { BatchHand } from './useBatch';

/** Writes something down; `then` is what is said of it, `key` what it is written under where two may write it. */
export type Act = (event: BatchEvent, then?: string, key?: string) => void;

/** What was said of an answer; of a look, at its own step. */
export interface Said {
  readonly words: string;
  readonly stepId: string | undefined;
}

/** Writes down, and says what became of it. */
export function useAct(record: BatchHand['record']): {
  readonly act: Act;
  /** What is to do by the last answer, or that it is not in the kitchen yet. */
  readonly said: Said | undefined;
} {
  const [said, setSaid] = useState<Said | undefined>(undefined);
  const act = useCallback<Act>(
    (event, then, key) => {
      const stepId = 'stepId' in event && event.kind === 'said' ? event.stepId : undefined;
      const say = (words: string | undefined) => setSaid(words === undefined ? undefined : { words, stepId });
      say(then);
      void record(event, key).then((o) => {
        if (o.how !== 'written') say([then, sayOutcome(o, '')].filter((x) => x).join(' '));
      });
    },
    [record],
  );
  return { act, said };
}
