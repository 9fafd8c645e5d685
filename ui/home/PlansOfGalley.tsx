import NextLink from 'next/link';
import type { GalleyPage } from '@/server/firstPages';
import { Press, SaidChoice, Say } from '../kit';
import { FindField } from '../kit/FindField';
import look from '../kit/list.module.css';
import type { useFoundPages } from '../kit/useFoundPages';
import { PlanRow } from './PlanRow';

export type PlanOrder = '' | 'name' | 'family';

/** The plans on the shelf: found by name, in an order, so many at a time. */
export function PlansOfGalley({
  first,
  found,
  sort,
  setSort,
}: {
  first: GalleyPage['plans'];
  found: ReturnType<typeof useFoundPages<GalleyPage['plans']['rows'][number]>>;
  sort: PlanOrder;
  setSort: (sort: PlanOrder) => void;
}) {
  const { rows: plans, total, word } = found;
  return (
    <section aria-labelledby="plans-title">
      <h2 id="plans-title" className={look.heading}>
        Plans
      </h2>
      {first.rows.length > 1 ? (
        <FindField label="Find a plan" value={found.typed} onType={found.type}>
          {plans.length < total ? `${plans.length} of ${total}, ` : `${total} in all, `}
          <SaidChoice
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
  );
}
