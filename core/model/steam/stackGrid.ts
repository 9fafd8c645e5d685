import { boxGrid, roundGrid, type ConductionRun, type HeatGrid } from '../heat';
import type { Vessel } from '../../kitchen';
import { vesselShape } from '../vessel';

/** Cells of a layer's height, and across: round, and of a quarter box. */
export interface StackCells {
  readonly rows: number;
  readonly columns: number;
  readonly columnsBox: number;
}

/** Layer that a cell belongs to. @param plane cells in a row of the grid */
export const layerOf = (cell: number, plane: number, cells: StackCells): number =>
  Math.floor(Math.floor(cell / plane) / cells.rows);

/**
 * Grid of the first `count` layers of a stack. Its columns are those of the whole stack, so that a cell keeps its number as layers are added,
 * in a tapered vessel too.
 * @param tops heights of all layers, m
 */
export function stackGrid(vessel: Vessel, tops: readonly number[], count: number, cells: StackCells): HeatGrid {
  const shape = vesselShape(vessel);
  const edges = new Float64Array(count * cells.rows + 1);
  for (let k = 0; k < count; k++) {
    const from = k === 0 ? 0 : tops[k - 1];
    for (let r = 1; r <= cells.rows; r++) edges[k * cells.rows + r] = from + ((tops[k] - from) * r) / cells.rows;
  }
  const depth = tops[count - 1];
  const reach = tops[tops.length - 1];
  return shape.halfAt
    ? boxGrid(shape.halfAt, depth, cells.columnsBox, cells.columnsBox, edges.length - 1, edges, reach)
    : roundGrid(shape.halfWidthAt, depth, cells.columns, edges.length - 1, edges, reach);
}

/** Wall temperatures for a grid with a layer more: those that were, and the dry wall's where the batter now touches it. */
export function wallsOf(run: ConductionRun, grid: HeatGrid, dryC: number): (face: number) => number {
  const key = (f: HeatGrid['faces'][number]): string => `${f.cell} ${f.axis} ${f.side}`;
  const known = new Map(run.grid.faces.map((f, i) => [key(f), i]));
  return (face) => {
    const was = known.get(key(grid.faces[face]));
    return was === undefined ? dryC : run.wallC(was);
  };
}
