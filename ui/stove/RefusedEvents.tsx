'use client';
import { Beside, LocalTime, Panel, Press, Say, Soft } from '../kit';
import look from '../kit/rows.module.css';
import { eventWords } from './eventWords';
import type { BatchHand } from './useBatch';

/** What was written down here and the kitchen would not have: with why, until the cook sends it again or throws it away. */
export function RefusedEvents({ hand }: { hand: BatchHand }) {
  if (hand.refused.length === 0) return null;
  return (
    <Panel label="Not written down">
      <Say tone="stop">Not written down, and kept here:</Say>
      <ul className={look.bare}>
        {hand.refused.map((w) => (
          <li key={w.key}>
            <Beside
              presses={
                <>
                  <Press onClick={() => hand.again(w.key)}>Send again</Press>
                  <Press quiet onClick={() => hand.throwAway(w.key)}>
                    Throw away
                  </Press>
                </>
              }
            >
              {eventWords(w.event, hand.batch.snapshot.steps)},{' '}
              <LocalTime at={new Date(w.atMs).toISOString()} as="time" />
              <Soft>{w.refused}</Soft>
            </Beside>
          </li>
        ))}
      </ul>
    </Panel>
  );
}
