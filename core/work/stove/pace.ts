import type { Forecast } from '../../forecast/forecast.types';
import type { StampedEvent } from '../notebook';
import { stepsOf, type Step, type StepMoment } from '../../steps';
import { slowed } from '../../model/steam';
import { there } from '../../units';
import { isSteaming } from './steaming';

type Turn = NonNullable<StepMoment['turn']>;
/** What is still wet, or not clean, is looked at again so long after, s. */
const LOOK_AGAIN_S = { pour: 60, out: 20 } as const;

/** What a cook has said of a turn: it is due now, or so much later; undefined: of no turn. */
function saidOf(e: StampedEvent, step: Step): { readonly is: Turn['is']; readonly afterS: number } | undefined {
  if (e.kind === 'said' && e.stepId === step.id && (e.words === 'tacky' || e.words === 'wet'))
    return { is: 'pour', afterS: e.words === 'wet' ? LOOK_AGAIN_S.pour : 0 };
  if (e.kind === 'checked' && step.op === 'fill')
    return { is: 'out', afterS: e.state === 'clean' ? 0 : LOOK_AGAIN_S.out };
  return undefined;
}

/**
 * The moments of a step as they come: a pour goes on the last one when it was said to be tacky, a load comes out when its pick was clean; what
 * follows comes as long after that as was forecast. What is said belongs to the turn that was due nearest to it.
 * @param events those that count @param beganMs when the step was begun
 */
export function asItGoes(step: Step, events: readonly StampedEvent[], beganMs: number): readonly StepMoment[] {
  const moments = [...(step.timeline ?? [])];
  let from = 0;
  for (const e of events) {
    const said = saidOf(e, step);
    const atS = (Date.parse(e.at) - beganMs) / 1000;
    if (!said || atS < 0) continue;
    let nearest: number | undefined;
    moments.forEach((m, i) => {
      // The first pour is the beginning.
      if (i < from || m.turn?.is !== said.is || (m.turn.is === 'pour' && m.turn.number === 1)) return;
      if (nearest === undefined || Math.abs(m.atS - atS) < Math.abs(there(moments[nearest]).atS - atS)) nearest = i;
    });
    const at = nearest;
    const now = at === undefined ? undefined : moments[at];
    if (at === undefined || !now) continue;
    const byS = atS + said.afterS - now.atS;
    // Wet before its time says nothing new.
    if (said.afterS > 0 && byS <= 0) continue;
    // Water goes by the clock, whatever the cake does.
    moments.forEach((m, i) => {
      if (i >= at && m.turn) moments[i] = { ...m, atS: m.atS + byS };
    });
    if (said.afterS > 0) continue;
    const moved = moments[at];
    if (moved?.turn) moments[at] = { ...moved, turn: { ...moved.turn, said: true } };
    from = at + 1;
  }
  return moments;
}

const lastTurnS = (moments: readonly StepMoment[]): number => moments.findLast((m) => m.turn)?.atS ?? 0;

/** What has come and was not said is taken to be done after this, s. */
const TAKEN_S = 45;
/** True where a moment is over: said, or so long ago that it is taken to be done. @param nowS since the step was begun */
export const isOver = (m: StepMoment, nowS: number): boolean =>
  m.turn?.said === true || m.atS <= nowS - (m.turn ? TAKEN_S : 0);

/** Seconds that the load in the steam has been in it, where they go in turn; since the beginning where there is one. */
export function steamedInLoad(step: Step, sinceBegunS: number): number {
  const began = (step.timeline ?? []).filter((m) => m.turn?.is === 'in' && m.atS <= sinceBegunS).map((m) => m.atS);
  return sinceBegunS - (began.length > 0 ? Math.max(...began) : 0);
}

/** The steaming's own minutes in its sentence, for a cake that takes so many times as long. */
function sentenceAt(f: Forecast, stepId: string, factor: number): string | undefined {
  const { heat } = f;
  if (heat?.how !== 'steamed' && heat?.how !== 'loads') return undefined;
  const t = heat.steam.times;
  if (!t) return undefined;
  return stepsOf({
    light: f.light,
    heat: { ...heat, steam: { ...heat.steam, times: slowed(t, factor) } },
    e: f.evaluated,
  }).find((s) => s.id === stepId)?.sentence;
}

/** Steps as they go by touch: pours and loads, and with them the end of their step. @param events those that count */
export function byTouch(steps: readonly Step[], events: readonly StampedEvent[]): readonly Step[] {
  return steps.map((s) => {
    const began = events.findLast((e) => e.kind === 'begun' && e.stepId === s.id);
    if (!began || !isSteaming(s.id) || !s.timeline) return s;
    const timeline = asItGoes(s, events, Date.parse(began.at));
    const byS = Math.round(lastTurnS(timeline) - lastTurnS(s.timeline));
    return {
      ...s,
      timeline: [...timeline].sort((a, b) => a.atS - b.atS),
      waitS: Math.max(0, s.waitS + byS),
      ...(s.timedS === undefined ? {} : { timedS: Math.max(0, s.timedS + byS) }),
    };
  });
}

/**
 * Steps at the cake's own pace: what waits for it waits as long as it takes, and says so.
 * @param factor how many times as long it takes as forecast, by what was seen of it
 */
export function atPace(steps: readonly Step[], f: Forecast | undefined, factor: number): readonly Step[] {
  if (factor === 1) return steps;
  return steps.map((s) =>
    s.op === 'steam'
      ? { ...s, waitS: Math.round(s.waitS * factor), sentence: (f && sentenceAt(f, s.id, factor)) ?? s.sentence }
      : s,
  );
}
