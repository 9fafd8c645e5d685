import { bad, boilingPointC, figure, good, problem, sayGrams, sayMm, type Problem, type Result } from './units';
import type { Kitchen } from './kitchen';
import { ingredientOf, resolvePlan, type Plan, type ResolvedPlan } from './plan';
import { familyOf, schoolOf, type Family } from './families';
import {
  balancePlan,
  consistencyOf,
  gellingMidpoint,
  gellingOnset,
  massOf,
  mixTemperature,
  partsOf,
  textureOf,
  fermentTime,
  TEXTURE_AXES,
  type PlanBalance,
  type Texture,
} from './mix';
import { equilibriumGel } from './heat';
import { fillOf } from './vessel';
import { cutPlan } from './cut';
import { packPan } from './sear';
import type { LightForecast } from './forecast.types';

/** Grams a head by role. */
export const GRAMS_A_HEAD = { taste: 70, side: 120, breakfast: 180, meal: 260 } as const;
/** Part-cooked paste is taken off this far under the midpoint and loses this much on the way to the pan, °C. */
const PASTE_UNDER_C = 2;
const PASTE_LOSS_C = 8;
/** A layer thinner than this is not a layer, m. */
const LEAST_LAYER_M = 0.001;
/** Where the poured batter of a pot-cooked cake starts from, °C. */
export const POT_POUR_C = 88;
/** Beyond this the numbers are a slip of the finger. */
const MOST_BATTER_G = 40_000;

function gelling(balance: PlanBalance): number {
  const parts = balance.batters.map((b) => b.parts);
  const starch = parts.reduce((s, p) => s + p.starch, 0);
  const water = parts.reduce((s, p) => s + p.water, 0);
  const salt = parts.reduce((s, p) => s + p.salt, 0);
  const sugar = parts.reduce((s, p) => s + p.sugar, 0);
  return Math.max(
    ...balance.batters.map((b) =>
      gellingMidpoint({
        starchShares: b.starchShares,
        sugarPhase: sugar + water > 0 ? sugar / (sugar + water) : 0,
        saltInWaterPct: water > 0 ? (100 * salt) / water : 0,
        waterToStarch: starch > 0 ? water / starch : 10,
      }),
    ),
  );
}

function pourState(
  resolved: ResolvedPlan,
  family: Family,
  balance: PlanBalance,
  midpointC: number,
): LightForecast['pour'] {
  const { plan, kitchen, larder } = resolved;
  if (plan.pourC !== undefined)
    return {
      startC: figure(plan.pourC, 'measured'),
      startG: equilibriumGel(plan.pourC, midpointC),
      words: 'as you measured it',
    };
  if (family.cooked === 'pot') return { startC: figure(POT_POUR_C), startG: 1, words: 'cooked through in the pot' };
  if (schoolOf(family, plan.schools, 'intoPan') === 'part-cooked') {
    const paste = midpointC - PASTE_UNDER_C;
    return {
      startC: figure(paste - PASTE_LOSS_C),
      startG: equilibriumGel(paste, midpointC),
      words: 'part-cooked, off the hob',
    };
  }
  const boil = boilingPointC(kitchen.altitudeM);
  const things = [...plan.batters.flatMap((b) => b.lines), ...plan.addIns]
    .map((l) => ({
      parts: partsOf(ingredientOf(larder, l), l.massG),
      tempC: l.tempC ?? (l.treatment === 'boiling' ? boil : l.treatment === 'syrup' ? 60 : kitchen.roomC),
    }))
    .filter((t) => massOf(t.parts) > 0);
  const startC = things.length > 0 ? mixTemperature(things) : kitchen.roomC;
  const first = balance.batters[0];
  const onset = gellingOnset(first.starchShares, first.sugarPhase);
  return {
    startC: figure(startC),
    startG: equilibriumGel(startC, midpointC),
    words: startC > onset ? 'hot enough to part-cook as you stir' : 'mixed and raw',
  };
}

function fermentOf(resolved: ResolvedPlan, family: Family, balance: PlanBalance): LightForecast['ferment'] {
  const first = balance.batters[0];
  const yeastG = resolved.plan.batters
    .flatMap((b) => b.lines)
    .filter((l) => l.ingredient === 'dry-yeast')
    .reduce((s, l) => s + l.massG, 0);
  if (yeastG <= 0 || first.dryBlendG <= 0) return undefined;
  const dosePct = (100 * yeastG) / first.dryBlendG;
  const tempC = Math.min(34, Math.max(18, resolved.kitchen.roomC));
  const timeS = fermentTime(dosePct, tempC, first.sugarPhase, family.id === 'ground-grain-cups');
  return timeS === undefined ? undefined : { timeS, tempC, dosePct };
}

function textureFor(balance: PlanBalance, kitchen: Kitchen, family: string): Texture {
  const b = balance.batters[0];
  const p = b.parts;
  const t = textureOf({
    starchShares: b.starchShares,
    concentration: p.starch + p.water + p.sugar > 0 ? p.starch / (p.starch + p.water + p.sugar) : 0,
    sugarPhase: b.sugarPhase,
    fatPct: b.fatPct,
    proteinPct: b.massG > 0 ? (100 * p.protein) / b.massG : 0,
  });
  const offset = kitchen.textureOffsets[family];
  if (!offset) return t;
  return Object.fromEntries(
    TEXTURE_AXES.map((a) => [a, Math.min(10, Math.max(0, t[a] + (offset[a] ?? 0)))]),
  ) as unknown as Texture;
}

