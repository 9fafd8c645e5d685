'use client';
import { useRouter } from 'next/navigation';
import { useEffect, useMemo, useRef, useState } from 'react';
import { FAMILIES, type Family } from '@/core/families';
import type { Kitchen } from '@/core/kitchen';
import { larderOf } from '@/core/larder';
import { EATEN, EATEN_WORDS, eatenHow, lackingOf, lacksOf, type Wish } from '@/core/desk/newPlan';
import { sayDuration, shortName } from '@/core/units';
import { Say, sentenceOf, Soft } from '../kit';
import { startPlan } from '../plan/startPlan';
import { onCardKey, toFirstCard } from './cardKeys';
import { AskLine, WishPresses, type Ask } from './AskLine';
import { HaveChips } from './HaveChips';
import { OfferCard } from './OfferCard';
import { useHave } from './useHave';
import { useOffers } from './useOffers';
import { nextAt } from './when';
import look from './gallery.module.css';

const MINUTE_MS = 60_000;
/** The minute that it is, on this device; undefined where the page is made. */
function useMinute(): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), MINUTE_MS);
    return () => clearInterval(timer);
  }, []);
  return now;
}

/** Begins a plan of a family at once, where the address names one. */
function useBegin(begin: string | undefined, setTrouble: (words: string) => void): void {
  const router = useRouter();
  const begun = useRef(false);
  useEffect(() => {
    const family = FAMILIES.find((f) => f.id === begin);
    if (!family || begun.current) return;
    begun.current = true;
    void startPlan(family.id, {}).then(
      (id) => router.replace(`/plans/${id}`),
      (e: unknown) => setTrouble(sentenceOf(e)),
    );
  }, [begin, router, setTrouble]);
}

/**
 * The cakes there are, small and in section, by how they are eaten: asked for how many, as what and by when, filtered in a cook's words, or
 * ranked by what of them is at hand. One press begins the plan.
 */
export function Gallery({
  kitchen,
  ofWhat: ranked0 = false,
  begin,
  asks = false,
}: {
  kitchen: Kitchen;
  ofWhat?: boolean;
  begin?: string | undefined;
  /** It asks how many at once: the field has the focus. */
  asks?: boolean;
}) {
  const router = useRouter();
  const [ask, setAsk] = useState<Ask>({});
  const [wishes, setWishes] = useState<readonly Wish[]>([]);
  const [ofWhat, setOfWhat] = useState(ranked0);
  const [trouble, setTrouble] = useState<string | undefined>(undefined);
  const [have, setHave] = useHave(kitchen);
  const { byFamily, left } = useOffers(kitchen, ask);
  const nowMs = useMinute();
  const byMs = ask.by ? nextAt(ask.by, nowMs) : undefined;
  const larder = useMemo(() => larderOf(kitchen.ingredients), [kitchen.ingredients]);
  const nameOf = (id: string) => shortName(larder.get(id)?.name ?? id).toLowerCase();

  const grants = (f: Family) => {
    const offer = byFamily.get(f.id);
    return offer === undefined || wishes.every((w) => offer.grants.includes(w));
  };
  const shown = FAMILIES.filter(grants);
  const lacking = new Map(
    ofWhat ? [...byFamily.values()].map((o) => [o.family, lackingOf(o, have, larder)] as const) : [],
  );
  const ranked = shown.toSorted((a, b) => lacksOf(lacking.get(a.id) ?? []) - lacksOf(lacking.get(b.id) ?? []));
  const groups = ofWhat
    ? [{ id: 'ranked', words: 'By what is at hand, least lacking first', of: ranked }]
    : EATEN.map((e) => ({ id: e, words: EATEN_WORDS[e], of: shown.filter((f) => eatenHow(f) === e) }));

  const take = async (f: Family) => {
    setTrouble(undefined);
    try {
      const { guests, role } = ask;
      router.push(
        `/plans/${await startPlan(f.id, { ...(guests === undefined ? {} : { guests }), ...(role === undefined ? {} : { role }) })}`,
      );
    } catch (e) {
      setTrouble(sentenceOf(e));
    }
  };
  const all = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (asks) all.current?.querySelector('input')?.focus();
  }, [asks]);
  useBegin(begin, setTrouble);
  const quickest = [...byFamily.values()]
    .filter((o) => o.totalS !== null)
    .sort((a, b) => (a.totalS ?? 0) - (b.totalS ?? 0))[0];

  return (
    <div ref={all} onKeyDown={onCardKey} role="presentation">
      <p
        className={look.ask}
        role="presentation"
        onKeyDown={(e) => {
          // What was asked is answered: on to the cakes.
          if (e.key === 'Enter' && e.target instanceof HTMLInputElement) setTimeout(() => toFirstCard(all.current));
        }}
      >
        <AskLine ask={ask} setAsk={setAsk} />
      </p>
      <WishPresses wishes={wishes} setWishes={setWishes} ofWhat={ofWhat} setOfWhat={setOfWhat} />
      {ofWhat ? <HaveChips offers={byFamily} have={have} nameOf={nameOf} onHave={setHave} /> : null}
      {trouble ? <Say tone="watch">{trouble}</Say> : null}
      <div role="status">
        {left > 0 && wishes.length > 0 ? <Soft>{`Still working out ${left} of them.`}</Soft> : null}
        {shown.length === 0 ? (
          <Soft>
            {`None is all of that. ${wishes.includes('hour') && quickest?.totalS ? `The quickest here takes ${sayDuration(quickest.totalS)}. ` : ''}Take one of the wishes back.`}
          </Soft>
        ) : null}
      </div>
      {groups.map((g) =>
        g.of.length === 0 ? null : (
          <section key={g.id} aria-labelledby={`eaten-${g.id}`}>
            <h2 id={`eaten-${g.id}`} className={look.group}>
              {g.words}
            </h2>
            <div className={look.cards}>
              {g.of.map((f) => (
                <OfferCard
                  key={f.id}
                  family={f}
                  offer={byFamily.get(f.id)}
                  lacking={ofWhat && byFamily.has(f.id) ? (lacking.get(f.id) ?? []) : undefined}
                  nameOf={nameOf}
                  nowMs={nowMs}
                  byMs={byMs}
                  onTake={() => void take(f)}
                />
              ))}
            </div>
          </section>
        ),
      )}
    </div>
  );
}
