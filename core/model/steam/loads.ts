/** Parts of one load's cycle, s. */
export interface CycleParts {
  /** Empty moulds in the steam before they are filled: cold ones, and ones still warm from the load before, after so long out of it. */
  readonly preheatS: number;
  readonly reheatS: (outS: number) => number;
  readonly oilS: number;
  /** Of one mould. */
  readonly fillS: number;
  /** Of one set lifted out, and of one mould released. */
  readonly liftS: number;
  readonly releaseS: number;
  /** Before it can be released. */
  readonly coolS: number;
  /** Until the chamber is full of steam again after the lid was off. */
  readonly purgeS: number;
  /** Filled where it stands in the steamer, lid off; else on the counter. */
  readonly filledInside: boolean;
}

/** Pieces that are steamed alike: once, or again once something was put on them. */
export interface LoadGroup {
  readonly name: string;
  readonly pieces: number;
  /** Each stage: what the hands put on before it, s a piece, and how long it steams, s. */
  readonly stages: readonly { readonly handsS: number; readonly steamS: number }[];
}

export interface LoadsInput {
  readonly groups: readonly LoadGroup[];
  /** Moulds in each set that is owned. */
  readonly sets: readonly number[];
  /** Sets the steamer holds at a time. */
  readonly places: number;
  readonly parts: CycleParts;
}

export type LoadPart = 'preheat' | 'fill' | 'steam' | 'lift' | 'cool' | 'release';
export interface LoadBar {
  readonly load: number;
  readonly set: number;
  readonly what: LoadPart;
  readonly fromS: number;
  readonly toS: number;
  readonly resource: 'steamer' | 'hands' | 'counter';
}
export interface Loads {
  readonly bars: readonly LoadBar[];
  readonly loads: number;
  /** Moulds in the largest set. */
  readonly together: number;
  readonly finishS: number;
  /** Hands at work, and the steamer from the first load in to the last one out, s. */
  readonly handsS: number;
  readonly steamerS: number;
  readonly perHour: number;
  readonly oneMoreSetSavesS: number;
  /** Sets with which the steamer never waits. */
  readonly setsToKeepBusy: number;
  /** What goes back into the steam once something was put on it: pieces, and their second stage, s. */
  /** Raw fillings by id, and how long they steam once more. */
  readonly again: readonly { readonly filling: string; readonly pieces: number; readonly steamS: number }[];
  /** Lid openings. */
  readonly openings: number;
}

/** A set put in or a lid lifted, s. */
const PUT_IN_S = 8;
const NEVER = Infinity;

interface Job {
  readonly load: number;
  readonly group: LoadGroup;
  readonly pieces: number;
}

type State = 'idle' | 'heating' | 'hot' | 'filled' | 'steaming' | 'cooling';
interface MouldSet {
  readonly size: number;
  state: State;
  job: Job | undefined;
  stage: number;
  /** When the state is over: for what steams or heats it moves on while the lid is off. */
  readyS: number;
  /** When it came out of the steam last; never: cold. */
  outS: number;
  bar: number;
}

interface Run {
  readonly bars: LoadBar[];
  readonly loads: number;
  readonly finishS: number;
  readonly handsS: number;
  readonly steamerS: number;
  readonly openings: number;
}

/**
 * The loads one after another, hand by hand: whenever the hands are free they do what matters most of what can be done (lift what is done,
 * fill or put in, release, put moulds in to heat), else they wait for the next thing to be ready. While the lid is off nothing steams.
 */
