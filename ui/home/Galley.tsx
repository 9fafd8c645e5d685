'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Button, Snackbar } from '@mui/material';
import type { Wanted } from '@/core/start';
import type { BatchCard, Page } from '@/db';
import type { PlanCard } from '@/server/planCards';
import { LadleMark, PlusMark, request, Say, sentenceOf } from '../kit';
import { FindField } from '../kit/FindField';
import look from '../kit/list.module.css';
import { Press } from '../kit/Press';
import { useFoundPages } from '../kit/useFoundPages';
import { BatchRow } from '../notebook/BatchRow';
import { ChooseCake } from './ChooseCake';
import { PlanRow } from './PlanRow';
import { startPlan } from './startPlan';

/** Home: the plans on the shelf, and what the notebook says of late. */
export function Galley({
  kitchenName,
  plans: first,
  batches,
  deleted,
}: {
  kitchenName: string;
  plans: Page<PlanCard>;
  batches: readonly BatchCard[];
  deleted: string | null;
}) {
  const router = useRouter();
  const [choosing, setChoosing] = useState<boolean | undefined>(undefined);
  const [note, setNote] = useState<string | undefined>(undefined);
  const [undone, setUndone] = useState(false);
  const found = useFoundPages('/api/plans', first);
  const { rows: plans, total, word } = found;
  const start = async (family: string, wanted: Wanted) => {
    setChoosing(false);
    try {
      router.push(`/plans/${await startPlan(family, wanted)}`);
    } catch (e) {
      setNote(sentenceOf(e));
    }
  };
  const undo = async () => {
    setUndone(true);
    await request(`/api/plans/${deleted}/restore`, 'POST').then(
      () => {
        found.again();
        router.replace('/');
      },
      () => setNote('It could not be brought back; reload and try again.'),
    );
  };
  return (
    <>
      <div className={look.top}>
        <h1 className={look.title}>{kitchenName}</h1>
        <Press main onClick={() => setChoosing(true)}>
          <PlusMark />
          New plan
        </Press>
      </div>
      <div className={look.halves}>
        <section aria-labelledby="plans-title">
          <h2 id="plans-title" className={look.heading}>
            Plans
          </h2>
          {first.next ? (
            <FindField label="Find a plan" value={found.typed} onType={found.type}>
              {plans.length < total ? `${plans.length} of ${total}, last changed first` : `${total} in all`}
            </FindField>
          ) : null}
          {found.trouble ? <Say tone="watch">{found.trouble}</Say> : null}
          {plans.length === 0 && word !== '' ? (
            <p className={look.none}>No plan is called “{word}”.</p>
          ) : plans.length === 0 ? (
            <div className={`${look.sheet} ${look.welcome}`}>
              <LadleMark size="large" />
              <p>No plan yet. Choose a cake, say which pan and how many guests; the rest is worked out as you go.</p>
              <Press onClick={() => setChoosing(true)}>Choose a cake</Press>
            </div>
          ) : (
            <ul className={look.sheet}>
              {plans.map((p) => (
                <PlanRow key={p.id} plan={p} />
              ))}
            </ul>
          )}
          {found.more ? (
            <div className={look.more}>
              <Press disabled={found.fetching} onClick={found.more}>
                Show more
              </Press>
            </div>
          ) : null}
        </section>
        <section aria-labelledby="late-title">
          <h2 id="late-title" className={look.heading}>
            Lately at the stove
          </h2>
          <div className={look.sheet}>
            {batches.length === 0 ? (
              <p className={look.none}>Nothing cooked yet. Open a plan and press “Cook this”.</p>
            ) : (
              batches.map((b) => <BatchRow key={b.id} batch={b} />)
            )}
          </div>
        </section>
      </div>
      {choosing === undefined ? null : (
        <ChooseCake
          open={choosing}
          onClose={() => setChoosing(false)}
          onChoose={(family, wanted) => void start(family, wanted)}
        />
      )}
      {deleted === null ? null : (
        <Snackbar
          open={!undone}
          message="The plan was deleted."
          action={
            <Button color="inherit" size="medium" onClick={() => void undo()}>
              Undo
            </Button>
          }
        />
      )}
      {note === undefined ? null : (
        <Snackbar open message={note} autoHideDuration={8000} onClose={() => setNote(undefined)} />
      )}
    </>
  );
}
