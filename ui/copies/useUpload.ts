'use client';
import { useRef, useState } from 'react';
import { request, Refused, Spoken } from '../kit';

/** Bytes of a piece: below what a request may hold. */
export const PIECE = 900_000;
const TRIES = 8;
const PATIENCE_MS = 60_000;

export interface Sending {
  readonly done: number;
  readonly all: number;
}
const pause = (ms: number, signal: AbortSignal) =>
  new Promise<void>((then) => {
    const timer = setTimeout(then, ms);
    signal.addEventListener('abort', () => {
      clearTimeout(timer);
      then();
    });
  });

/** Sends one piece; answers with how much the kitchen has. */
async function sendPiece(upload: string, at: number, piece: Blob, signal: AbortSignal): Promise<number> {
  const response = await fetch(`/api/copies/upload/${upload}?at=${at}`, {
    method: 'PUT',
    headers: { 'content-type': 'application/octet-stream' },
    body: piece,
    signal: AbortSignal.any([signal, AbortSignal.timeout(PATIENCE_MS)]),
  });
  const body = (await response.json().catch(() => undefined)) as { at?: number; problems?: [] } | undefined;
  if (!response.ok) throw new Refused(response.status, body?.problems ?? [], body);
  return body?.at ?? at;
}

/**
 * Sends a file to the kitchen piece by piece; where the connection is lost it goes on where it was.
 * @returns the name under which the kitchen has it
 * @throws Refused, or what stopped it
 */
export async function sendFile(
  file: Pick<File, 'name' | 'size' | 'slice'>,
  signal: AbortSignal,
  onSent: (s: Sending) => void,
  waitMs = 1000,
): Promise<string> {
  const { upload } = await request<{ upload: string }>('/api/copies', 'POST', {
    do: 'upload',
    called: file.name.replaceAll(/[\p{Cc}/\\]/gu, ' ').slice(-200),
    bytes: file.size,
  });
  let failed = 0;
  for (let at = 0; at < file.size;) {
    signal.throwIfAborted();
    onSent({ done: at, all: file.size });
    try {
      at = await sendPiece(upload, at, file.slice(at, at + PIECE), signal);
      failed = 0;
    } catch (e) {
      // A stick that was pulled out reads no more, and what the kitchen refused it refuses again.
      if (signal.aborted || e instanceof Refused) throw e;
      if (e instanceof DOMException && e.name === 'NotReadableError')
        throw new Spoken(
          'That file cannot be read any more; was a stick pulled out? Put it back and choose the file again.',
        );
      if (++failed >= TRIES)
        throw new Spoken('The kitchen does not answer, or the file cannot be read any more; choose it again.');
      await pause(waitMs * failed, signal);
    }
  }
  onSent({ done: file.size, all: file.size });
  return upload;
}

/** A file on its way to the kitchen. */
export function useUpload() {
  const [sending, setSending] = useState<Sending | undefined>(undefined);
  const stop = useRef<AbortController | undefined>(undefined);
  return {
    sending,
    stop: () => stop.current?.abort(),
    /** Undefined where the cook stopped it. */
    async send(file: File): Promise<string | undefined> {
      stop.current?.abort();
      const mine = new AbortController();
      stop.current = mine;
      try {
        return await sendFile(file, mine.signal, setSending);
      } catch (e) {
        if (mine.signal.aborted) return undefined;
        throw e;
      } finally {
        setSending(undefined);
      }
    },
  };
}
