import { thermalProperties } from '../larder';
import { heatMaterial, type HeatMaterial } from '../heat';
import { thermalShares, type Parts } from '../mix';

/** Materials already tabulated, by composition, then by gas and midpoint: a spread asks for the same cake five times. */
const KNOWN = new WeakMap<Parts, Map<string, HeatMaterial>>();

/** The cake as a conducting material: Choi & Okos properties of its parts, trapped gas, and its gelling midpoint. */
export function cakeMaterial(parts: Parts, gasShare: number, midpointC: number): HeatMaterial {
  const key = `${gasShare} ${midpointC}`;
  const mine = KNOWN.get(parts) ?? new Map<string, HeatMaterial>();
  const known = mine.get(key);
  if (known) return known;
  const shares = thermalShares(parts);
  const rho = thermalProperties(shares, 25, gasShare).rho;
  const made = heatMaterial(
    (t) => thermalProperties(shares, t, gasShare).k,
    (t) => rho * thermalProperties(shares, t).c,
    midpointC,
  );
  KNOWN.set(parts, mine.set(key, made));
  return made;
}
