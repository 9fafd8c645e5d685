'use client';
import { useCallback, useState } from 'react';
import type { BatchEvent } from '@/core/notebook';
import { sayOutcome } from './outbox';
import type { BatchHand } from './useBatch';

/** Writes something down; `then` is what is said of it, `key` what it is written under where two may write it. */
export type Act = (event: BatchEvent, then?: string, key?: string) => void;

/** Writes down, and says what became of it. */
export function useAct(record: BatchHand['record']): {
  readonly act: Act;
  /** What is to do by the last answer, or that it is not in the kitchen yet. */
  readonly said: string | undefined;
} {
  const [said, setSaid] = useState<string | undefined>(undefined);
  const act = useCallback<Act>(
    (event, then, key) => {
      setSaid(then);
      void record(event, key).then((o) => {
        if (o.how !== 'written') setSaid([then, sayOutcome(o, '')].filter((x) => x).join(' '));
      });
    },
    [record],
  );
  return { act, said };
}
