'use client';
import { sayTimes } from '@/core/model/steam';
import { plural, sayDuration, sayGrams, sayMm } from '@/core/units';
import { Told } from '../kit';
import { PourTable } from '../kit/PourTable';
import { WeighList } from '../kit/WeighList';
import { LabelBox } from './LabelBox';
import { PrintedLife } from './PrintedLife';
import { PrintedSection } from './PrintedSection';
import type { Card } from '@/core/desk/card';
import type { Paper } from './printed';
import { useFit } from './useFit';
import look from './print.module.css';

/** One page for the counter, set as large as it fits: section, weigh-out, clock, method, care, and the label to cut off. */
export function CardSheet({ card, paper, made }: { card: Card; paper: Paper; made: Date }) {
  const [page, pt] = useFit<HTMLDivElement>(paper);
  return (
    <div ref={page} className={look.page} data-paper={paper} data-one style={{ fontSize: `${pt}pt` }}>
      <section aria-label="Card" className={look.card}>
        <header className={look.top}>
          <div>
            <h1>{card.name}</h1>
            <p>
              {card.family} · {plural(card.guests, 'guest')} · <Told>{sayGrams(card.massG)}</Told> · {card.vessel},{' '}
              <Told>{sayMm(card.depthM)}</Told> deep
            </p>
            <p className={look.main}>
              {card.times === null
                ? 'No steaming.'
                : `Steam, ${card.heat}: check at ${sayDuration(card.times.checkAtS)}; ${sayTimes(card.times)}.`}
              {card.pieces === null ? null : (
                <Told>{` ${plural(card.pieces, 'piece')} of ${sayGrams(card.gramsAPiece ?? 0)}.`}</Told>
              )}
            </p>
          </div>
          <PrintedSection card={card} />
        </header>
        <WeighList groups={card.weighOut} columns={3} />
        <PrintedLife life={card.life} />
        <ol className={look.steps}>
          {card.steps.map((s, i) => (
            <li key={i}>
              <b>{s.verb}.</b> <Told>{s.sentence}</Told>
              {s.lookFor ? (
                <i>
                  {' '}
                  <Told>{s.lookFor}</Told>
                </i>
              ) : null}
              {s.timeline ? <PourTable moments={s.timeline} /> : null}
            </li>
          ))}
        </ol>
        <h2>Take care</h2>
        <p>
          {card.cautions.map((c) => (
            <span key={c}>
              <Told>{c}</Told>{' '}
            </span>
          ))}
        </p>
      </section>
      <LabelBox card={card} made={made} />
    </div>
  );
}
