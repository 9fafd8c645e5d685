import type { Forecast } from '../../forecast/forecast.types';
import type { StampedEvent } from '../notebook';
import { timerOf, type Step, type StepMoment } from '../../steps';
import { sayWater, there } from '../../units';
import type { Course } from './course';
import { traitsOf } from '../../flow';
import { isSteaming, steamingOf } from './steaming';
import { overWater, loadsIn, stackIn } from '../../stations/steam';

/** What a timer is for: the end of a step's wait, a check, water, a stir, a moment inside a step, or the cook's own. */
export type TimerKind = 'wait' | 'check' | 'water' | 'stir' | 'moment' | 'own';

/** A timer as a start and a length: right whenever it is looked at. */
export interface Timer {
  readonly id: string;
  readonly name: string;
  readonly kind: TimerKind;
  readonly startMs: number;
  readonly forS: number;
  readonly stepId?: string;
}

export const endsMs = (t: Timer): number => t.startMs + t.forS * 1000;
/** Seconds left; below none: since it rang. One that starts later than now has all of its time. */
export const leftS = (t: Timer, nowMs: number): number => Math.min(t.forS, (endsMs(t) - nowMs) / 1000);

/** Boiling water goes in so long before it is due: none is caught with the pot dry, s. */
const WATER_AHEAD_S = 45;
/** Moments of a step that are older than this are not rung for any more, s. */
const STALE_S = 1800;

const subject = (s: Step): string => {
  const name = s.amounts[0]?.name ?? s.carried?.[0]?.name;
  return name === undefined ? '' : ` the ${there(name.toLowerCase().split(/,|\(/)[0]).trim()}`;
};
/** Where a cooling cake goes from when its time there is up. */
const OUT_OF: Readonly<Record<string, string>> = {
  counter: 'off the counter',
  fan: 'from under the fan',
  'ice-bath': 'out of the ice bath',
  fridge: 'out of the fridge',
  freezer: 'out of the freezer',
};
/** What rings at the end of a step's wait, as a cook would say it. */
export function waitName(s: Step): string {
  switch (s.op) {
    case 'steam':
    case 'layer':
      return 'check the cake';
    case 'stand':
      return 'lift it out';
    case 'boil-up':
      return 'the water boils';
    case 'cool':
      return OUT_OF[/^[a-z-]*[a-z]/.exec(s.id.slice('cool:'.length))?.[0] ?? ''] ?? 'cooled long enough here';
    case 'fry':
      return 'cool enough to fold in';
    case 'sear':
      return 'all seared';
    case 'fill':
      return 'the last ones are done';
    case 'preheat':
      return 'the moulds are hot';
    default:
      return `${s.verb.toLowerCase()}${subject(s)}`;
  }
}

/** Seconds from the boil at which the water must be topped up next, by what was topped up since; undefined: it lasts. */
export function waterDueS(f: Forecast | undefined, toppedMl: number): number | undefined {
  const water = overWater(f?.heat)?.water;
  if (!water || water.firstTopUpS === undefined || !(water.boilOffMlPerMin > 0)) return undefined;
  const dueS = water.firstTopUpS + (60 * toppedMl) / water.boilOffMlPerMin;
  const endS = loadsIn(f?.heat)?.finishS ?? stackIn(f?.heat)?.totalS ?? overWater(f?.heat)?.times?.planForS ?? Infinity;
  return dueS < endS ? dueS : undefined;
}

/** A batter that settles is stirred as often as it settles, from when it is mixed until it is poured. */
function stirs(f: Forecast | undefined, course: Course, nowMs: number): Timer[] {
  if (!f) return [];
  return f.light.resolved.plan.batters.flatMap((b, i): Timer[] => {
    const everyS = f.light.consistency[i]?.stirEveryS ?? Infinity;
    const mixed = course.states.get(`mix:${b.id}`);
    const poured = f.steps.some((s) => traitsOf(s.op).into && course.states.has(s.id));
    if (mixed?.is !== 'done' || poured || !Number.isFinite(everyS) || everyS < 120) return [];
    const turn = Math.max(0, Math.floor((nowMs - mixed.atMs) / 1000 / everyS));
    const name = f.light.resolved.plan.batters.length > 1 ? b.name.toLowerCase() : 'the batter';
    return [
      {
        id: `stir ${b.id} ${turn}`,
        name: `stir ${name}`,
        kind: 'stir',
        startMs: mixed.atMs + turn * everyS * 1000,
        forS: everyS,
        stepId: `mix:${b.id}`,
      },
    ];
  });
}

