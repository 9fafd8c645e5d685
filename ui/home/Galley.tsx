'use client';
import { later } from '../kit/later';
import NextLink from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Button, Snackbar } from '@mui/material';
import { DELETED_WORDS } from '@/core/kitchen';
import { plural } from '@/core/units';
import type { GalleyPage } from '@/server/firstPages';
import { Choice, PlusMark, request, Say } from '../kit';
import { FindField } from '../kit/FindField';
import look from '../kit/list.module.css';
import own from './home.module.css';
import { LinkPress, Press } from '../kit/Press';
import { useFoundPages } from '../kit/useFoundPages';
import { BatchRow } from '../notebook/BatchRow';
import { Fridge } from './Fridge';
import { PlanRow } from './PlanRow';
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
  const [sort, setSort] = useState<'' | 'name' | 'family'>('');
  const found = useFoundPages('/api/plans', first, sort);
  const { rows: plans, total, word } = found;
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
          <section aria-labelledby="plans-title">
            <h2 id="plans-title" className={look.heading}>
              Plans
            </h2>
            {first.rows.length > 1 ? (
              <FindField label="Find a plan" value={found.typed} onType={found.type}>
                {plans.length < total ? `${plans.length} of ${total}, ` : `${total} in all, `}
                <Choice
                  as="said"
                  label="Order of the plans"
                  value={sort}
                  options={[
                    { value: '', words: 'last changed first' },
                    { value: 'name', words: 'by name' },
                    { value: 'family', words: 'by kind of cake' },
                  ]}
                  onChange={setSort}
                />
              </FindField>
            ) : null}
            {found.trouble ? <Say tone="watch">{found.trouble}</Say> : null}
            {plans.length === 0 && word !== '' ? (
              <p className={look.none}>No plan is called “{word}”.</p>
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
            <p>
              <NextLink prefetch={false} href="/trash" className={look.soft}>
                Deleted plans, batches and photos
              </NextLink>
              {' · '}
              <NextLink prefetch={false} href="/copies" className={look.soft}>
                Copies of this kitchen
              </NextLink>
            </p>
          </section>
          <section aria-labelledby="late-title">
            <h2 className={look.heading}>In the fridge</h2>
            <div className={look.sheet}>
              <Fridge keeps={keeps} onTrouble={setNote} />
            </div>
            <h2 id="late-title" className={`${look.heading} ${own.later}`}>
              Lately at the stove
            </h2>
            <div className={look.sheet}>
              {batches.length === 0 ? (
                <p className={look.none}>Nothing cooked yet. What you cook from a plan is told here.</p>
              ) : (
                batches.map((b) => <BatchRow key={b.id} batch={b} />)
              )}
            </div>
          </section>
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
