import { doubles as a, enter, wholes, type Tenant } from './arena';
import { SIDES, type HeatGrid } from './grid';
import type { ConductionProblem, SideSpec } from './conduction.types';
import { tableSpec, writeTables, type TableSpec } from './tables';

/**
 * Everything a run works on lies in the buffer, array after array, and is reached by the offset of its array. Cells are numbered x fastest.
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
/** Base of a sweep, °C, one over the pivot, K/W, and upper factor. */
export const BASE = 13;
export const PER_PIVOT = 14;
export const UPPER = 15;
/** Temperature of the pieces now and as the step began, °C. */
export const PIECES = 16;
export const PIECES_BEFORE = 17;
const ARRAYS = 18;

/**
 * Arrays of the faces. `wall…`: wall temperature now, as the step began and in the sweep in hand, °C; `inWK`, `outWK`: conductances from the wall
 * inwards and outwards, W/K; `filmH`, `ambientC`: film, W/(m²·K), and surroundings; area, m², and distance of the cell's middle, m; `outerR`,
 * `innerR`, `wallJK`: resistances of the wall's halves, m²K/W, and its heat capacity, J/K. Of the sweep in hand: `hold`, capacity over its time, W/K,
 * `added`, what the wall adds to its cell's capacity, J/K, and `per`, one over the wall node's diagonal.
 */
const FACE_ARRAYS = [
  ...(['wallC', 'wallBefore', 'wallStage', 'inWK', 'outWK', 'filmH', 'ambientC', 'areaM2', 'distanceM'] as const),
  ...(['outerR', 'innerR', 'wallJK', 'hold', 'added', 'per'] as const),
] as const;
type FaceArray = (typeof FACE_ARRAYS)[number];

/** Doubles in a line of the cache; arrays are begun some lines off each other, so that one cell's values do not share a set of the cache. */
const LINE = 8;
const pitchFor = (n: number): number => Math.ceil(n / LINE) * LINE + 5 * LINE;

/** Films and walls of a grid, face by face, axis by axis: where each of their arrays begins in the buffer. */
export interface Faces extends Readonly<Record<FaceArray, number>> {
  readonly count: number;
  /** Where the faces of each axis begin. */
  readonly from: readonly [number, number, number, number];
  /** Where the grid lists each of its faces here. */
  readonly placeOf: Int32Array;
  /** Where their cells and their sides are listed among the whole numbers. */
  readonly cells: number;
  readonly sides: number;
}

export interface Field extends Tenant {
  readonly grid: HeatGrid;
  readonly size: number;
  /** From one array of cells to the next. */
  readonly pitch: number;
  readonly tables: TableSpec;
  readonly faces: Faces;
  /** Heat through the films of each side in the step in hand, J. */
  readonly sideJ: Float64Array;
}

/** One array of cells of a field, as a view of the buffer: for as long as the field has it. */
export const cellsOf = (f: Field, array: number): Float64Array => a.subarray(array * f.pitch, array * f.pitch + f.size);
/** The walls of its faces, °C. */
export const wallsOf = (f: Field): Float64Array => a.subarray(f.faces.wallC, f.faces.wallC + f.faces.count);

/** How a grid's faces lie axis by axis. Kept with the grid: one grid is often run many times. */
const ORDERS = new WeakMap<HeatGrid, { placeOf: Int32Array; from: [number, number, number, number] }>();
function orderOf(grid: HeatGrid) {
  const known = ORDERS.get(grid);
  if (known) return known;
  const { faces } = grid;
  const placeOf = new Int32Array(faces.length);
  const from: [number, number, number, number] = [0, 0, 0, 0];
  let q = 0;
  for (let axis = 0; axis < 3; axis++) {
    from[axis] = q;
    for (let i = 0; i < faces.length; i++) if (faces[i].axis === axis) placeOf[i] = q++;
  }
  from[3] = q;
  const made = { placeOf, from };
  ORDERS.set(grid, made);
  return made;
}

function openFaces(f: Field, wallOf: number | ((face: number) => number)): void {
  const { placeOf, cells, sides, wallC, areaM2, distanceM } = f.faces;
  const { faces } = f.grid;
  for (let i = 0; i < faces.length; i++) {
    const q = placeOf[i];
    const face = faces[i];
    wholes[cells + q] = face.cell;
    wholes[sides + q] = SIDES.indexOf(face.side);
    a[areaM2 + q] = face.areaM2;
    a[distanceM + q] = face.distanceM;
    a[wallC + q] = typeof wallOf === 'number' ? wallOf : wallOf(i);
  }
}

/** What stands behind each face: resistances and heat capacity of its wall. They stay until the surroundings change. */
export function standBehind(f: Field, sides: readonly SideSpec[]): void {
  const { count, sides: sideAt, areaM2, outerR, innerR, wallJK } = f.faces;
  for (let q = 0; q < count; q++) {
    const s = sides[wholes[sideAt + q]];
    a[outerR + q] = s.outerR;
    a[innerR + q] = s.innerR;
    a[wallJK + q] = s.capacity * a[areaM2 + q];
  }
}

function into(f: Field, array: number, values: number | Float64Array): void {
  const from = array * f.pitch;
  if (typeof values === 'number') a.fill(values, from, from + f.size);
  else a.set(values, from);
}

/** The field of a problem as it starts; it has the buffer. */
export function fieldOf(problem: ConductionProblem): Field {
  const { grid, materials, materialOf, pieces } = problem;
  const [nx, ny, nz] = grid.n;
  const size = nx * ny * nz;
  const count = grid.faces.length;
  const pitch = pitchFor(size);
  const facePitch = pitchFor(count);
  const facesAt = ARRAYS * pitch;
  const tables = tableSpec(materials, facesAt + FACE_ARRAYS.length * facePitch);
  const arrays = Object.fromEntries(FACE_ARRAYS.map((name, i) => [name, facesAt + i * facePitch])) as Record<
    FaceArray,
    number
  >;
  const f: Field = {
    grid,
    size,
    pitch,
    tables,
    faces: { count, ...orderOf(grid), ...arrays, cells: size, sides: size + count },
    sideJ: new Float64Array(SIDES.length),
    doubles: tables.end,
    wholes: size + 2 * count,
  };
  enter(f);
  a.fill(0, 0, facesAt);
  writeTables(tables, materials, a);
  into(f, TEMP, problem.initialC);
  into(f, GEL, problem.initialG ?? 0);
  if (pieces) into(f, PIECES, pieces.initialC);
  // What is outside the vessel is a material of its own, so that no loop has to ask. Heat that pieces hold is exchanged with them.
  const own = 1 - (pieces?.share ?? 0);
  const outside = materials.length;
  const { volume } = grid;
  const volumes = VOLUME * pitch;
  for (let c = 0; c < size; c++) {
    const v = volume[c];
    wholes[c] = v > 0 ? (materialOf ? materialOf[c] : 0) : outside;
    a[volumes + c] = own * v || 1;
  }
  for (let axis = 0; axis < 3; axis++) {
    const link = grid.link[axis];
    const at = (LINK + axis) * pitch;
    for (let c = 0; c < size; c++) a[at + c] = 2 * link[c];
  }
  let sum = 0;
  for (let c = 0; c < size; c++) sum += a[c];
  openFaces(f, problem.wallC ?? sum / size);
  return f;
}