function adviceFor(family: Family, balance: PlanBalance): string[] {
  const out: string[] = [];
  const first = balance.batters[0];
  const [lo, hi] = family.liquidToDry;
  if (first.liquidToDry > 0 && first.liquidToDry < lo * 0.97)
    out.push(
      `Stiffer than this family runs (${first.liquidToDry.toFixed(2)} where ${lo} to ${hi} is usual): ${sayGrams((lo - first.liquidToDry) * first.dryBlendG)} more liquid reaches the band.`,
    );
  if (first.liquidToDry > hi * 1.03)
    out.push(
      `Looser than this family runs (${first.liquidToDry.toFixed(2)} where ${lo} to ${hi} is usual): ${sayGrams(first.liquidG / hi - first.dryBlendG)} more dry blend reaches the band.`,
    );
  for (const [id, [from, to]] of Object.entries(family.blend)) {
    const share = 100 * (first.shares[id] ?? 0);
    if (share > to + 1)
      out.push(`${Math.round(share)} % ${id.replaceAll('-', ' ')} is above this family's ${from} to ${to} %.`);
  }
  if (
    family.saltPct &&
    (balance.salt.pctOfTotal < family.saltPct[0] * 0.85 || balance.salt.pctOfTotal > family.saltPct[1] * 1.15)
  ) {
    const middle = (family.saltPct[0] + family.saltPct[1]) / 2;
    const off = ((middle - balance.salt.pctOfTotal) / 100) * balance.massG;
    out.push(
      `Salt is ${balance.salt.pctOfTotal.toFixed(2)} % of the cake, ${family.saltPct[0]} to ${family.saltPct[1]} % is usual: ${off > 0 ? 'add' : 'take out'} ${sayGrams(Math.abs(off))}.`,
    );
  }
  const pieces = massOf(balance.pieces);
  if (family.binderMin && pieces > 0 && balance.pieceVolumeShare > 0.45) {
    const need = family.binderMin * pieces - first.dryBlendG;
    if (need > 1) out.push(`Too many pieces to hold a cut: ${sayGrams(need)} more flour would bind them.`);
  }
  return out;
}

/** Everything about a plan that needs no heat solver. Errors: unknown family or references; soft problems are in the value. */
export function forecastLight(plan: Plan, kitchen: Kitchen): Result<LightForecast> {
  const family = familyOf(plan.family);
  const resolved = resolvePlan(plan, kitchen);
  if (!family.ok || !resolved.ok)
    return bad(...(family.ok ? [] : family.problems), ...(resolved.ok ? [] : resolved.problems));
  const fam = family.value;
  const r = resolved.value;
  const balance = balancePlan(r);
  const problems: Problem[] = [...balance.problems];
  if (balance.massG > MOST_BATTER_G)
    problems.push(
      problem(
        'absurd-amount',
        'batters',
        `${(balance.massG / 1000).toFixed(0)} kg is more than a kitchen cooks at once; check the amounts.`,
      ),
    );
  const consistency = plan.batters.map((b, i) => consistencyOf(b, balance.batters[i], r.larder));
  const midpointC = gelling(balance);
  const pour = pourState(r, fam, balance, midpointC);
  const fill = fillOf(r.vessel, plan.vesselCount, r.steamer, balance.volumeMl, fam.rise, fam.depthMm);
  problems.push(...fill.problems);
  if (fam.cooked === 'layers' && fill.depthM > 0) {
    const layers = plan.layers ?? fam.layers?.[0] ?? 5;
    const each = fill.depthM / layers;
    if (each < LEAST_LAYER_M)
      problems.push(
        problem(
          'layer-too-thin',
          'layers',
          `${layers} layers of ${(each * 1000).toFixed(1)} mm run together: under 1 mm none is seen. Pour ${Math.max(1, Math.floor(fill.depthM / 0.003))} of 3 mm, or take a smaller pan.`,
        ),
      );
  }
  const gramsEachVessel = balance.massG / plan.vesselCount;
  const cut =
    plan.cut && fill.depthM > 0 && balance.massG > 0
      ? cutPlan(r.vessel, fill.depthM, gramsEachVessel, plan.cut)
      : undefined;
  if (cut) problems.push(...cut.problems);
  let piece: LightForecast['piece'];
  let packing: LightForecast['packing'];
  if (plan.sear && cut && cut.count > 0) {
    const sizes = [cut.pitchM[0], cut.pitchM[1], fill.depthM].sort((a, b) => a - b);
    piece = { thicknessM: plan.sear.thicknessM ?? sizes[0], faceM: [sizes[1], sizes[2]] };
    packing = packPan(r.fryingPan, sizes[1], sizes[2]);
    problems.push(...packing.problems);
  }
  const gramsAHead = GRAMS_A_HEAD[plan.role];
  const neededG = gramsAHead * plan.guests;
  const advice = [...adviceFor(fam, balance), ...fill.advice];
  if (fill.depthM * fam.rise > 0 && fill.fits && fill.loads > 1)
    advice.push(
      `${plan.vesselCount} ${fam.cooked === 'cups' ? 'cups' : fam.cooked === 'sheets' || fam.cooked === 'pan-film' ? 'sheets' : 'pans'} go in ${fill.perLoad} at a time: ${fill.loads} loads.`,
    );
  if (piece && piece.thicknessM > 0.03)
    advice.push(`Pieces ${sayMm(piece.thicknessM)} thick take long to heat through in the pan.`);
  return good({
    resolved: r,
    family: fam,
    balance,
    consistency,
    texture: textureFor(balance, kitchen, fam.id),
    midpointC,
    pour,
    ferment: fermentOf(r, fam, balance),
    fill,
    cut,
    packing,
    piece,
    serves: { gramsAHead, neededG, enough: balance.massG >= neededG, gramsEach: balance.massG / plan.guests },
    problems,
    advice,
  });
}
