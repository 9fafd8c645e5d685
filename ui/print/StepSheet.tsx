'use client';
import { sayDuration } from '@/core/units';
import { Told } from '../kit';
import { PourTable } from '../kit/PourTable';
import { WeighList } from '../kit/WeighList';
import type { Card } from '@/core/desk/card';
import type { Paper } from './printed';
import look from './print.module.css';

/** The method large, a box to tick at every step, on as many pages as it takes. */
export function StepSheet({ card, paper }: { card: Card; paper: Paper }) {
  return (
    <div className={look.page} data-paper={paper}>
      <section aria-label="Step sheet" className={look.sheet}>
        <h1>{card.name}</h1>
        <WeighList groups={card.weighOut} columns={2} />
        <ol className={look.ticks}>
          {card.steps.map((s, i) => (
            <li key={i}>
              <i className={look.box} aria-hidden />
              <div>
                <b>{s.verb}.</b> <Told>{s.sentence}</Told>
                {s.lookFor ? (
                  <em>
                    {' '}
                    <Told>{s.lookFor}</Told>
                  </em>
                ) : null}
                {s.timeline ? <PourTable moments={s.timeline} /> : null}
              </div>
              <span>{s.waitS > 60 ? `then ${sayDuration(s.waitS)}` : ''}</span>
            </li>
          ))}
        </ol>
      </section>
    </div>
  );
}
