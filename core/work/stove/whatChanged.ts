import type { Forecast } from '../../forecast/forecast.types';
import type { StampedEvent } from '../notebook';
import { listWords, sayC, sayDuration, sayGrams, sayMm, sayWater, sentenceCase } from '../../units';
import { overWater, loadsIn, stackIn } from '../../stations/steam';

/** One figure that both forecasts say, with how much of a change is worth a word. */
interface Told {
  readonly name: string;
  readonly value: number | undefined;
  readonly say: (v: number) => string;
  /** A change is told from this share on, or from this much on. */
  readonly least: number;
  readonly share: number;
}

const told = (f: Forecast): readonly Told[] => {
  const t = overWater(f.heat)?.times;
  const water = overWater(f.heat)?.water;
  const g = (name: string, value: number | undefined, least = 2, share = 0.01): Told => ({
    name,
    value,
    say: sayGrams,
    least,
    share,
  });
  const s = (name: string, value: number | undefined): Told => ({
    name,
    value,
    say: sayDuration,
    // Of a sheet's two minutes ten seconds are a lot.
    least: Math.min(30, 0.07 * (value ?? Infinity)),
    share: 0.015,
  });
  const loads = loadsIn(f.heat);
  const topUps = f.evaluated.nodes
    .filter((n) => n.node.op === 'top-up')
    .map((n) => g('water to top up', n.figures.waterG?.value));
  return [
    ...topUps,
    s('check at', t?.checkAtS),
    s('steam for', t?.planForS),
    s('all loads done in', loads && loads.loads > 1 ? loads.finishS : undefined),
    {
      name: 'depth',
      value: f.light.fill.depthM,
      say: sayMm,
      least: Math.min(0.0008, 0.07 * f.light.fill.depthM),
      share: 0.02,
    },
    {
      name: 'liquid to flour',
      value: f.light.balance.batters[0]?.liquidToDry,
      say: (v) => v.toFixed(2),
      least: 0.02,
      share: 0.01,
    },
    { name: 'salt', value: f.light.balance.salt.pctOfTotal, say: (v) => `${v.toFixed(2)} %`, least: 0.03, share: 0.02 },
    { name: 'poured at', value: f.light.pour.startC.value, say: sayC, least: 2, share: 0 },
    { name: 'water boiled off by', value: water && water.firstTopUpS, say: sayDuration, least: 60, share: 0.05 },
    { name: 'water to start', value: water?.startMl, say: sayWater, least: 100, share: 0.03 },
    s('layers in', stackIn(f.heat)?.totalS),
    s('cut after', f.heat?.rest?.cutReadyAtS),
    g('cake', f.light.balance.massG, 5, 0.01),
  ];
};
const MOST = 3;
export const NOTHING_MOVES = 'Nothing after it moves.';

/** Answers that can move figures; ticks, timers and photos move none. */
const MOVES: ReadonlySet<StampedEvent['kind']> = new Set(['read', 'line-weighed', 'line-changed', 'turned']);
/** What comes after a moving answer and makes its sentence an old one. */
const ENDS: ReadonlySet<StampedEvent['kind']> = new Set(['said', 'checked', 'ticked', 'begun', 'topped-up', 'probed']);
/** A sentence can be read for so long whatever comes, ms. */
const READ_MS = 15_000;

/** The answer that is being talked about: the last that can move figures, until something else is answered or done. */
export function lastMoving(events: readonly StampedEvent[]): StampedEvent | undefined {
  let moving: StampedEvent | undefined;
  for (const e of events) {
    if (MOVES.has(e.kind) || (e.kind === 'ticked' && e.skipped)) moving = e;
    else if (moving && ENDS.has(e.kind) && Date.parse(e.at) - Date.parse(moving.at) > READ_MS) moving = undefined;
  }
  return moving;
}

/** What an answer changed of everything after it, in one sentence. */
export function whatChanged(before: Forecast, after: Forecast): string {
  const old = told(before);
  const changes = told(after).flatMap((now, i) => {
    const was = old[i]?.name === now.name ? old[i].value : undefined;
    if (now.value === undefined || was === undefined) return [];
    const by = Math.abs(now.value - was);
    if (by < now.least || by < now.share * Math.abs(was) || now.say(now.value) === now.say(was)) return [];
    return [`${now.name} ${now.say(now.value)} instead of ${now.say(was)}`];
  });
  const wrong = after.light.problems.find((p) => !before.light.problems.some((q) => q.code === p.code));
  const most = changes.slice(0, MOST);
  const said = most.length > 0 ? `${sentenceCase(listWords(most))}.` : NOTHING_MOVES;
  return wrong ? `${said} ${wrong.sentence}` : said;
}
