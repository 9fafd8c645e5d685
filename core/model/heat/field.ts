import { SIDES, type HeatGrid } from './grid';
import type { ConductionProblem } from './conduction.types';
import { tableSpec, writeTables, type TableSpec } from './tables';

/**
 * Everything a run works on lies in one buffer, `a`, array after array, and is reached by the offset of its array: loops over many arrays
 * of their own would load each one's address and length anew in every turn. Cells are numbered x fastest.
 */
export const TEMP = 0;
export const GEL = 1;
/** Temperatures as the step began, and as the one before it began, °C. */
export const BEFORE = 2;
export const OLDER = 3;
/** Volume, m³, conductivity, W/(m·K), heat capacity, J/K. */
export const VOLUME = 4;
export const CONDUCTIVITY = 5;
export const HEAT = 6;
/** Conductance to the next cell along x, y and z, W/K, and twice the geometry it comes from, m; 0 at the last. */
export const BETWEEN = 7;
export const LINK = 10;
/** What faces add to a cell's diagonal, W/K, and right-hand side, W, in the sweep in hand. */
export const ADD_DIAGONAL = 13;
export const ADD_RIGHT = 14;
/** Base of a sweep, °C, one over the pivot, K/W, and upper factor. */
export const BASE = 15;
export const PER_PIVOT = 16;
export const UPPER = 17;
const ARRAYS = 18;
/** Doubles in a line of the cache; arrays are begun some lines off each other, so that one cell's values do not share a set of the cache. */
const LINE = 8;

/** Films and walls of a grid, face by face, axis by axis; `from` says where each axis begins. */
export interface Faces {
  readonly count: number;
  readonly from: readonly [number, number, number, number];
  /** Where the grid lists each of its faces here. */
  readonly placeOf: Int32Array;
  readonly cell: Int32Array;
  readonly side: Uint8Array;
  readonly areaM2: Float64Array;
  readonly distanceM: Float64Array;
  /** Wall temperature now and as the step began, °C. */
  readonly wallC: Float64Array;
  readonly wallBefore: Float64Array;
  readonly wallStage: Float64Array;
  /** Conductances from the wall inwards and outwards, W/K, film coefficient and surroundings, of the step in hand. */
  readonly inWK: Float64Array;
  readonly outWK: Float64Array;
  readonly filmH: Float64Array;
  /** Heat capacity of the wall, J/K. */
  readonly wallJK: Float64Array;
  readonly ambientC: Float64Array;
  /** Of the sweep in hand: heat capacity over its time, W/K, and one over the wall node's diagonal. */
  readonly holdWK: Float64Array;
  /** What was last added to the right-hand side of its cell, W. */
  readonly pushedW: Float64Array;
  readonly perDiagonal: Float64Array;
  /** Heat through the films of each side in the step in hand, J. */
  readonly sideJ: Float64Array;
}

export interface Field {
  readonly grid: HeatGrid;
  readonly size: number;
  /** From one array of cells to the next in `a`. */
  readonly pitch: number;
  readonly a: Float64Array;
  readonly kind: Uint8Array;
  readonly tables: TableSpec;
  readonly faces: Faces;
}

function facesOf(grid: HeatGrid, wallOf: (face: number) => number): Faces {
  const order = [0, 1, 2].flatMap((axis) => grid.faces.flatMap((f, i) => (f.axis === axis ? [i] : [])));
  const list = order.map((i) => grid.faces[i]);
  const placeOf = new Int32Array(list.length);
  order.forEach((i, q) => (placeOf[i] = q));
  const n = list.length;
  const upTo = (axis: number) => list.filter((f) => f.axis < axis).length;
  const blank = () => new Float64Array(n);
  return {
    count: n,
    from: [0, upTo(1), upTo(2), n],
    cell: Int32Array.from(list, (f) => f.cell),
    side: Uint8Array.from(list, (f) => SIDES.indexOf(f.side)),
    areaM2: Float64Array.from(list, (f) => f.areaM2),
    distanceM: Float64Array.from(list, (f) => f.distanceM),
    placeOf,
    sideJ: new Float64Array(SIDES.length),
    wallC: Float64Array.from(order, wallOf),
    wallBefore: blank(),
    wallStage: blank(),
    inWK: blank(),
    outWK: blank(),
    filmH: blank(),
    ambientC: blank(),
    holdWK: blank(),
    pushedW: blank(),
    wallJK: blank(),
    perDiagonal: blank(),
  };
}

/** One array of cells of a field, as a view. */
export const cellsOf = (f: Field, array: number): Float64Array =>
  f.a.subarray(array * f.pitch, array * f.pitch + f.size);

/** The field of a problem as it starts. */
export function fieldOf(problem: ConductionProblem): Field {
  const { grid, materials } = problem;
  const [nx, ny, nz] = grid.n;
  const size = nx * ny * nz;
  const pitch = Math.ceil(size / LINE) * LINE + 5 * LINE;
  const tables = tableSpec(materials, ARRAYS * pitch);
  const a = new Float64Array(tables.end);
  writeTables(tables, materials, a);
  const into = (array: number, values: number | Float64Array) =>
    typeof values === 'number' ? a.fill(values, array * pitch, array * pitch + size) : a.set(values, array * pitch);
  into(TEMP, problem.initialC);
  into(GEL, problem.initialG ?? 0);
  // What is outside the vessel is a material of its own, so that no loop has to ask.
  const kind = Uint8Array.from(grid.volume, (v, c) => (v > 0 ? (problem.materialOf?.[c] ?? 0) : materials.length));
  // Heat that pieces hold is exchanged with them, not conducted into the material's own.
  const own = 1 - (problem.pieces?.share ?? 0);
  into(
    VOLUME,
    grid.volume.map((v) => own * v || 1),
  );
  grid.link.forEach((l, axis) =>
    into(
      LINK + axis,
      l.map((x) => 2 * x),
    ),
  );
  const meanC = a.subarray(0, size).reduce((sum, t) => sum + t, 0) / size;
  const wallC = problem.wallC ?? meanC;
  return {
    grid,
    size,
    pitch,
    a,
    kind,
    tables,
    faces: facesOf(grid, typeof wallC === 'function' ? wallC : () => wallC),
  };
}
