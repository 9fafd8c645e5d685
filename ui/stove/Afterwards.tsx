'use client';
import NextLink from 'next/link';
import { useDeleteBatch } from './useDeleteBatch';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { INGREDIENT_TABLE } from '@/core/larder';
import { planChanges, type Plan } from '@/core/plan';
import { whatIDid } from '@/core/work/stove';
import { makeOnce, Refused, request, sentenceOf } from '../kit';
import { freshId } from '../kit/freshId';
import { sayOutcome } from './outbox';
import { Photos } from './Photos';
import presses from './presses.module.css';
import wording from './wording.module.css';
import { TastingEntry, useTasting } from './TastingEntry';
import type { BatchHand } from './useBatch';

interface Found {
  readonly revision: number;
  readonly plan: Plan;
  readonly made: Plan;
  readonly said: readonly string[];
}

/** When the work is done: how it went, and what of it goes into the plan. */
export function Afterwards({ hand, left }: { hand: BatchHand; left: number }) {
  const { batch, events, record } = hand;
  const tasting = useTasting(hand);
  const router = useRouter();
  const remove = useDeleteBatch(hand.batch.id, hand.batch.name);
  const [told, setTold] = useState<string | undefined>(undefined);
  const [found, setFound] = useState<Found | undefined>(undefined);
  const attempt = async (work: () => Promise<void>) => {
    try {
      await work();
    } catch (e) {
      setTold(
        e instanceof Refused && e.status === 404
          ? 'The plan was deleted meanwhile; this batch keeps what it was cooked by.'
          : sentenceOf(e),
      );
    }
  };
  const finish = async () => {
    // What was tasted and not written down yet goes with it.
    if (tasting.half.overall !== null && (await tasting.send())?.how === 'refused') return;
    const o = await record({ kind: 'finished' });
    // While the kitchen is out of reach there is no page of the notebook to go to.
    if (o.how === 'written') router.push(`/batches/${batch.id}`);
    else setTold(sayOutcome(o, ''));
  };
  const again = () =>
    void attempt(async () => {
      const made = await makeOnce<{ id: string }>('/api/batches', { planId: batch.planId });
      router.push(`/batches/${made.id}/stove`);
    });
  const compare = () =>
    void attempt(async () => {
      const { revision, plan } = await request<{ revision: number; plan: Plan }>(
        `/api/plans/${encodeURIComponent(batch.planId ?? '')}`,
      );
      const made = whatIDid(plan, events);
      const said = planChanges(plan, made, (id) => INGREDIENT_TABLE.find((i) => i.id === id)?.name ?? id);
      if (said.length === 0) setTold('It was cooked as the plan says: there is nothing to change.');
      else setFound({ revision, plan, made, said });
    });
  const keep = (f: Found) =>
    void attempt(async () => {
      await request(`/api/plans/${encodeURIComponent(batch.planId ?? '')}`, 'PUT', {
        revision: f.revision,
        plan: f.made,
        writer: freshId(),
      });
      setFound(undefined);
      setTold(`The plan is now as you cooked it: ${f.said.join('; ')}. Its versions keep what it was.`);
    });
  return (
    <>
      <p className={wording.place}>
        {batch.name} · {left === 0 ? 'all steps done' : `${left} steps not done`}
      </p>
      <h1 className={wording.verb}>{left === 0 ? 'Done' : 'How it went'}</h1>
      <TastingEntry hand={hand} tasting={tasting} />
      <Photos hand={hand} add />
      <div className={presses.row}>
        {batch.finishedAt === null ? (
          <button type="button" className={presses.main} onClick={() => void finish()}>
            Finish and keep in the notebook
          </button>
        ) : (
          <NextLink href={`/batches/${batch.id}`} className={presses.quiet}>
            See it in the notebook
          </NextLink>
        )}
        {batch.planId === null ? null : (
          <>
            <button type="button" className={presses.plain} onClick={compare}>
              Change the plan to what I did
            </button>
            <button type="button" className={presses.plain} onClick={again}>
              Cook it again
            </button>
          </>
        )}
        <button type="button" className={presses.quiet} onClick={() => void remove()}>
          Delete this batch
        </button>
      </div>
      {found ? (
        <div className={presses.enter} role="group" aria-label="Change the plan">
          <p>The plan would change: {found.said.join('; ')}.</p>
          <button type="button" className={presses.plain} onClick={() => keep(found)}>
            Take it as a new version
          </button>
          <button type="button" className={presses.quiet} onClick={() => setFound(undefined)}>
            Leave it
          </button>
        </div>
      ) : null}
      <p className={wording.changed} role="status">
        {told}
      </p>
    </>
  );
}
