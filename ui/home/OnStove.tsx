'use client';
import { useQuery } from '@tanstack/react-query';
import NextLink from 'next/link';
import { useEffect, useState } from 'react';
import type { Kitchen } from '@/core/kitchen';
import { leftS } from '@/core/work/stove';
import { inUnits, sayDuration } from '@/core/units';
import type { KitchenState, RunningBatch, StoredBatch } from '@/db';
import { request, useUnits } from '../kit';
import { clockWords } from '../stove/TimerEdge';
import { useBatch } from '../stove/useBatch';
import { useCooking } from '../stove/useCooking';
import look from './home.module.css';

const TICK_MS = 1000;

/** What is on the stove now, each with what the hands do and its next moment; one press goes to it. */
export default function OnStove({ running, nowMs }: { running: readonly RunningBatch[]; nowMs: number }) {
  const { data } = useQuery({
    queryKey: ['kitchen'],
    queryFn: () => request<KitchenState>('/api/kitchen'),
  });
  // The kitchen's clock, as it was when the page was made, goes on by this device's.
  const [aheadMs] = useState(() => nowMs - Date.now());
  const [clock, setClock] = useState(nowMs);
  useEffect(() => {
    const timer = setInterval(() => setClock(Date.now() + aheadMs), TICK_MS);
    return () => clearInterval(timer);
  }, [aheadMs]);
  return (
    <ul className={look.stove}>
      {running.map((b) => (
        <li key={b.id}>
          <NextLink prefetch={false} href={`/batches/${b.id}/stove`}>
            <b>{b.name}</b>
            {data ? <Moment id={b.id} kitchen={data.kitchen} nowMs={clock} /> : <span> </span>}
          </NextLink>
        </li>
      ))}
    </ul>
  );
}

function Moment({ id, kitchen, nowMs }: { id: string; kitchen: Kitchen; nowMs: number }) {
  const found = useQuery({
    queryKey: ['batch', id],
    queryFn: () => request<StoredBatch>(`/api/batches/${encodeURIComponent(id)}`),
  });
  return found.data ? <NextOf batch={found.data} kitchen={kitchen} nowMs={nowMs} /> : <span>opening</span>;
}

function NextOf({ batch, kitchen, nowMs }: { batch: StoredBatch; kitchen: Kitchen; nowMs: number }) {
  const units = useUnits();
  const { timers, course } = useCooking(useBatch(batch), kitchen, nowMs);
  const [next] = timers.toSorted((a, b) => leftS(a, nowMs) - leftS(b, nowMs));
  const left = next && leftS(next, nowMs);
  return (
    <>
      <span>{course.now ? `now: ${course.now.verb.toLowerCase()}` : 'hands are free'}</span>
      {next && left !== undefined ? (
        <span className={left <= 0 ? look.rung : undefined}>
          {left > 0 ? <strong>{clockWords(left)}</strong> : `rang ${sayDuration(-left)} ago`}{' '}
          {inUnits(next.name, units)}
        </span>
      ) : null}
    </>
  );
}
