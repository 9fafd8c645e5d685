import { wayOf } from '../../families';
import type { Cake } from '../../cake';
import { sheetLimits, type SheetLimits } from '../../model/batter';
import { sayMm, there } from '../../units';

/** Inner radius of a filled roll and of a loose fold, m. */
const ROLL_RADIUS_M = 0.008;
const FOLD_RADIUS_M = 0.01;
const HOT_C = 50;
const COLD_C = 20;

export interface SheetForecast {
  readonly depthM: number;
  readonly hot: SheetLimits;
  readonly cold: SheetLimits;
  readonly grainUm: number;
  readonly rolls: boolean;
  readonly lifts: boolean;
  readonly sentence: string;
  /** What finer flour, more water, tapioca or less a pour would do, one sentence each. */
  readonly levers: readonly string[];
}

/** Whether a plan's sheets roll and lift; undefined for what is no sheet. */
export function sheetForecast(light: Cake): SheetForecast | undefined {
  const { family, balance, texture, fill, flow } = light;
  if (!wayOf(family).bends) return undefined;
  const first = there(balance.batters[0]);
  const p = first.parts;
  const dry = flow.lines.filter((l) => l.dry && l.group === first.id && l.massG > 0);
  const dryG = dry.reduce((a, l) => a + l.massG, 0);
  if (dryG <= 0 || fill.depthM <= 0) return undefined;
  const grainUm = dry.reduce((a, l) => a + l.massG * l.grainUm, 0) / dryG;
  const radiusM = family.id === 'noodle-sheets' ? FOLD_RADIUS_M : ROLL_RADIUS_M;
  const input = {
    texture,
    concentration: p.starch / Math.max(p.starch + p.water + p.sugar, 1e-9),
    grainUm,
    tapioca: first.starchShares.tapioca ?? 0,
    radiusM,
  };
  const hot = sheetLimits({ ...input, tempC: HOT_C });
  const cold = sheetLimits({ ...input, tempC: COLD_C });
  const { depthM } = fill;
  const rolls = depthM <= hot.thickestM;
  const lifts = depthM >= hot.thinnestM;
  const by = (change: Partial<typeof input>) => sayMm(sheetLimits({ ...input, ...change, tempC: HOT_C }).thickestM);
  const bend = family.id === 'noodle-sheets' ? 'folds' : 'rolls';
  return {
    depthM,
    hot,
    cold,
    grainUm,
    rolls,
    lifts,
    sentence: !rolls
      ? `A sheet of ${sayMm(depthM)} cracks at the bend: at most ${sayMm(hot.thickestM)} ${bend} hot, ${sayMm(cold.thickestM)} at room temperature.`
      : !lifts
        ? `A sheet of ${sayMm(depthM)} tears as it is lifted: pour at least ${sayMm(hot.thinnestM)}.`
        : `A sheet of ${sayMm(depthM)} ${bend}: up to ${sayMm(hot.thickestM)} hot, ${sayMm(cold.thickestM)} at room temperature; it lifts from ${sayMm(hot.thinnestM)}.`,
    levers: [
      ...(grainUm > 12
        ? [`Fine flour of 8 µm instead of ${Math.round(grainUm)} µm: up to ${by({ grainUm: 8 })}.`]
        : []),
      `A tenth more water: up to ${by({ concentration: input.concentration / 1.08 })}.`,
      ...((first.starchShares.tapioca ?? 0) < 0.25
        ? [
            `A tenth of the rice as tapioca: up to ${by({ texture: { ...texture, chewy: texture.chewy + 0.7 } })}, and it lifts thinner.`,
          ]
        : []),
      `A tenth less a pour: ${sayMm(depthM * 0.9)}.`,
    ],
  };
}
