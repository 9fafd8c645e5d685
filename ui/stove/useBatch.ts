'use client';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { BatchEvent } from '@/core/notebook';
import type { StoredBatch } from '@/db';
import { Refused, request } from '../kit';

interface Waiting {
  readonly key: string;
  readonly event: BatchEvent;
}
const waitingKey = (id: string) => `idle-ladle/events/${id}`;

function readWaiting(id: string): Waiting[] {
  try {
    return JSON.parse(localStorage.getItem(waitingKey(id)) ?? '[]') as Waiting[];
  } catch {
    return [];
  }
}

/** A batch and its events: each is kept on this device until the kitchen has it, so that a reload or a dead battery loses none. */
export function useBatch(initial: StoredBatch) {
  const [batch, setBatch] = useState(initial);
  const [pending, setPending] = useState<readonly Waiting[]>([]);
  const [trouble, setTrouble] = useState<string | undefined>(undefined);
  const busy = useRef(false);
  const id = initial.id;
  const flush = useCallback(async () => {
    if (busy.current) return;
    busy.current = true;
    try {
      for (;;) {
        const list = readWaiting(id);
        if (list.length === 0) break;
        try {
          setBatch(await request<StoredBatch>(`/api/batches/${id}/events`, 'POST', list[0]));
          setTrouble(undefined);
        } catch (e) {
          if (!(e instanceof Refused) || e.status >= 500) {
            setTrouble('Not written down yet: the kitchen does not answer. It is kept on this device.');
            break;
          }
          setTrouble(e.message);
        }
        const rest = readWaiting(id).filter((w) => w.key !== list[0].key);
        localStorage.setItem(waitingKey(id), JSON.stringify(rest));
        setPending(rest);
      }
    } finally {
      busy.current = false;
    }
  }, [id]);
  useEffect(() => {
    const first = setTimeout(() => void flush(), 0);
    const timer = setInterval(() => {
      if (readWaiting(id).length > 0) void flush();
    }, 4000);
    return () => {
      clearTimeout(first);
      clearInterval(timer);
    };
  }, [flush, id]);
  const record = useCallback(
    (event: BatchEvent) => {
      const next = [...readWaiting(id), { key: crypto.randomUUID(), event }];
      localStorage.setItem(waitingKey(id), JSON.stringify(next));
      setPending(next);
      return flush();
    },
    [flush, id],
  );
  return { batch, pending: pending.map((p) => p.event), trouble, record };
}
