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

/** Tables of a material as they lie in the buffer, kept with it: a material is run many times. */
interface Packed {
  readonly body: Float64Array;
  readonly gel: Float64Array | undefined;
}
const PACKED = new WeakMap<HeatMaterial, Packed>();

function pack(one: Float64Array, other: Float64Array): Float64Array {
  if (one.length !== other.length) throw new RangeError('Tables of one kind share their spacing.');
  const n = one.length;
  const packed = new Float64Array(n * NODE);
  for (let i = 0; i < n; i++) {
    packed[i * NODE] = one[i];
    packed[i * NODE + 2] = other[i];
    if (i + 1 === n) continue;
    packed[i * NODE + 1] = one[i + 1] - one[i];
    packed[i * NODE + 3] = other[i + 1] - other[i];
  }
  return packed;
}
function packedOf(m: HeatMaterial): Packed {
  const known = PACKED.get(m);
  if (known) return known;
  const made: Packed = {
    body: pack(m.k.values, m.capacity.values),
    gel: m.gel && pack(m.gel.equilibrium.values, m.gel.rate.values),
  };
  PACKED.set(m, made);
  return made;
}
const OUTSIDES = new Map<number, Float64Array>();
function outsideOf(nodes: number): Float64Array {
  const known = OUTSIDES.get(nodes);
  if (known) return known;
  const constant = (v: number) => new Float64Array(nodes).fill(v);
  const made = pack(constant(OUTSIDE.k), constant(OUTSIDE.capacity));
  OUTSIDES.set(nodes, made);
  return made;
}

/** Writes the tables of a run's materials where they are laid out. Errors: RangeError where they are not spaced alike. */
export function writeTables(spec: TableSpec, materials: readonly HeatMaterial[], a: Float64Array): void {
  const length = spec.bodyNodes * NODE;
  const gelLength = spec.gelNodes * NODE;
  materials.forEach((m, i) => {
    const { body, gel } = packedOf(m);
    if (body.length !== length || (gel && gel.length !== gelLength))
      throw new RangeError('Materials of one run share the spacing of their tables.');
    a.set(body, spec.body + i * length);
    if (gel) a.set(gel, spec.gel + i * gelLength);
  });
  a.set(outsideOf(spec.bodyNodes), spec.body + materials.length * length);
}
