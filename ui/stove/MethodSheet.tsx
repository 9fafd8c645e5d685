'use client';
import { Dialog } from '@mui/material';
import { sayDuration } from '@/core/units';
import { LocalTime, Told } from '../kit';
import look from './method.module.css';
import presses from './presses.module.css';
import wording from './wording.module.css';
import { stepWords } from '@/core/steps';
import type { Cooking } from './useCooking';

/** The whole method, with what is done, what waits and what comes: one press shows a step. */
export function MethodSheet({
  cooking,
  onChoose,
  onLeave,
  onAfterwards,
}: {
  cooking: Cooking;
  onAfterwards: () => void;
  onChoose: (stepId: string) => void;
  onLeave: () => void;
}) {
  const { steps, course } = cooking;
  return (
    <Dialog
      fullScreen
      open
      onClose={onLeave}
      slotProps={{ paper: { className: look.method, 'aria-label': 'The whole method' } }}
    >
      <div className={presses.row}>
        <h2 className={wording.verb} style={{ flex: 1, fontSize: '2rem' }}>
          The whole method
        </h2>
        <button type="button" className={presses.plain} onClick={onAfterwards}>
          How it went
        </button>
        <button type="button" className={presses.plain} onClick={onLeave}>
          Back to the step
        </button>
      </div>
      <ol>
        {steps.map((s, i) => {
          const state = course.states.get(s.id);
          return (
            <li key={s.id}>
              <button
                type="button"
                className={look.methodStep}
                aria-current={course.now?.id === s.id ? 'step' : undefined}
                onClick={() => onChoose(s.id)}
              >
                <span>{i + 1}</span>
                <span>
                  <b>{s.verb}</b> <Told>{stepWords(s).rest}</Told>
                </span>
                <span className={wording.soft}>
                  {state?.is === 'done' ? (
                    <>
                      {state.skipped ? 'left out' : 'done'}{' '}
                      <LocalTime at={new Date(state.atMs).toISOString()} as="time" />
                    </>
                  ) : state?.is === 'waiting' ? (
                    'waiting'
                  ) : s.timedS === undefined ? (
                    `${sayDuration(s.handsOnS)}${s.waitS > 0 ? ` + ${sayDuration(s.waitS)}` : ''}`
                  ) : (
                    sayDuration(s.timedS)
                  )}
                </span>
              </button>
            </li>
          );
        })}
      </ol>
    </Dialog>
  );
}
