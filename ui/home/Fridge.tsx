'use client';
import { there } from '@/core/units';
import NextLink from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { BatchEvent } from '@/core/work/notebook';
import type { Kept } from '@/server/firstPages';
import { LocalTime, Press, request, sentenceOf } from '../kit';
import { freshId } from '../kit/freshId';
import look from '../kit/list.module.css';

/** What keeps in the fridge and until when it is good; what is eaten up goes, and can be brought back while the page stands. */
export function Fridge({ keeps, onTrouble }: { keeps: readonly Kept[]; onTrouble: (words: string) => void }) {
  const router = useRouter();
  /** Keys under which cakes were written down as eaten, by batch. */
  const [eaten, setEaten] = useState<Readonly<Record<string, string>>>({});
  const [last, setLast] = useState<Kept | undefined>(undefined);
  const [busy, setBusy] = useState(false);
  const left = keeps.filter((k) => eaten[k.id] === undefined);
  const send = async (id: string, event: BatchEvent, key: string, then: () => void) => {
    setBusy(true);
    try {
      await request(`/api/batches/${id}/events`, 'POST', { key, event });
      then();
      router.refresh();
    } catch (e) {
      onTrouble(sentenceOf(e, 'It could not be written down; try again.'));
    }
    setBusy(false);
  };
  const eat = (k: Kept) => {
    const key = freshId();
    return send(k.id, { kind: 'eaten' }, key, () => {
      setEaten((e) => ({ ...e, [k.id]: key }));
      setLast(k);
    });
  };
  const back = (k: Kept) =>
    send(k.id, { kind: 'taken-back', of: there(eaten[k.id]) }, freshId(), () => {
      setEaten(({ [k.id]: _back, ...others }) => others);
      setLast(undefined);
    });
  return (
    <>
      {left.length === 0 ? (
        <p className={look.none}>
          Nothing that is still good. What you finish at the stove stands here until it is not, or is eaten up.
        </p>
      ) : (
        left.map((k) => (
          <div key={k.id} className={look.row}>
            <div className={look.head}>
              <NextLink prefetch={false} href={`/batches/${k.id}`} className={look.name}>
                {k.name}
              </NextLink>
              <span className={`${look.soft} ${look.still}`}>
                good until <LocalTime at={k.until} as="day" />
              </span>
            </div>
            <div className={look.head}>
              <span className={look.soft}>best {k.eatWithin}</span>
              <Press quiet disabled={busy} aria-label={`${k.name}: eaten up`} onClick={() => void eat(k)}>
                Eaten up
              </Press>
            </div>
          </div>
        ))
      )}
      {last ? (
        <div className={look.row} role="status">
          <div className={look.head}>
            <span className={look.soft}>{last.name} is eaten up.</span>
            <Press quiet disabled={busy} onClick={() => void back(last)}>
              There is some left
            </Press>
          </div>
        </div>
      ) : null}
    </>
  );
}
