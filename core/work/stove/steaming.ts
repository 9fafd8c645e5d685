import { operationOf, traitsOf } from '../../flow';
import type { StampedEvent } from '../notebook';

/** True for a step in the steam, whose beginning is the first second of the steaming. */
export const isSteaming = (stepId: string): boolean => traitsOf(operationOf(stepId)).inSteam === true;

export interface Steaming {
  readonly stepId: string;
  /** When it went into the steam, ms since 1970. */
  readonly beganMs: number;
}

/** The steaming that was begun last, by the events that count; undefined before. */
export function steamingOf(events: readonly StampedEvent[]): Steaming | undefined {
  const began = events.findLast((e) => e.kind === 'begun' && isSteaming(e.stepId));
  return began?.kind === 'begun' ? { stepId: began.stepId, beganMs: Date.parse(began.at) } : undefined;
}

/** The steaming whose cake is in the steam still: begun, no pick clean since, and not set to stand; undefined where none is. */
export function inSteam(events: readonly StampedEvent[]): Steaming | undefined {
  const steaming = steamingOf(events);
  const over = events.some(
    (e) =>
      (e.kind === 'checked' && e.state === 'clean' && steaming && Date.parse(e.at) >= steaming.beganMs) ||
      (e.kind === 'ticked' && e.done && operationOf(e.stepId) === 'stand'),
  );
  return over ? undefined : steaming;
}

/** Seconds in the steam at a moment: none before it began, nor where the moment lies before by a clock that was set back. */
export const steamedS = (s: Steaming | undefined, nowMs: number): number =>
  s ? Math.max(0, (nowMs - s.beganMs) / 1000) : 0;
