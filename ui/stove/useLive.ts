'use client';
import { useQueryClient, type QueryClient } from '@tanstack/react-query';
import { useEffect, useSyncExternalStore } from 'react';
import { z } from 'zod';
import { deviceLineSchema } from '@/core/devices';
import { eventSchema } from '@/core/work/notebook';
import type { StoredBatch } from '@/db';
import { hearDevices } from './deviceReadings';
import { setKitchenClock } from './kitchenClock';
import { sharedStream } from './sharedStream';

const clockSchema = z.object({ nowMs: z.number(), speed: z.number() });
const stampSchema = z.object({ id: z.number(), at: z.string(), key: z.string() });
const batchSchema = z.object({ batchId: z.string(), event: eventSchema.and(stampSchema) });
const devicesSchema = z.object({ readings: z.array(deviceLineSchema.and(z.object({ atMs: z.number() }))) });

/** A hidden page lets go of its stream after this long: a browser has only so many for one kitchen, ms. */
const HIDDEN_MS = 60_000;
let live = false;
const listeners = new Set<() => void>();
const setLive = (on: boolean) => {
  if (live === on) return;
  live = on;
  listeners.forEach((l) => l());
};
/** Whether this page hears what happens as it happens. */
export const useIsLive = (): boolean =>
  useSyncExternalStore(
    (l) => {
      listeners.add(l);
      return () => listeners.delete(l);
    },
    () => live,
    () => false,
  );

/** One event into the batch that is on the page, unless it is there. */
function hear(client: QueryClient, text: string): void {
  const { batchId, event } = batchSchema.parse(JSON.parse(text));
  client.setQueryData<StoredBatch>(['batch', batchId], (b) => {
    if (!b || b.events.some((e) => e.key === event.key)) return b;
    return { ...b, events: [...b.events, event].sort((x, y) => x.at.localeCompare(y.at) || x.id - y.id) };
  });
  if (event.kind === 'finished' || event.kind === 'taken-back')
    void client.invalidateQueries({ queryKey: ['running'] });
}

/** Opens the stream of news, which the pages of a browser share. Answers with how to close it, and the last event that was heard. */
function listen(client: QueryClient, after: number) {
  const look = () => void client.invalidateQueries({ queryKey: ['batch'] });
  const takes: Readonly<Record<string, (text: string) => void>> = {
    clock: (text) => {
      const { nowMs, speed } = clockSchema.parse(JSON.parse(text));
      setKitchenClock(nowMs, speed);
    },
    batch: (text) => hear(client, text),
    missed: look,
    devices: (text) => hearDevices(devicesSchema.parse(JSON.parse(text)).readings),
  };
  return sharedStream(after, {
    heard: ({ type, data }) => {
      try {
        takes[type]?.(data);
      } catch {
        // Of a newer kitchen: what cannot be read is looked up.
        look();
      }
    },
    missed: look,
    live: setLive,
  });
}

/** Hears what happens at the stove on any device, as long as the page is open. @param after number of the last event the page was made with */
export function useLive(after: number): void {
  const client = useQueryClient();
  useEffect(() => {
    let stream: ReturnType<typeof listen> | undefined = listen(client, after);
    let last = after;
    let hiding: ReturnType<typeof setTimeout> | undefined;
    const close = () => {
      last = stream?.last() ?? last;
      stream?.close();
      stream = undefined;
    };
    const open = () => {
      stream ??= listen(client, last);
    };
    const seen = () => {
      clearTimeout(hiding);
      if (document.visibilityState === 'visible') open();
      else hiding = setTimeout(close, HIDDEN_MS);
    };
    document.addEventListener('visibilitychange', seen);
    return () => {
      clearTimeout(hiding);
      document.removeEventListener('visibilitychange', seen);
      close();
    };
  }, [client, after]);
}
