import { familyOf, formulaOf, wayOf } from '../../families';
import { forecast, forecastLight, type Forecast } from '../../forecast';
import { emptyKitchen, type Heat, type Kitchen, type Vessel, type WallMaterial } from '../../kitchen';
import { chooseSchool, scalePlan, type Plan, type SchoolQuestion } from '../../plan';
import { volumeAtDepth } from '../../model/vessel';

/** A cake as practice bands speak of it: a family's shipped formula in a vessel, to a depth, on a heat. */
export interface Cake {
  readonly family: string;
  readonly vessel: Vessel;
  /** Depth once cooked, mm; absent: as much as `ml` says. */
  readonly depthMm?: number;
  /** Batter in each vessel, ml, where its depth is not what is said. */
  readonly ml?: number;
  readonly heat?: Heat;
  readonly schools?: Partial<Record<SchoolQuestion, string>>;
  readonly layerMm?: number;
  readonly change?: (p: Plan) => Plan;
  /** Cooled, cut and seared as planned; else only steamed. */
  readonly whole?: boolean;
  readonly kitchen?: Kitchen;
}

type Size = { readonly heightM?: number; readonly baseM?: number };
const common = (name: string, material: WallMaterial, heightM: number) => ({
  id: 'vessel',
  name,
  material,
  heightM,
  count: 1,
  provenance: 'default' as const,
});
/** A round vessel of an inside diameter, m. */
export const round = (
  diameterM: number,
  material: WallMaterial = 'steel',
  { heightM = 0.075, baseM }: Size = {},
): Vessel => ({
  ...common(`Round ${material}, ${Math.round(diameterM * 1000)} mm`, material, heightM),
  shape: 'round',
  diameterM,
  ...(baseM === undefined ? {} : { baseDiameterM: baseM }),
});
/** A straight-sided tin or tray, m. */
export const box = (
  lengthM: number,
  widthM: number,
  {
    material = 'steel',
    heightM = 0.075,
    loaf = false,
  }: { material?: WallMaterial; heightM?: number; loaf?: boolean } = {},
): Vessel => ({
  ...common(`${material} ${Math.round(lengthM * 1000)} × ${Math.round(widthM * 1000)} mm`, material, heightM),
  shape: 'rectangular',
  lengthM,
  widthM,
  cornerRadiusM: 0,
  loaf,
});

const made = <T>(r: { ok: true; value: T } | { ok: false; problems: readonly { sentence: string }[] }): T => {
  if (!r.ok) throw new Error(r.problems.map((p) => p.sentence).join(' '));
  return r.value;
};

/** Scaling and rising settle in so many rounds. */
const ROUNDS = 4;

/** The plan of a cake: its family's formula, scaled until it is as deep as asked. Throws where the cake cannot be made. */
export function planOf(cake: Cake): Plan {
  const kitchen = cake.kitchen ?? emptyKitchen();
  const family = made(familyOf(cake.family));
  let plan = formulaOf(family);
  for (const [q, s] of Object.entries(cake.schools ?? {})) plan = chooseSchool(plan, q as SchoolQuestion, s);
  plan = {
    ...plan,
    vessel: cake.vessel,
    vesselCount: wayOf(family).refilled ? plan.vesselCount : 1,
    ...(cake.heat ? { heat: cake.heat } : {}),
  };
  plan = cake.change?.(plan) ?? plan;
  if (!cake.whole) plan = { ...plan, cooling: [], cut: undefined, sear: undefined };
  for (let i = 0; i < ROUNDS; i++) {
    const { fill, balance } = made(forecastLight(plan, kitchen));
    const wanted = cake.ml ?? volumeAtDepth(cake.vessel, (cake.depthMm ?? 30) / 1000 / fill.rise);
    plan = scalePlan(plan, (wanted * plan.vesselCount) / balance.volumeMl);
  }
  if (cake.layerMm !== undefined)
    plan = { ...plan, layers: Math.max(2, Math.round((cake.depthMm ?? 30) / cake.layerMm)) };
  return plan;
}

/** The forecast of a cake. Throws where it cannot be made. */
export const forecastOf = (cake: Cake): Forecast => made(forecast(planOf(cake), cake.kitchen ?? emptyKitchen()));
