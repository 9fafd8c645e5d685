import type { Step } from '../../steps/step';

/** A step laid on the clock, s from the first one. */
export interface LaidStep {
  readonly step: Step;
  readonly fromS: number;
  /** Until the hands are free again. */
  readonly handsToS: number;
  readonly toS: number;
}

/** From when a step is begun until it is done, s: its own time where the hands work inside it, else hands and then the wait. */
export const lastsS = (s: Pick<Step, 'handsOnS' | 'waitS' | 'timedS' | 'openS'>): number =>
  s.timedS ?? s.handsOnS + s.waitS + (s.openS ?? 0);

/**
 * Steps on one clock, one pair of hands, in the order in which a cook works: each begins when the hands are free and all that it needs is done.
 * @param steps in their order of work; each names what must be done before it
 */
export function layOut(steps: readonly Step[]): readonly LaidStep[] {
  const ends = new Map<string, number>();
  let handsFreeS = 0;
  return steps.map((step) => {
    const fromS = step.after.reduce((at, id) => Math.max(at, ends.get(id) ?? 0), handsFreeS);
    const handsToS = fromS + step.handsOnS;
    const toS = fromS + Math.max(step.handsOnS, lastsS(step));
    handsFreeS = handsToS;
    ends.set(step.id, toS);
    return { step, fromS, handsToS, toS };
  });
}
