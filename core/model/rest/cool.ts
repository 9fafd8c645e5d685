import type { Turns, Where } from '../../units';
import { boxGrid, conduct, survey, type ConductionRun, type HeatGrid, type HeatMaterial } from '../heat';
import type { Vessel } from '../../kitchen';
import { COARSE_GRID, frameRecorder, pourGrid, type FieldFrames, type WallSpec } from '../steam';
import { carryOver, inPieces } from './carryOver';
import { crossing, type CoolingPoint } from './safety';
import { stageSurroundings, type Airs } from './surroundings';

/** A while of cooling in one place; cut into so many portions before it. */
export interface Stage {
  readonly where: Where;
  readonly timeS: number;
  readonly pieces?: number | undefined;
}

export interface CoolingResult {
  readonly curve: readonly CoolingPoint[];
  readonly unmouldAtS: number | undefined;
  readonly cutReadyAtS: number | undefined;
  readonly frames: FieldFrames;
  /** Seconds from the start at which each stage begins, and at which the last one ends. */
  readonly stageStartsS: readonly number[];
  readonly stagesEndS: number;
}

export interface CoolingInput {
  readonly from: ConductionRun;
  readonly vessel: Vessel;
  readonly depthM: number;
  readonly material: HeatMaterial;
  readonly wall: WallSpec;
  readonly stages: readonly Stage[];
  readonly kitchen: Airs;
  readonly releaseC: number;
  readonly cutC: number;
  /** Left uncovered where it is chilled. */
  readonly open: boolean;
}

const LONGEST_S = 24 * 3600;
const EDGE_RELEASE_C = 45;
const CHILLED: ReadonlySet<Where> = new Set(['fridge', 'freezer', 'ice-bath']);
/** True where some stage chills: it is then judged by the two stages of cooling, else by its time at room temperature. */
export const isChilled = (stages: readonly Pick<Stage, 'where'>[]): boolean => stages.some((s) => CHILLED.has(s.where));

/** Area of a cake's top ÷ its perimeter, m: a quarter of the width of a round or square one. */
function topLengthM(grid: HeatGrid): number {
  const x = grid.edgesX[grid.edgesX.length - 1];
  if (grid.edgesY.length === 0) return x / 2;
  const y = grid.edgesY[grid.edgesY.length - 1];
  return (x * y) / (x + y);
}

/** A portion on its own: a block as deep as the cake, of its share of the volume. */
function portionGrid(whole: HeatGrid, depthM: number, pieces: number): HeatGrid {
  const volume = whole.volume.reduce((a, b) => a + b, 0) * whole.symmetry;
  const half = Math.sqrt(volume / depthM / pieces) / 2;
  return boxGrid(() => [half, half], depthM, 5, 5, 10);
}

/**
 * Cools the cake from the field that steaming left, stage after stage, as long as each is said to last. The last stage runs on until the
 * centre is under 5 °C, 24 h at most. A coarser grid than the steaming's carries the field: cooling has no sharp fronts. From a stage that is
 * portioned on, the warmest spot is that of one piece.
 */
export function* cool(input: CoolingInput): Turns<CoolingResult> {
  const { stages, kitchen, depthM } = input;
  const whole = pourGrid(input.vessel, depthM, COARSE_GRID);
  const material = [{ ...input.material, gel: undefined }];
  const begin = (
    grid: HeatGrid,
    temp: Float64Array,
    gel: number | Float64Array,
    wallC: number | undefined,
    i: number,
  ) =>
    conduct({
      grid,
      materials: material,
      initialC: temp,
      initialG: gel,
      sides: sidesOf(i, 0),
      ...(wallC === undefined ? {} : { wallC }),
      toleranceC: 0.8,
      maxStepS: 900,
    });
  let bareFromS = 0;
  let portioned = false;
  let grid = whole;
  function sidesOf(i: number, nowS: number) {
    const { where, pieces } = stages[i];
    const before = i > 0 ? stages[i - 1].where : undefined;
    const covered = CHILLED.has(where) && !input.open;
    if (!covered && (before === undefined || CHILLED.has(before))) bareFromS = nowS;
    portioned ||= pieces !== undefined;
    return stageSurroundings(where, kitchen, {
      wall: portioned ? undefined : input.wall,
      covered,
      bareFromS,
      topM: topLengthM(grid),
      sideM: depthM,
    });
  }
  let run = begin(
    grid,
    carryOver(input.from.grid, input.from.temp, grid),
    carryOver(input.from.grid, input.from.gel, grid),
    input.from.wallTemp.reduce((a, b) => a + b, 0) / input.from.wallTemp.length,
    0,
  );
  let startedS = 0;
  const recorder = frameRecorder(run, depthM, 120, 40);
  const curve: CoolingPoint[] = [];
  const nowS = () => startedS + run.timeS();
  const note = () => {
    const at = survey(run.temp, run.gel, grid.volume);
    curve.push({ timeS: nowS(), centreC: at.mostC, meanC: at.meanC, edgeC: at.leastC });
    if (grid === whole) recorder.note();
  };
  note();
  const stageStartsS: number[] = [];
  let stagesEndS = 0;
  for (const [i, stage] of stages.entries()) {
    stageStartsS.push(nowS());
    if (stage.pieces !== undefined && grid === whole) {
      startedS = nowS();
      const small = portionGrid(whole, depthM, stage.pieces);
      const temp = inPieces(whole, run.temp, small);
      grid = small;
      portioned = true;
      bareFromS = 0;
      run = begin(small, temp, 1, undefined, i);
    } else if (i > 0) run.surround(sidesOf(i, run.timeS()));
    const from = run.timeS();
    const least = from + stage.timeS;
    const last = i === stages.length - 1;
    const until = last ? Math.max(least, LONGEST_S - startedS) : least;
    while (run.timeS() < until - 1e-6) {
      if (last && run.timeS() >= least - 1e-6 && curve[curve.length - 1].centreC < 4.95) break;
      run.advance(run.timeS() < least - 1e-6 ? least : until);
      note();
      yield;
    }
    stagesEndS = startedS + least;
  }
  const edge = crossing(curve, (p) => p.edgeC, EDGE_RELEASE_C);
  const centre = crossing(curve, (p) => p.centreC, input.releaseC);
  return {
    curve,
    unmouldAtS: edge === undefined || centre === undefined ? undefined : Math.max(edge, centre),
    cutReadyAtS: crossing(curve, (p) => p.centreC, input.cutC),
    frames: recorder.frames(),
    stageStartsS,
    stagesEndS,
  };
}
