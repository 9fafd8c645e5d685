'use client';
import type { Family } from '@/core/families';
import type { Lacking, Offer } from '@/core/desk/newPlan';
import { inSentence, inUnits, sayDuration, sayMm } from '@/core/units';
import { useUnits } from '../kit';
import { MiniCake } from './MiniCake';
import { whenWords } from './when';
import look from './gallery.module.css';

/** One cake that could be made here, as a press that begins its plan. */
export function OfferCard({
  family,
  offer,
  lacking,
  nameOf,
  nowMs,
  byMs,
  onTake,
}: {
  family: Family;
  offer: Offer | undefined;
  /** What of it is not at hand; undefined: not asked. */
  lacking: readonly Lacking[] | undefined;
  nameOf: (ingredient: string) => string;
  nowMs: number;
  byMs: number | undefined;
  onTake: () => void;
}) {
  const units = useUnits();
  const pan = offer?.pan;
  const totalS = offer?.totalS ?? null;
  const handsOnS = offer?.handsOnS ?? null;
  const when = totalS === null ? undefined : whenWords(totalS, nowMs, byMs);
  return (
    <button type="button" className={look.card} data-card onClick={onTake} aria-busy={offer === undefined}>
      <MiniCake family={family} offer={offer} />
      <b>{family.name}</b>
      <span>
        {pan
          ? inUnits(
              `${pan.count > 1 ? `${pan.count} × ` : ''}${inSentence(pan.vessel.name)}, ${sayMm(pan.depthM)}`,
              units,
            )
          : ' '}
      </span>
      <span>
        {totalS === null || handsOnS === null
          ? (offer?.problem ?? 'working out its times')
          : `${sayDuration(handsOnS)} of hands, ${sayDuration(totalS)} in all`}
      </span>
      <span className={when?.late ? look.late : look.ready}>{when?.words ?? ' '}</span>
      {lacking === undefined ? (
        <small>{family.teaches}</small>
      ) : lacking.length === 0 ? (
        <small className={look.ready}>All of it is at hand.</small>
      ) : (
        <small>{`Lacks ${lacking.map((l) => lackWords(l, nameOf)).join(', ')}`}</small>
      )}
    </button>
  );
}

const lackWords = (l: Lacking, nameOf: (id: string) => string): string =>
  `${nameOf(l.id)}${l.standIn === undefined ? '' : ` (${nameOf(l.standIn)} can stand in)`}`;
