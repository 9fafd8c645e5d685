import {
  conduct,
  gelRate,
  type ConductionProblem,
  type ConductionRun,
  type Gelling,
  type HeatGrid,
  type HeatMaterial,
} from '../heat';
import type { Vessel } from '../../kitchen';
import type { Turns } from '../../units';
import { depthForVolume } from '../vessel';
import { steamChamber, surfaceC } from './air';
import type { FieldFrames } from './frames';
import { advanceIn } from './heatCourse';
import { readyBetween, readyIn, SET_THROUGH, type Coldest, type Ready } from './ready';
import { SHIPPED_GRID, type PourGrid, type SteamSetting } from './singlePour';
import { stackFrames } from './stackFrames';
import { layerOf, stackGrid, wallsOf } from './stackGrid';
import { OPEN_H, sidesInAir, sidesInSteam, walledSide } from './surroundings';
import { wetTop } from './wetTop';

export interface LayerBatter {
  readonly material: HeatMaterial;
  readonly gelling: Gelling;
  readonly massG: number;
  readonly volumeMl: number;
  /** Seconds in which it settles: stir before each pour when the wait is longer. */
  readonly stirEveryS: number;
}

export interface LayerInput extends SteamSetting {
  readonly batters: readonly LayerBatter[];
  /** Which batter each layer is of, from the base up. */
  readonly order: readonly number[];
  readonly vessel: Vessel;
  readonly vesselCount: number;
  readonly startC: number;
  /** Air of the kitchen, °C, into which the lid is opened. */
  readonly kitchenC: number;
  /** Drops fall from the lid, kg/(m²·s); absent: none. */
  readonly dripsKgM2S?: number;
  /** Ready so much later than by the usual rule, °C: for what is not known of it. */
  readonly readyMoreC?: number;
  /** Standing in the steamer with the fire off, s, and what surrounds it then. */
  readonly stand?: { readonly timeS: number; readonly sides: ConductionProblem['sides'] };
}

export interface LayerPour {
  /** By index. */
  readonly batter: number;
  /** Grams and ladle volume of this pour, per vessel; the ladle makes up 1 % of scraping loss. */
  readonly grams: number;
  readonly ladleMl: number;
  readonly fromM: number;
  readonly toM: number;
  /** When it is poured, s from the first pour; how long until it may be poured upon; after which it is too late and layers part. */
  readonly atS: number;
  readonly waitS: number;
  readonly tooLateS: number;
  /** What it waited for: to set through, or for its top to take up the water on it; one that stays wet is blotted before the next. */
  readonly waitsFor: 'set' | 'tacky' | 'blotting';
  readonly stirFirst: boolean;
}
export interface LayerRun {
  readonly pours: readonly LayerPour[];
  readonly totalS: number;
  readonly lastS: number;
  /** Fire on until then, s: a fifth of the last layer's time more. */
  readonly steamedS: number;
  /** Heat taken from the steam, J, the losses of an open lid not counted against it. */
  readonly steamJ: number;
  /** The same over time, for what stands above it: until each moment, s, so much, W; 0 while the lid is up. */
  readonly flux: readonly (readonly [number, number])[];
  /** Energy not accounted for, share of the heat that went in and out. */
  readonly energyError: number;
  readonly frames: FieldFrames;
  readonly run: ConductionRun;
  readonly coldSpot: { readonly xM: number; readonly zM: number };
}

/** A layer takes another when it has set so far, less where the steam cannot set all of it. */
const LAYER_G = 0.85;
/** What is noted is over what it must come to: of a layer that takes another, and of the whole stack at last. */
const OVER_LAYER: Ready = { gel: 1, tempC: 0, most: 1 / LAYER_G };
const OVER_ALL: Ready = { gel: 1, tempC: 0, most: 1 / SET_THROUGH };
/** The last layer is planned for a fifth longer. */
const AFTER = 0.2;
/** A layer that has stood fully set for so long takes no other, s: roughen or wet it. */
const FULLY_SET_G = 0.99;
const STANDS_S = 1200;
/** The lid is up so long before a pour and after it, s. */
const LID_UP = { beforeS: 10, afterS: 20 } as const;
/** A set top on which more falls than it takes up is waited for so long, then blotted, s. */
const STAYS_WET_S = 60;
/** No step is longer, s: a layer is ready within minutes. */
const LONGEST_S = 60;
const SCRAPING = 0.01;
const GIVE_UP_S = 2 * 3600;

