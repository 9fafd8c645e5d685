'use client';
import { useQueryClient, type QueryClient } from '@tanstack/react-query';
import { useEffect, useSyncExternalStore } from 'react';
import { z } from 'zod';
import { deviceLineSchema } from '@/core/devices';
import { eventSchema } from '@/core/notebook';
import type { StoredBatch } from '@/db';
import { hearDevices } from './deviceReadings';
import { setKitchenClock } from './kitchenClock';

const clockSchema = z.object({ nowMs: z.number(), speed: z.number() });
const stampSchema = z.object({ id: z.number(), at: z.string(), key: z.string() });
const batchSchema = z.object({ batchId: z.string(), event: eventSchema.and(stampSchema) });
const devicesSchema = z.object({ readings: z.array(deviceLineSchema.and(z.object({ atMs: z.number() }))) });

/** A hidden page lets go of its stream after this long: a browser has only so many for one kitchen, ms. */
const HIDDEN_MS = 60_000;
/** A stream that says nothing for so long is dead, though nobody said so, ms. */
const SILENT_MS = 12_000;

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

/** Opens the stream of news. Answers with how to close it, and the last event that was heard. */
function listen(client: QueryClient, after: number) {
  let last = after;
  const source = new EventSource(`/api/live?after=${last}`);
  const heard = (work: (text: string) => void) => (e: MessageEvent<string>) => {
    try {
      work(e.data);
      if (e.lastEventId !== '') last = Number(e.lastEventId);
      at = performance.now();
      setLive(true);
    } catch {
      // Of a newer kitchen: what cannot be read is looked up.
      void client.invalidateQueries({ queryKey: ['batch'] });
    }
  };
  let at = performance.now();
  source.addEventListener(
    'clock',
    heard((text) => {
      const { nowMs, speed } = clockSchema.parse(JSON.parse(text));
      setKitchenClock(nowMs, speed);
    }),
  );
  source.addEventListener(
    'batch',
    heard((text) => hear(client, text)),
  );
  source.addEventListener(
    'missed',
    heard(() => void client.invalidateQueries({ queryKey: ['batch'] })),
  );
  source.addEventListener(
    'devices',
    heard((text) => hearDevices(devicesSchema.parse(JSON.parse(text)).readings)),
  );
  source.onerror = () => setLive(false);
  return {
    last: () => last,
    silentMs: () => performance.now() - at,
    dead: () => source.readyState === EventSource.CLOSED,
    close: () => {
      source.close();
      setLive(false);
    },
  };
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
    const watch = setInterval(() => {
      if (stream && (stream.dead() || stream.silentMs() > SILENT_MS)) {
        close();
        open();
      }
    }, SILENT_MS / 4);
    document.addEventListener('visibilitychange', seen);
    return () => {
      clearTimeout(hiding);
      clearInterval(watch);
      document.removeEventListener('visibilitychange', seen);
      close();
    };
  }, [client, after]);
}
