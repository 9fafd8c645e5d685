'use client';
import { useCallback, useState } from 'react';
import type { BatchEvent } from '@/core/notebook';
import { sayOutcome } from './outbox';
import type { BatchHand } from './useBatch';

/** Writes something down; `then` is what is said of it. */
export type Act = (event: BatchEvent, then?: string) => void;

/** Writes down, and says what became of it. */
export function useAct(record: BatchHand['record']): {
  readonly act: Act;
  /** What is to do by the last answer, or that it is not in the kitchen yet. */
  readonly said: string | undefined;
  readonly clear: () => void;
} {
  const [said, setSaid] = useState<string | undefined>(undefined);
  const act = useCallback<Act>(
    (event, then) => {
      setSaid(then);
      void record(event).then((o) => {
        if (o.how !== 'written') setSaid([then, sayOutcome(o, '')].filter((x) => x).join(' '));
      });
    },
    [record],
  );
  return { act, said, clear: useCallback(() => setSaid(undefined), []) };
}
