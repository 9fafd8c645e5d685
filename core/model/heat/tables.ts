import type { HeatMaterial } from './material';

/**
 * Where the tables of a run's materials lie in its buffer, material after material. A node of `body` is conductivity, its slope, capacity,
 * its slope; a node of `gel` is equilibrium, its slope, rate, its slope: one look-up reads one line of the cache.
 */
export interface TableSpec {
  readonly fromC: number;
  readonly body: number;
  readonly bodyPerC: number;
  readonly bodyNodes: number;
  readonly gel: number;
  readonly gelPerC: number;
  /** Nodes a material has; 0 where none gels. */
  readonly gelNodes: number;
  /** 1 for a material that gels; the last is what is outside. */
  readonly gels: Uint8Array;
  readonly end: number;
}

/** What is outside the vessel, the last material of every run: nothing passes through it, and its capacity is not 0. */
const OUTSIDE = { k: 1e-30, capacity: 1 } as const;

/** Numbers in a node: two functions, each a value and its slope to the next node. */
export const NODE = 4;

/** Lays out the tables from `at` on. All tables of a kind are spaced alike, as `heatMaterial` makes them. */
export function tableSpec(materials: readonly HeatMaterial[], at: number): TableSpec {
  const { k } = materials[0];
  const gel = materials.find((m) => m.gel)?.gel?.rate;
  const bodyNodes = k.values.length;
  const gelNodes = gel?.values.length ?? 0;
  const gelAt = at + (materials.length + 1) * bodyNodes * NODE;
  return {
    fromC: k.fromC,
    body: at,
    bodyPerC: k.perC,
    bodyNodes,
    gel: gelAt,
    gelPerC: gel?.perC ?? 1,
    gelNodes,
    gels: Uint8Array.from([...materials, undefined], (m) => (m?.gel ? 1 : 0)),
    end: gelAt + materials.length * gelNodes * NODE,
  };
}

function write(a: Float64Array, at: number, place: number, values: Float64Array, nodes: number): void {
  if (values.length !== nodes) throw new RangeError('Materials of one run share the spacing of their tables.');
  for (let i = 0; i < nodes; i++) {
    a[at + i * NODE + place] = values[i];
    a[at + i * NODE + place + 1] = i + 1 < nodes ? values[i + 1] - values[i] : 0;
  }
}

export function writeTables(spec: TableSpec, materials: readonly HeatMaterial[], a: Float64Array): void {
  materials.forEach((m, i) => {
    const body = spec.body + i * spec.bodyNodes * NODE;
    write(a, body, 0, m.k.values, spec.bodyNodes);
    write(a, body, 2, m.capacity.values, spec.bodyNodes);
    if (!m.gel) return;
    const gel = spec.gel + i * spec.gelNodes * NODE;
    write(a, gel, 0, m.gel.equilibrium.values, spec.gelNodes);
    write(a, gel, 2, m.gel.rate.values, spec.gelNodes);
  });
  const outside = spec.body + materials.length * spec.bodyNodes * NODE;
  const constant = (v: number) => new Float64Array(spec.bodyNodes).fill(v);
  write(a, outside, 0, constant(OUTSIDE.k), spec.bodyNodes);
  write(a, outside, 2, constant(OUTSIDE.capacity), spec.bodyNodes);
}
