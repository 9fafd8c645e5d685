'use client';
import { later } from '../kit/later';
import NextLink from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Button, Snackbar } from '@mui/material';
import { DELETED_WORDS } from '@/core/kitchen';
import { plural } from '@/core/units';
import type { GalleyPage } from '@/server/firstPages';
import { PlusMark, request, Say } from '../kit';
import look from '../kit/list.module.css';
import { LinkPress } from '../kit/Press';
import { useFoundPages } from '../kit/useFoundPages';
import { LateOfGalley } from './LateOfGalley';
import { PlansOfGalley, type PlanOrder } from './PlansOfGalley';
import { Uncopied } from './Uncopied';

const FirstVisit = later(() => import('./FirstVisit'));
const OnStove = later(() => import('./OnStove'));

/** Home: the plans on the shelf, and what the notebook says of late. */
export function Galley({
  kitchenName,
  plans: first,
  batches,
  running,
  keeps,
  nowMs,
  deleted,
  damaged,
  uncopied,
}: GalleyPage & {
  kitchenName: string;
  nowMs: number;
  deleted: string | null;
  /** Records that are not what was written, as far as was looked. */
  damaged: number;
  /** Days without a good copy, where they are too many. */
  uncopied: number | null;
}) {
  const router = useRouter();
  const [note, setNote] = useState<string | undefined>(undefined);
  const [undone, setUndone] = useState(false);
  const [sort, setSort] = useState<PlanOrder>('');
  const found = useFoundPages('/api/plans', first, sort);
  const fresh = first.total === 0 && batches.length === 0;
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
        <h1 className={look.title}>{fresh ? 'What shall we steam?' : kitchenName}</h1>
        {fresh ? null : (
          <LinkPress main href="/plans/new">
            <PlusMark />
            New plan
          </LinkPress>
        )}
      </div>
      {damaged > 0 ? (
        <div role="alert">
          <Say tone="stop">{`${plural(damaged, 'record')} of this kitchen’s file ${damaged === 1 ? 'is' : 'are'} damaged; the rest goes on.`}</Say>
          <NextLink href="/trash">What is damaged</NextLink>
        </div>
      ) : null}
      {uncopied === null ? null : <Uncopied days={uncopied} />}
      {running.length > 0 ? (
        <section aria-labelledby="stove-title">
          <h2 id="stove-title" className={look.heading}>
            On the stove now
          </h2>
          <OnStove running={running} nowMs={nowMs} />
        </section>
      ) : null}
      {fresh ? (
        <FirstVisit />
      ) : (
        <div className={look.halves}>
          <PlansOfGalley first={first} found={found} sort={sort} setSort={setSort} />
          <LateOfGalley keeps={keeps} batches={batches} onTrouble={setNote} />
        </div>
      )}
      {deleted === null ? null : (
        <Snackbar
          open={!undone}
          message={`The plan is in Deleted. ${DELETED_WORDS}`}
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