function run({ groups, sets, places, parts }: LoadsInput): Run {
  const bars: LoadBar[] = [];
  const left = groups.map((g) => g.pieces);
  let loads = 0;
  const all = sets.map((size): MouldSet => ({
    size,
    state: 'idle',
    job: undefined,
    stage: 0,
    readyS: 0,
    outS: NEVER,
    bar: -1,
  }));
  let now = 0;
  let handsS = 0;
  let openings = 0;
  let lastOpenS = -NEVER;
  let firstInS = NEVER;
  let lastOutS = 0;
  const inside = () => all.filter((s) => s.state === 'heating' || s.state === 'hot' || s.state === 'steaming');
  const bar = (s: MouldSet, what: LoadPart, fromS: number, toS: number, resource: LoadBar['resource']) =>
    bars.push({ load: s.job?.load ?? 0, set: all.indexOf(s), what, fromS, toS, resource }) - 1;
  /** Hands at work for a while, lid on or off. */
  const work = (s: MouldSet, what: LoadPart, forS: number, lidOff: boolean) => {
    bar(s, what, now, now + forS, 'hands');
    handsS += forS;
    if (lidOff) {
      const fresh = now > lastOpenS + 1e-9;
      const held = forS + (fresh ? parts.purgeS : 0);
      if (fresh) openings++;
      for (const other of inside())
        if (other !== s && (other.state === 'steaming' || other.state === 'heating') && other.readyS > now) {
          other.readyS += held;
          const b = bars[other.bar];
          if (b) bars[other.bar] = { ...b, toS: other.readyS };
        }
      lastOpenS = now + forS;
    }
    now += forS;
  };
  const begin = (s: MouldSet, state: 'heating' | 'steaming', forS: number) => {
    s.state = state;
    s.readyS = now + forS;
    s.bar = bar(s, state === 'heating' ? 'preheat' : 'steam', now, s.readyS, 'steamer');
    firstInS = Math.min(firstInS, now);
  };
  /** The next pieces for a set: as many of the first group with any left as it holds. */
  const take = (s: MouldSet) => {
    const g = left.findIndex((n) => n > 0);
    if (g < 0) return;
    const pieces = Math.min(left[g], s.size);
    left[g] -= pieces;
    s.job = { load: loads++, group: groups[g], pieces };
    s.stage = 0;
  };
  const wanted = () => left.some((n) => n > 0);
  const fill = (s: MouldSet) => {
    const { job } = s;
    if (!job) return;
    const first = job.group.stages[0];
    const forS = parts.oilS * job.pieces + (parts.fillS + first.handsS) * job.pieces;
    work(s, 'fill', forS, parts.filledInside);
    if (parts.filledInside) begin(s, 'steaming', first.steamS);
    else s.state = 'filled';
  };
  const actions: readonly ((s: MouldSet) => (() => void) | undefined)[] = [
    // What is done, or done with a stage.
    (s) =>
      s.state === 'steaming' && s.readyS <= now + 1e-9 && s.job
        ? () => {
            const { job } = s;
            if (!job) return;
            const stages = job.group.stages;
            if (s.stage + 1 < stages.length) {
              s.stage++;
              work(s, 'fill', stages[s.stage].handsS * job.pieces, true);
              begin(s, 'steaming', stages[s.stage].steamS);
              return;
            }
            work(s, 'lift', parts.liftS, true);
            lastOutS = now;
            s.outS = now;
            s.state = 'cooling';
            s.readyS = now + parts.coolS;
            bar(s, 'cool', now, s.readyS, 'counter');
          }
        : undefined,
    // Hot moulds are filled where they stand; filled ones go in where there is a place.
    (s) => (s.state === 'hot' ? () => fill(s) : undefined),
    (s) =>
      s.state === 'filled' && inside().length < places
        ? () => {
            work(s, 'fill', PUT_IN_S, true);
            begin(s, 'steaming', s.job?.group.stages[0].steamS ?? 0);
          }
        : undefined,
    (s) =>
      s.state === 'cooling' && s.readyS <= now + 1e-9
        ? () => {
            work(s, 'release', parts.releaseS * (s.job?.pieces ?? 0), false);
            s.state = 'idle';
            s.job = undefined;
          }
        : undefined,
    (s) =>
      s.state === 'idle' && wanted()
        ? parts.filledInside
          ? inside().length < places
            ? () => {
                take(s);
                const heatS = s.outS === NEVER ? parts.preheatS : parts.reheatS(now - s.outS);
                work(s, 'fill', PUT_IN_S, true);
                begin(s, 'heating', heatS);
              }
            : undefined
          : () => {
              take(s);
              fill(s);
            }
        : undefined,
  ];
  const settle = () => {
    for (const s of all) if (s.state === 'heating' && s.readyS <= now + 1e-9) s.state = 'hot';
  };
  for (;;) {
    settle();
    let act: (() => void) | undefined;
    for (const a of actions) {
      for (const s of all) {
        act = a(s);
        if (act) break;
      }
      if (act) break;
    }
    if (act) {
      act();
      continue;
    }
    const waiting = all.filter((s) => s.state === 'steaming' || s.state === 'heating' || s.state === 'cooling');
    if (waiting.length === 0) break;
    now = Math.max(now, Math.min(...waiting.map((s) => s.readyS)));
  }
  return {
    bars,
    loads,
    finishS: now,
    handsS,
    steamerS: firstInS === NEVER ? 0 : lastOutS - firstInS,
    openings,
  };
}

/** As many sets more as are tried to find out with which the steamer never waits. */
const TRIED = 6;
/** A set that saves less than this is one too many, s. */
const NOTHING_S = 20;

/**
 * Cups, sheets and pans in repeated loads: one pair of hands, all the mould sets that are owned, so many places in the steamer. Warm moulds are
 * reheated, not preheated; an open lid stops all that steams. Says what one more set would save, and how many keep the steamer busy.
 */
export function repeatedLoads(input: LoadsInput): Loads {
  const now = run(input);
  const pieces = input.groups.reduce((a, g) => a + g.pieces, 0);
  const size = input.sets[0];
  let best = now.finishS;
  let keep = input.sets.length;
  let oneMore = now.finishS;
  for (let more = 1; more <= TRIED; more++) {
    const { finishS } = run({ ...input, sets: [...input.sets, ...Array.from({ length: more }, () => size)] });
    if (more === 1) oneMore = finishS;
    if (finishS > best - NOTHING_S) break;
    best = finishS;
    keep = input.sets.length + more;
  }
  return {
    ...now,
    together: Math.max(...input.sets),
    again: input.groups
      .filter((g) => g.stages.length > 1)
      .map((g) => ({ filling: g.name, pieces: g.pieces, steamS: g.stages[g.stages.length - 1].steamS })),
    perHour: now.finishS > 0 ? (pieces / now.finishS) * 3600 : 0,
    oneMoreSetSavesS: Math.max(0, now.finishS - oneMore),
    setsToKeepBusy: keep,
  };
}

/** Thinnest and thickest of a thin pour on a counter that is off level: depth ± (width/2)·tan(tilt), not below nothing. */
export function tiltSpread(
  depthM: number,
  widthM: number,
  tiltDeg: number,
): { readonly thinM: number; readonly thickM: number } {
  const half = (widthM / 2) * Math.tan((tiltDeg * Math.PI) / 180);
  return { thinM: Math.max(0, depthM - half), thickM: depthM + half };
}
