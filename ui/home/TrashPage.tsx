'use client';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { DELETED_WORDS } from '@/core/kitchen';
import type { Damaged, Trashed, TrashKind } from '@/db';
import { plural } from '@/core/units';
import { LocalTime, Press, request, Say, sentenceOf, useTell } from '../kit';
import look from '../kit/list.module.css';

const KIND_WORDS: Readonly<Record<TrashKind, string>> = { plan: 'Plan', batch: 'Batch', photo: 'Photo of a batch' };
const nameOf = (t: Trashed): string => `${KIND_WORDS[t.kind]}: ${t.name}`;

/** What was deleted, the last first: brought back by a press, or erased before its days are over. */
export function TrashPage({ first, damaged }: { first: readonly Trashed[]; damaged: readonly Damaged[] }) {
  const tell = useTell();
  const [asked, setAsked] = useState<string | undefined>(undefined);
  const [trouble, setTrouble] = useState<string | undefined>(undefined);
  const { data: all, refetch } = useQuery({
    queryKey: ['trash'],
    queryFn: () => request<readonly Trashed[]>('/api/trash'),
    initialData: first,
    initialDataUpdatedAt: 0,
  });
  const send = async (t: Trashed, what: 'bring-back' | 'erase') => {
    setAsked(undefined);
    try {
      await request('/api/trash', 'POST', { what, kind: t.kind, id: t.id });
      setTrouble(undefined);
      tell({ words: what === 'erase' ? `${nameOf(t)} is gone for good.` : `${nameOf(t)} is back.` });
    } catch (e) {
      setTrouble(sentenceOf(e));
    }
    void refetch();
  };
  return (
    <>
      <div className={look.top}>
        <h1 className={look.title}>Deleted</h1>
      </div>
      <p>{DELETED_WORDS}</p>
      {trouble ? <Say tone="stop">{trouble}</Say> : null}
      {all.length === 0 ? <p className={look.none}>Nothing is here.</p> : null}
      <ul className={look.sheet} aria-label="Deleted">
        {all.map((t) => (
          <li key={`${t.kind} ${t.id}`} className={look.row}>
            <div className={look.head}>
              <b className={look.twoLines}>{t.name}</b>
              <span className={`${look.soft} ${look.still}`}>
                {KIND_WORDS[t.kind]}, gone on <LocalTime at={t.goneAt} as="day" />
              </span>
            </div>
            <div className={look.beside} style={{ marginTop: 8, flexWrap: 'wrap' }}>
              {asked === `${t.kind} ${t.id}` ? (
                <>
                  <Say tone="stop">It cannot be brought back then, but from a copy of the kitchen.</Say>
                  <Press onClick={() => void send(t, 'erase')} aria-label={`Erase for good: ${nameOf(t)}`}>
                    Erase for good
                  </Press>
                  <Press quiet onClick={() => setAsked(undefined)}>
                    Leave it
                  </Press>
                </>
              ) : (
                <>
                  <Press onClick={() => void send(t, 'bring-back')} aria-label={`Bring back: ${nameOf(t)}`}>
                    Bring back
                  </Press>
                  <Press quiet onClick={() => setAsked(`${t.kind} ${t.id}`)} aria-label={`Erase now: ${nameOf(t)}`}>
                    Erase now
                  </Press>
                </>
              )}
            </div>
          </li>
        ))}
      </ul>
      {damaged.length > 0 ? (
        <section aria-labelledby="damaged-title">
          <h2 id="damaged-title" className={look.heading}>
            Damaged in the file
          </h2>
          <Say tone="stop">
            {`${plural(damaged.length, 'record')} of this kitchen ${damaged.length === 1 ? 'is' : 'are'} not what was written, so the disk may be failing. The rest goes on; open a copy of the kitchen to have them back.`}
          </Say>
          <ul>
            {damaged.map((d) => (
              <li key={`${d.table} ${d.row}`}>{`${d.table}, row ${d.row}${d.of === '' ? '' : ` (${d.of})`}`}</li>
            ))}
          </ul>
        </section>
      ) : null}
    </>
  );
}
