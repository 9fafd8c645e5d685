import { tabulate, type Lookup } from './lookup';
import { gelLaw, plainGelling, type Gelling, type GelLaw } from './gelatinise';

/** A conducting material for the solver: what is needed per cell, tabulated in temperature. */
export interface HeatMaterial {
  /** Conductivity, W/(m·K). */
  readonly k: Lookup;
  /** Heat capacity per volume, J/(m³·K), at constant mass. */
  readonly capacity: Lookup;
  /** Enthalpy per volume above 0 °C, J/m³: the integral of `capacity`. */
  readonly enthalpy: Lookup;
  readonly gel?: GelLaw;
}

/**
 * Material from k(T) and volumetric capacity C(T).
 * @param gelling how it gels, or its midpoint in plain water, °C; absent for what does not gel
 */
export function heatMaterial(
  k: (t: number) => number,
  capacity: (t: number) => number,
  gelling?: Gelling | number,
): HeatMaterial {
  const cap = tabulate(capacity);
  const enthalpy = new Float64Array(cap.values.length);
  const zero = Math.round(-cap.fromC * cap.perC);
  for (let i = 1; i < enthalpy.length; i++)
    enthalpy[i] = enthalpy[i - 1] + (cap.values[i] + cap.values[i - 1]) / 2 / cap.perC;
  const base = enthalpy[zero];
  return {
    k: tabulate(k),
    capacity: cap,
    enthalpy: { ...cap, values: enthalpy.map((h) => h - base) },
    gel: gelling === undefined ? undefined : gelLaw(typeof gelling === 'number' ? plainGelling(gelling) : gelling),
  };
}

/** A material with constant properties, for comparison with analytic solutions. */
export const constantMaterial = (k: number, capacity: number): HeatMaterial =>
  heatMaterial(
    () => k,
    () => capacity,
  );
