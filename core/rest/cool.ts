import { conduct, type ConductionRun, type HeatMaterial } from '../heat';
import type { Kitchen, Vessel } from '../kitchen';
import type { CoolingStage } from '../plan';
import { COARSE_GRID, frameRecorder, pourGrid, type FieldFrames, type WallSpec } from '../steam';
import { carryOver } from './carryOver';
import { stageSurroundings } from './surroundings';

/** One row of the cooling curve. */
export interface CoolingPoint {
  readonly timeS: number;
  readonly centreC: number;
  readonly meanC: number;
  readonly edgeC: number;
}

export interface SafetyCheck {
  readonly safe: boolean;
  /** Seconds from 60 °C to 21 °C and from 60 °C to 5 °C at the warmest spot; undefined: not reached. */
  readonly to21S: number | undefined;
  readonly to5S: number | undefined;
  readonly sentence: string;
}

export interface CoolingResult {
  readonly curve: readonly CoolingPoint[];
  readonly unmouldAtS: number | undefined;
  readonly cutReadyAtS: number | undefined;
  readonly check: SafetyCheck;
  readonly frames: FieldFrames;
  /** Seconds from the start at which each stage begins. */
  readonly stageStartsS: readonly number[];
}

export interface CoolingInput {
  readonly from: ConductionRun;
  readonly vessel: Vessel;
  readonly depthM: number;
  readonly material: HeatMaterial;
  readonly wall: WallSpec;
  readonly stages: readonly CoolingStage[];
  readonly kitchen: Kitchen;
  readonly releaseC: number;
  readonly cutC: number;
}

const GATE_1_S = 2 * 3600;
const GATE_2_S = 6 * 3600;
const LONGEST_S = 24 * 3600;
const EDGE_RELEASE_C = 45;

/** Time at which a falling curve first passes below `level`, by linear interpolation. */
function crossing(curve: readonly CoolingPoint[], of: (p: CoolingPoint) => number, level: number): number | undefined {
  if (curve.length > 0 && of(curve[0]) <= level) return curve[0].timeS;
  for (let i = 1; i < curve.length; i++) {
    const a = of(curve[i - 1]);
    const b = of(curve[i]);
    if (b <= level)
      return curve[i - 1].timeS + ((curve[i].timeS - curve[i - 1].timeS) * (a - level)) / Math.max(a - b, 1e-9);
  }
  return undefined;
}

/** The usual two-stage cooling rule of food codes on the warmest spot: 60 → 21 °C within 2 h, to 5 °C within 6 h in all. Local codes rule. */
export function coolingCheck(curve: readonly CoolingPoint[]): SafetyCheck {
  const at60 = crossing(curve, (p) => p.centreC, 60) ?? 0;
  const at21 = crossing(curve, (p) => p.centreC, 21);
  const at5 = crossing(curve, (p) => p.centreC, 5);
  const to21S = at21 === undefined ? undefined : at21 - at60;
  const to5S = at5 === undefined ? undefined : at5 - at60;
  const first = to21S !== undefined && to21S <= GATE_1_S;
  const second = to5S !== undefined && to5S <= GATE_2_S;
  const hours = (s: number) => `${(s / 3600).toFixed(1)} h`;
  const sentence =
    first && second
      ? `Cools safely: 60 to 21 °C in ${hours(to21S)}, to 5 °C in ${hours(to5S)}. Local food codes rule.`
      : !first
        ? `Too slow: 60 to 21 °C ${to21S === undefined ? 'is not reached' : `takes ${hours(to21S)}`}, 2 h is the limit. Move it to the fridge sooner, use an ice bath, or pour it shallower.`
        : `Too slow: ${to5S === undefined ? '5 °C is not reached' : `60 to 5 °C takes ${hours(to5S)}`}, 6 h is the limit. Chill it sooner or in smaller pieces.`;
  return { safe: first && second, to21S, to5S, sentence };
}

/**
 * Cools the cake from the field that steaming left, stage after stage. The last stage runs on until the centre is under 5 °C, 24 h at most.
 * A coarser grid than the steaming's carries the field: cooling has no sharp fronts.
 */
export function cool(input: CoolingInput): CoolingResult {
  const grid = pourGrid(input.vessel, input.depthM, COARSE_GRID);
  const stages = input.stages;
  const start = carryOver(input.from.grid, input.from.temp, grid);
  const run = conduct({
    grid,
    materials: [{ ...input.material, gel: undefined }],
    initialC: start,
    initialG: carryOver(input.from.grid, input.from.gel, grid),
    sides: stageSurroundings(stages[0].where, input.kitchen, input.wall),
    wallC: input.from.wallTemp.reduce((a, b) => a + b, 0) / input.from.wallTemp.length,
    toleranceC: 0.8,
    maxStepS: 900,
  });
  const recorder = frameRecorder(run, input.depthM, 120, 40);
  const curve: CoolingPoint[] = [];
  const note = () => {
    let warm = -Infinity;
    let cold = Infinity;
    let sum = 0;
    let vol = 0;
    for (let c = 0; c < run.temp.length; c++) {
      const v = grid.volume[c];
      if (v === 0) continue;
      warm = Math.max(warm, run.temp[c]);
      cold = Math.min(cold, run.temp[c]);
      sum += run.temp[c] * v;
      vol += v;
    }
    curve.push({ timeS: run.timeS(), centreC: warm, meanC: sum / vol, edgeC: cold });
    recorder.note();
  };
  note();
  const stageStartsS: number[] = [];
  stages.forEach((stage, i) => {
    stageStartsS.push(run.timeS());
    if (i > 0) run.surround(stageSurroundings(stage.where, input.kitchen, input.wall));
    const last = i === stages.length - 1;
    const until = run.timeS() + (last ? Math.max(stage.timeS, LONGEST_S - run.timeS()) : stage.timeS);
    const least = run.timeS() + stage.timeS;
    while (run.timeS() < until - 1e-6) {
      run.advance(run.timeS() < least ? least : until);
      note();
      if (last && run.timeS() >= least - 1e-6 && curve[curve.length - 1].centreC < 4.95) break;
    }
  });
  const edge = crossing(curve, (p) => p.edgeC, EDGE_RELEASE_C);
  const centre = crossing(curve, (p) => p.centreC, input.releaseC);
  return {
    curve,
    unmouldAtS: edge === undefined || centre === undefined ? undefined : Math.max(edge, centre),
    cutReadyAtS: crossing(curve, (p) => p.centreC, input.cutC),
    check: coolingCheck(curve),
    frames: recorder.frames(),
    stageStartsS,
  };
}
