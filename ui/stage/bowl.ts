import { there } from '@/core/units';
import type { Forecast } from '@/core/forecast';
import type { Vessel } from '@/core/kitchen';
import type { Life } from '@/core/work/timeline';
import { depthForVolume, volumeAtDepth } from '@/core/model/vessel';

/** Height of a mixing bowl ÷ its width, and how full so much batter stands in it. */
const HIGH = 0.45;
const FULL = 0.55;
/** Of a pot: height ÷ width. */
const POT_HIGH = 0.6;
const UNIT_M = 0.3;

/** A bowl of a usual shape that so much batter half fills: a drawing needs a size, and it follows from the batter. */
export function bowlFor(volumeMl: number): Vessel {
  const at = (d: number): Vessel => ({
    id: 'bowl',
    name: 'Mixing bowl',
    material: 'steel',
    count: 1,
    provenance: 'default',
    shape: 'bowl',
    diameterM: d,
    heightM: HIGH * d,
  });
  const unit = at(UNIT_M);
  const held = volumeAtDepth(unit, FULL * unit.heightM);
  return at(UNIT_M * Math.cbrt(Math.max(1, volumeMl) / held));
}

/** A straight pot of so many ml. */
export function potFor(capacityMl: number, name = 'Pot'): Vessel {
  const d = Math.cbrt((4 * capacityMl * 1e-6) / (Math.PI * POT_HIGH));
  return {
    id: 'pot',
    name,
    material: 'steel',
    count: 1,
    provenance: 'default',
    shape: 'round',
    diameterM: Math.min(0.8, Math.max(0.02, d)),
    heightM: Math.min(0.4, Math.max(0.004, POT_HIGH * d)),
  };
}

export const depthIn = (v: Vessel, volumeMl: number): number => depthForVolume(v, volumeMl);

/** Share of a bowl's height that clears when the stir is due, by the settling law's own measure: the top 5 % of 10 cm. */
const CLEARS_M = 0.005;
/** As densely as grains settle: the bed keeps at least this share of the height. */
const BED = 0.45;

/** Clear liquid over a batter that has stood for a time, m: the front falls at the speed at which 5 mm clear in `stirEveryS`. */
export const clearOver = (depthM: number, stirEveryS: number, stoodS: number): number =>
  Number.isFinite(stirEveryS) && stirEveryS > 0 ? Math.min((1 - BED) * depthM, (CLEARS_M * stoodS) / stirEveryS) : 0;

/** Share of a batter's own grams, water and all, that is in its bowl at a moment, 0–1. */
export function mixedShare(f: Pick<Forecast, 'evaluated' | 'light'>, life: Life, batter: string, atS: number): number {
  const { lines } = f.light.flow;
  let all = 0;
  let inIt = 0;
  for (const l of life.laid) {
    const n = f.evaluated.byId.get(l.step.id);
    if (!n || l.step.station !== 'mix') continue;
    const own = n.node.takes.reduce(
      (a, t) =>
        a +
        (there(lines[t.line]).role === 'batter' && there(lines[t.line]).group === batter
          ? there(lines[t.line]).massG * t.share
          : 0),
      n.node.about === batter ? n.drawn.reduce((a, d) => a + d.massG, 0) : 0,
    );
    all += own;
    // Into the bowl while the hands are at it.
    const way =
      l.handsToS > l.fromS
        ? Math.min(1, Math.max(0, (atS - l.fromS) / (l.handsToS - l.fromS)))
        : Number(atS >= l.fromS);
    inIt += own * way;
  }
  return all > 0 ? inIt / all : 1;
}