/** A wall that stood dry in the steam, at the end of a pour with the lid up, °C. */
function dryWallC(input: LayerInput): number {
  const { capacity } = walledSide(input, 1, 0);
  const left = Math.exp((-(LID_UP.beforeS + LID_UP.afterS) * OPEN_H) / capacity);
  return input.kitchenC + (input.room.steamC - input.kitchenC) * left;
}

function* runFor(run: ConductionRun, forS: number, keep?: () => void): Turns<void> {
  const until = run.timeS() + forS;
  while (run.timeS() < until - 1e-9) {
    run.advance(until);
    yield;
  }
  keep?.();
}

/**
 * Pours n layers on top of each other in one vessel, on the hot stack, with the lid up for half a minute each time: the next once the one below
 * is set through (its coldest cell G ≥ 0.85) and its top has taken up what condensed on it. The last is steamed until the coldest spot of the
 * whole stack is ready. Equal grams per layer of each batter.
 * @param cells how finely; the frames follow it
 * @returns undefined when a layer never sets
 */
export function* layerRun(input: LayerInput, cells: PourGrid = SHIPPED_GRID): Turns<LayerRun | undefined> {
  const { room, vessel, course, order } = input;
  const timesOf = input.batters.map((_, b) => order.filter((x) => x === b).length);
  const tops: number[] = [];
  let volume = 0;
  for (const b of order) {
    volume += input.batters[b].volumeMl / timesOf[b] / input.vesselCount;
    tops.push(depthForVolume(vessel, volume));
  }
  const goals = input.batters.map(({ gelling }) => {
    const ready = readyIn(gelling, room, course, input.readyMoreC);
    return { ...ready, layerGel: LAYER_G * Math.min(1, ready.most / SET_THROUGH) };
  });
  const nearsC = surfaceC(room, course) - Math.min(...goals.map((g) => g.tempC));
  const full = stackGrid(vessel, tops, tops.length, cells);
  const plane = full.n[0] * full.n[1];
  const steam = sidesInSteam({ ...input, steamC: room.steamC });
  const open = sidesInAir(input, input.kitchenC, false);
  const frames = stackFrames(full);
  const pours: LayerPour[] = [];
  let clock = 0;
  let run: ConductionRun | undefined;
  let coldest = 0;
  let steamedS = 0;
  const account = { steamJ: 0, movedJ: 0, errorJ: 0 };
  const flux: [number, number][] = [];
  for (let k = 0; k < order.length; k++) {
    const last = k === order.length - 1;
    const batter = input.batters[order[k]];
    const grid: HeatGrid = last ? full : stackGrid(vessel, tops, k + 1, cells);
    const size = grid.volume.length;
    const temp = new Float64Array(size).fill(input.startC);
    const gel = new Float64Array(size);
    if (run) {
      temp.set(run.temp);
      gel.set(run.gel);
    }
    const next: ConductionRun = conduct({
      grid,
      materials: input.batters.map((b) => b.material),
      materialOf: Uint8Array.from({ length: size }, (_, c) => order[layerOf(c, plane, cells)]),
      initialC: temp,
      initialG: gel,
      wallC: run ? wallsOf(run, grid, dryWallC(input)) : input.mouldC,
      sides: open,
      toleranceC: cells.toleranceC,
      maxStepS: Math.min(LONGEST_S, cells.maxStepS),
    });
    run = next;
    const held0 = next.heatHeldJ();
    const keep = () => frames.keep(next, clock);
    const all = Array.from({ length: size }, (_, c) => c).filter((c) => grid.volume[c] > 0);
    const poured = all.filter((c) => layerOf(c, plane, cells) === k);
    /** Of the whole stack at the last pour, of the poured layer before: set degree and °C over what its own batter must come to. */
    const note = (): Coldest => {
      let gel = Infinity;
      let tempC = Infinity;
      for (const c of last ? all : poured) {
        const goal = goals[order[layerOf(c, plane, cells)]];
        gel = Math.min(gel, next.gel[c] / (last ? goal.gel : goal.layerGel));
        const aboveC = last ? next.temp[c] - goal.tempC : 0;
        if (aboveC >= tempC) continue;
        tempC = aboveC;
        if (last) coldest = c;
      }
      return { timeS: next.timeS(), gel, tempC };
    };
    keep();
    yield* runFor(next, LID_UP.afterS);
    const opened = next.heatInJ();
    const from = clock;
    const chamber = steamChamber({ ...room, powerW: (t) => room.powerW(from + t) });
    next.surround(steam, chamber);
    flux.push([clock + LID_UP.afterS, 0]);
    let taken = opened;
    const wet = wetTop(next, input.foil, input.dripsKgM2S ?? 0);
    let before = note();
    const over = last ? OVER_ALL : OVER_LAYER;
    let set = readyBetween(before, before, over, nearsC);
    const hopeless = () => set !== undefined && next.timeS() > set + STAYS_WET_S && wet.staysWet();
    while ((set === undefined || (!last && !wet.tacky() && !hopeless())) && next.timeS() < GIVE_UP_S) {
      const dt = advanceIn(next, GIVE_UP_S, course, steam, chamber, clock);
      flux.push([clock + next.timeS(), (next.heatInJ() - taken) / dt]);
      taken = next.heatInJ();
      const now = note();
      set ??= readyBetween(before, now, over, nearsC);
      wet.note();
      before = now;
      yield;
    }
    if (set === undefined) return undefined;
    const blotted = !last && !wet.tacky();
    const tackyS = last || blotted ? 0 : wet.tackyS();
    const done = blotted ? Math.min(next.timeS(), set + STAYS_WET_S) : Math.max(set, tackyS);
    // The step that passed it is taken again, up to it: the next pour finds the stack as it is then.
    if (next.timeS() > done + 1e-6 && done > LID_UP.afterS) {
      next.undo();
      while (next.timeS() < done - 1e-6) next.advance(done);
    }
    keep();
    if (last) {
      steamedS = clock + done * (1 + AFTER);
      yield* runFor(next, Math.max(0, steamedS - clock - next.timeS()), keep);
    }
    account.steamJ += next.heatInJ() - opened;
    if (last && input.stand && input.stand.timeS > 0) {
      next.surround(input.stand.sides);
      yield* runFor(next, input.stand.timeS, keep);
    } else if (!last) {
      next.surround(open);
      yield* runFor(next, LID_UP.beforeS);
    }
    account.movedJ += Math.abs(next.heatInJ());
    account.errorJ += Math.abs(next.heatHeldJ() - held0 - next.heatInJ());
    const each = 1 / timesOf[order[k]] / input.vesselCount;
    const layerC = Math.min(...poured.map((c) => next.temp[c]));
    const toFullyS = Math.log((1 - LAYER_G) / (1 - FULLY_SET_G)) / (batter.gelling.rate * gelRate(layerC));
    pours.push({
      batter: order[k],
      grams: batter.massG * each,
      ladleMl: batter.volumeMl * each * (1 + SCRAPING),
      fromM: k === 0 ? 0 : tops[k - 1],
      toM: tops[k],
      atS: clock,
      waitS: last ? done : done + LID_UP.beforeS,
      tooLateS: last ? Infinity : Math.max(done, set + toFullyS) + STANDS_S,
      waitsFor: blotted ? 'blotting' : tackyS > set ? 'tacky' : 'set',
      stirFirst: k > 0,
    });
    clock += last ? next.timeS() : done + LID_UP.beforeS;
  }
  if (!run) return undefined;
  const last = pours[pours.length - 1];
  const i = coldest % full.n[0];
  const z = Math.floor(coldest / plane);
  return {
    pours,
    totalS: last.atS + last.waitS,
    lastS: last.waitS,
    steamedS,
    steamJ: account.steamJ,
    flux,
    energyError: account.movedJ > 0 ? account.errorJ / account.movedJ : 0,
    run,
    coldSpot: { xM: (full.edgesX[i] + full.edgesX[i + 1]) / 2, zM: (full.edgesZ[z] + full.edgesZ[z + 1]) / 2 },
    frames: frames.all(tops[tops.length - 1]),
  };
}
