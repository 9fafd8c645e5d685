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

/** Arrays of the faces. Wall temperature now, as the step began and in the sweep in hand, °C. */
export const WALL = 0;
export const WALL_BEFORE = 1;
export const WALL_STAGE = 2;
/** Conductances from the wall inwards and outwards, W/K. */
export const IN = 3;
export const OUT = 4;
/** Film coefficient, W/(m²·K), and temperature of the surroundings, °C. */
export const FILM = 5;
export const AMBIENT = 6;
export const AREA = 7;
export const DISTANCE = 8;
/** Resistances of the wall's outer and inner half, m²K/W, and its heat capacity, J/K. */
export const OUTER_R = 9;
export const INNER_R = 10;
export const WALL_HEAT = 11;
/** Of the sweep in hand: heat capacity over its time, W/K, what it adds to its cell's capacity, J/K, and one over the wall node's diagonal. */
export const HOLD = 12;
export const ADDED = 13;
export const PER = 14;
const FACE_ARRAYS = 15;

/** Doubles in a line of the cache; arrays are begun some lines off each other, so that one cell's values do not share a set of the cache. */
const LINE = 8;
const pitchFor = (n: number): number => Math.ceil(n / LINE) * LINE + 5 * LINE;

/** Films and walls of a grid, face by face, axis by axis. */
export interface Faces {
  readonly count: number;
  /** Where the faces of each axis begin. */
  readonly from: readonly [number, number, number, number];
  /** Where the grid lists each of its faces here. */
  readonly placeOf: Int32Array;
  /** Where their arrays begin in the buffer, and from one to the next. */
  readonly at: number;
  readonly pitch: number;
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
  readonly hasPieces: boolean;
  /** Heat through the films of each side in the step in hand, J. */
  readonly sideJ: Float64Array;
}

/** One array of cells of a field, as a view of the buffer: for as long as the field has it. */
export const cellsOf = (f: Field, array: number): Float64Array => a.subarray(array * f.pitch, array * f.pitch + f.size);
/** One array of its faces. */
export const facesOf = (f: Field, array: number): Float64Array => {
  const from = f.faces.at + array * f.faces.pitch;
  return a.subarray(from, from + f.faces.count);
};

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
  const { placeOf, at, pitch, cells, sides } = f.faces;
  const { faces } = f.grid;
  const wall = at + WALL * pitch;
  const area = at + AREA * pitch;
  const distance = at + DISTANCE * pitch;
  for (let i = 0; i < faces.length; i++) {
    const q = placeOf[i];
    const face = faces[i];
    wholes[cells + q] = face.cell;
    wholes[sides + q] = face.side === 'base' ? 0 : face.side === 'wall' ? 1 : 2;
    a[area + q] = face.areaM2;
    a[distance + q] = face.distanceM;
    a[wall + q] = typeof wallOf === 'number' ? wallOf : wallOf(i);
  }
}

/** What stands behind each face: resistances and heat capacity of its wall. They stay until the surroundings change. */
export function standBehind(f: Field, sides: readonly SideSpec[]): void {
  const { count, at, pitch, sides: sideAt } = f.faces;
  const area = at + AREA * pitch;
  const outer = at + OUTER_R * pitch;
  const inner = at + INNER_R * pitch;
  const heat = at + WALL_HEAT * pitch;
  for (let q = 0; q < count; q++) {
    const s = sides[wholes[sideAt + q]];
    a[outer + q] = s.outerR;
    a[inner + q] = s.innerR;
    a[heat + q] = s.capacity * a[area + q];
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
  const tables = tableSpec(materials, facesAt + FACE_ARRAYS * facePitch);
  const f: Field = {
    grid,
    size,
    pitch,
    tables,
    faces: { count, ...orderOf(grid), at: facesAt, pitch: facePitch, cells: size, sides: size + count },
    hasPieces: pieces !== undefined,
    sideJ: new Float64Array(SIDES.length),
    doubles: tables.end,
    wholes: size + 2 * count,
  };
  // Arrays that are given may be views of another run's: they are read before that one leaves the buffer.
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
