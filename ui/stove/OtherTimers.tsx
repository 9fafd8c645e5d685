'use client';
import { useQuery } from '@tanstack/react-query';
import { useRouter } from 'next/navigation';
import type { Kitchen } from '@/core/kitchen';
import type { StoredBatch } from '@/db';
import { request } from '../kit';
import { useAlarms, useMuted } from './alarms';
import { TimerCard } from './TimerEdge';
import { useBatch } from './useBatch';
import { useCooking } from './useCooking';

interface OtherProps {
  readonly id: string;
  readonly name: string;
  readonly kitchen: Kitchen;
  readonly nowMs: number;
}

/** The timers of another cake at the stove; one press goes to it. */
export function OtherTimers(props: OtherProps) {
  const found = useQuery({
    queryKey: ['batch', props.id],
    queryFn: () => request<StoredBatch>(`/api/batches/${encodeURIComponent(props.id)}`),
  });
  return found.data ? <Timers {...props} batch={found.data} /> : null;
}

function Timers({ id, name, kitchen, nowMs, batch }: OtherProps & { batch: StoredBatch }) {
  const router = useRouter();
  const [muted] = useMuted();
  const { timers } = useCooking(useBatch(batch), kitchen, nowMs);
  useAlarms(timers, nowMs, muted);
  return timers.map((t) => (
    <TimerCard key={t.id} timer={t} nowMs={nowMs} of={name} onPress={() => router.push(`/batches/${id}/stove`)} />
  ));
}
