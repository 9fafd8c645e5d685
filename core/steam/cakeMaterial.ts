import { thermalProperties } from '../larder';
import { heatMaterial, type HeatMaterial } from '../heat';
import { thermalShares, type Parts } from '../mix';

/** The cake as a conducting material: Choi & Okos properties of its parts, trapped gas, and its gelling midpoint. */
export function cakeMaterial(parts: Parts, gasShare: number, midpointC: number): HeatMaterial {
  const shares = thermalShares(parts);
  const rho = thermalProperties(shares, 25, gasShare).rho;
  return heatMaterial(
    (t) => thermalProperties(shares, t, gasShare).k,
    (t) => rho * thermalProperties(shares, t).c,
    midpointC,
  );
}
