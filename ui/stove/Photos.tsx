'use client';
import { useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import type { StoredBatch } from '@/db';
import { freshId, LocalTime, request, sentenceOf } from '../kit';
import look from './photos.module.css';
import presses from './presses.module.css';
import wording from './wording.module.css';
import type { BatchHand } from './useBatch';

/** Longest side that is sent, pixels; and the bytes it must stay under, with what base64 adds. */
const LONGEST = 1600;
const MOST_BYTES = 650_000;
/** A photo takes longer to send than words do, ms. */
const PHOTO_MS = 60_000;

/** A photo made small on the device, base64; undefined where it is no picture. */
async function small(file: File): Promise<string | undefined> {
  const picture = await createImageBitmap(file).catch(() => undefined);
  if (!picture) return undefined;
  for (const [side, quality] of [
    [LONGEST, 0.85],
    [LONGEST, 0.6],
    [LONGEST / 2, 0.7],
  ] as const) {
    const scale = Math.min(1, side / Math.max(picture.width, picture.height));
    const canvas = document.createElement('canvas');
    canvas.width = Math.max(1, Math.round(picture.width * scale));
    canvas.height = Math.max(1, Math.round(picture.height * scale));
    canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
    const url = canvas.toDataURL('image/jpeg', quality);
    const data = url.slice(url.indexOf(',') + 1);
    if (data.length * 0.75 < MOST_BYTES) return data;
  }
  return undefined;
}

/** Photos of a batch, and where the stove is done with it, one more. */
export function Photos({ hand, add }: { hand: BatchHand; add: boolean }) {
  const client = useQueryClient();
  const [told, setTold] = useState<string | undefined>(undefined);
  const sent = useRef<{ readonly name: string; readonly key: string } | undefined>(undefined);
  const photos = hand.events.flatMap((e) => (e.kind === 'photographed' ? [e] : []));
  const take = async (file: File | undefined) => {
    if (!file) return;
    setTold('The photo is made small.');
    // Chosen again after its answer was lost, it is the same photo and no second one.
    const name = `${file.name} ${file.size} ${file.lastModified}`;
    const key = sent.current?.name === name ? sent.current.key : freshId();
    sent.current = { name, key };
    const photo = await small(file);
    if (photo === undefined) {
      setTold('That is no picture that this browser can read; choose another.');
      return;
    }
    try {
      const batch = await request<StoredBatch>(
        `/api/batches/${encodeURIComponent(hand.batch.id)}/photos`,
        'POST',
        { key, photo },
        { patienceMs: PHOTO_MS },
      );
      client.setQueryData(['batch', hand.batch.id], batch);
      sent.current = undefined;
      setTold('The photo is in the notebook, without where it was taken.');
    } catch (e) {
      setTold(sentenceOf(e, 'The kitchen does not answer: the photo is not kept, choose it again later.'));
    }
  };
  if (!add && photos.length === 0) return null;
  return (
    <section aria-label="Photos">
      <div className={presses.answers}>
        {photos.map((p) => (
          <a key={p.key} href={`/api/photos/${p.photo}`}>
            <img
              src={`/api/photos/${p.photo}`}
              alt={`${hand.batch.name}, photographed`}
              height={160}
              style={{ display: 'block', maxWidth: '100%', objectFit: 'cover' }}
            />
            <span className={wording.soft}>
              <LocalTime at={p.at} as="moment" />
            </span>
          </a>
        ))}
      </div>
      {add ? (
        <label className={look.photo}>
          Add a photo
          <input type="file" className="unseen" accept="image/*" onChange={(e) => void take(e.target.files?.[0])} />
        </label>
      ) : null}
      <p role="status">{told}</p>
    </section>
  );
}
