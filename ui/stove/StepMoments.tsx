'use client';
import { there } from '@/core/units';
import type { Step } from '@/core/steps';
import { isOver } from '@/core/work/stove';
import { Told } from '../kit';
import look from './stepMoments.module.css';
import { clockWords } from './TimerEdge';

/** The moments inside a step: those that came, crossed off; the next one large, with how long it is to it; and what follows. */
export function StepMoments({ step, waitedS }: { step: Step; waitedS: number | undefined }) {
  const moments = step.timeline ?? [];
  if (moments.length === 0) return null;
  const next = waitedS === undefined ? undefined : moments.find((m) => !isOver(m, waitedS));
  // Of many loads only the ones at hand: the next, and what it follows.
  const from = Math.max(0, (next ? moments.indexOf(next) : waitedS === undefined ? 0 : moments.length) - NEAR.before);
  const near = moments.length > NEAR.most ? moments.slice(from, from + NEAR.most) : moments;
  return (
    <ol className={look.moments} aria-label="Moments">
      {near.map((m) => (
        <li
          key={m.words}
          className={
            m === next ? look.momentNext : waitedS !== undefined && isOver(m, waitedS) ? look.momentPast : undefined
          }
          aria-current={m === next ? 'step' : undefined}
        >
          <b>
            {m === next && waitedS !== undefined
              ? m.atS > waitedS
                ? `in ${clockWords(m.atS - waitedS)}`
                : 'now'
              : m.atS < 1
                ? 'start'
                : clockWords(m.atS)}
          </b>
          <span>
            <Told>{shortWords(m.words)}</Told>
            {m === next ? (
              <small>
                <Told>
                  {m.words
                    .slice(shortWords(m.words).length)
                    .replace(/^ \(|^; /, '')
                    .replace(')', '')}
                </Told>
              </small>
            ) : null}
          </span>
        </li>
      ))}
      {near.length < moments.length ? <li className={look.momentPast}>{`${moments.length} moments in all`}</li> : null}
    </ol>
  );
}
/** A moment in few words; all of them are said of the next one. */
const shortWords = (words: string): string => there(words.split(/ \(|;/)[0]);
const NEAR = { before: 2, most: 8 } as const;