/** Moments of a step worth a timer, each with its place: the last that came, as long as it is not stale, and the next. */
function momentsToTell(step: Step, nowS: number): readonly (readonly [number, StepMoment])[] {
  const forS = timerOf(step);
  const told = [...(step.timeline ?? []).entries()].filter(
    // Water is reckoned from what was really topped up; the end of the step has a timer of its own.
    ([, m]) => !m.words.startsWith('Top up') && m.atS > 0 && m.atS < forS - 1,
  );
  const came = told.filter(([, m]) => m.atS <= nowS && !m.turn?.said).at(-1);
  const next = told.find(([, m]) => m.atS > nowS && !m.turn?.said);
  return [...(came && nowS - came[1].atS <= STALE_S && nowS < forS ? [came] : []), ...(next ? [next] : [])];
}

/**
 * Every timer of a batch: waits that run, the next check, the next water, stirs, moments of a step, and the cook's own; soonest first.
 * @param events those that count
 */
export function timersOf(
  steps: readonly Step[],
  course: Course,
  events: readonly StampedEvent[],
  forecast: Forecast | undefined,
  nowMs: number,
): readonly Timer[] {
  const ended = new Set(events.flatMap((e) => (e.kind === 'timer-ended' ? [e.timer] : [])));
  const out: Timer[] = [];
  for (const step of steps) {
    const state = course.states.get(step.id);
    if (state?.is !== 'waiting') continue;
    const check = step.op === 'check';
    const kind: TimerKind = check || traitsOf(step.op).steamClock ? 'check' : 'wait';
    out.push({
      id: `${step.id} ${state.beganMs}`,
      name: check ? 'check again' : waitName(step),
      kind,
      startMs: state.beganMs,
      forS: state.forS,
      stepId: step.id,
    });
    for (const [i, m] of momentsToTell(step, (nowMs - state.beganMs) / 1000)) {
      out.push({
        id: `${step.id} ${state.beganMs} ${i}`,
        name: there(m.words.split(/ \(|;/)[0]),
        kind: 'moment',
        startMs: state.beganMs,
        forS: m.atS,
        stepId: step.id,
      });
    }
  }
  const steaming = steamingOf(events);
  const on =
    steaming && steps.some((s) => (isSteaming(s.id) || s.op === 'check') && course.states.get(s.id)?.is === 'waiting');
  if (steaming && on) {
    const topped = events.filter((e) => e.kind === 'topped-up' && Date.parse(e.at) >= steaming.beganMs);
    const toppedMl = topped.reduce((a, e) => a + (e.kind === 'topped-up' ? e.massG : 0), 0);
    const dueS = waterDueS(forecast, toppedMl);
    const ml = overWater(forecast?.heat)?.water.topUpMl ?? 0;
    if (dueS !== undefined)
      out.push({
        id: `water ${steaming.beganMs} ${topped.length}`,
        name: `top up ${sayWater(ml)}, boiling`,
        kind: 'water',
        startMs: steaming.beganMs,
        forS: Math.max(0, dueS - WATER_AHEAD_S),
        stepId: steaming.stepId,
      });
  }
  out.push(...stirs(forecast, course, nowMs));
  for (const e of events)
    if (e.kind === 'timer-set')
      out.push({ id: e.timer, name: e.name, kind: 'own', startMs: Date.parse(e.at), forS: e.forS });
  return out.filter((t) => !ended.has(t.id)).sort((a, b) => endsMs(a) - endsMs(b));
}
