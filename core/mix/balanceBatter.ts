import { problem, type Problem, type Provenance } from '../units';
import { isDryBlend, isLiquid, thermalProperties, type Larder, type StarchKind } from '../larder';
import { ingredientOf, type Batter, type Line } from '../plan';
import { drawJuice, drawsJuice } from './drawJuice';
import { addParts, massOf, NO_PARTS, partsOf, sumParts, takeParts, thermalShares, type Parts } from './parts';

export type WaterRoute =
  'water' | 'coconut' | 'juice' | 'soaking' | 'syrup' | 'wet add-in' | 'egg' | 'top-up' | 'drawn away' | 'poured away';

/** One row of the water ledger: where water comes from (or goes), g. Rows drawn or poured away are negative and do not count in hydration. */
export interface LedgerRow {
  readonly label: string;
  readonly route: WaterRoute;
  readonly waterG: number;
  readonly source: Provenance;
  /** Path of the plan line it comes from, for weighing it. */
  readonly path: string;
  readonly estimateG?: number;
}

export interface SaltLedger {
  readonly addedG: number;
  readonly fromAddInsG: number;
  readonly drawnAwayG: number;
  readonly leftG: number;
  readonly pctOfTotal: number;
}

export interface BatterBalance {
  readonly id: string;
  readonly name: string;
  /** Everything poured, without pieces. */
  readonly parts: Parts;
  readonly massG: number;
  readonly dryBlendG: number;
  /** Share of the dry blend by ingredient id, 0–1. */
  readonly shares: Readonly<Record<string, number>>;
  /** Share of the gelling starch by kind, 0–1. */
  readonly starchShares: Readonly<Partial<Record<StarchKind, number>>>;
  readonly addedWaterG: number;
  readonly hydration: number;
  readonly liquidG: number;
  readonly liquidToDry: number;
  /** Sugar ÷ (sugar + water). */
  readonly sugarPhase: number;
  readonly saltPct: number;
  readonly fatPct: number;
  readonly densityKgM3: number;
  readonly volumeMl: number;
  readonly topUpG: number;
  readonly ledger: readonly LedgerRow[];
  readonly reseason: { readonly saltG: number; readonly sugarG: number };
  readonly problems: readonly Problem[];
}

const SOAK_UPTAKE = 0.3;

const routeOf = (line: Line, kind: string): WaterRoute =>
  line.treatment === 'soaking-liquid'
    ? 'soaking'
    : line.treatment === 'syrup' || kind === 'sugar'
      ? 'syrup'
      : line.ingredient === 'egg'
        ? 'egg'
        : line.ingredient.startsWith('coconut')
          ? 'coconut'
          : kind === 'liquid'
            ? 'water'
            : 'wet add-in';

/** Volume of parts at 25 °C, ml. */
export const volumeOf = (p: Parts): number => {
  const m = massOf(p);
  return m <= 0 ? 0 : (m / thermalProperties(thermalShares(p), 25).rho) * 1000;
};

/**
 * Balance of one batter: sums its lines, the juice kept from add-ins, soak uptake, and the top-up that reaches the wanted liquid.
 * Hydration = added water from all routes ÷ dry blend; the flours' own moisture does not count as added.
 * @param batter the batter's lines
 * @param addIns add-in lines whose kept juice and cooked-out water belong to this batter
 * @param path path of the batter in the plan, for ledger rows and problems
 */
export function balanceBatter(batter: Batter, addIns: readonly Line[], larder: Larder, path: string): BatterBalance {
  const ledger: LedgerRow[] = [];
  const problems: Problem[] = [];
  const parts: Parts[] = [];
  const shares: Record<string, number> = {};
  const starch: Partial<Record<StarchKind, number>> = {};
  let dryBlendG = 0;
  let liquidG = 0;
  batter.lines.forEach((line, j) => {
    const ingredient = ingredientOf(larder, line);
    const linePath = `${path}.lines.${j}`;
    if (drawsJuice(line.treatment)) {
      const d = drawJuice(line, ingredient);
      parts.push(d.kept ? addParts(d.piece, d.juice) : d.piece);
      ledger.push({
        label: `${ingredient.name}, juice`,
        route: d.kept ? 'juice' : 'drawn away',
        waterG: d.kept ? d.juice.water : -d.juice.water,
        source: d.juiceG.source,
        path: linePath,
        estimateG: d.estimatedG,
      });
      if (d.kept) liquidG += d.juiceG.value;
      if (d.cooksOutG > 0)
        ledger.push({
          label: `${ingredient.name}, cooks out`,
          route: 'wet add-in',
          waterG: d.cooksOutG,
          source: 'default',
          path: linePath,
        });
      return;
    }
    const p = partsOf(ingredient, line.massG);
    if (isDryBlend(ingredient)) {
      parts.push(p);
      dryBlendG += line.massG;
      shares[ingredient.id] = (shares[ingredient.id] ?? 0) + line.massG;
      if (line.treatment === 'soaked' || line.treatment === 'soaked-alkali') {
        const uptake = line.weighedG ?? line.massG * SOAK_UPTAKE;
        parts.push({ ...NO_PARTS, water: uptake });
        ledger.push({
          label: `${ingredient.name}, soaked up`,
          route: 'soaking',
          waterG: uptake,
          source: line.weighedG === undefined ? 'default' : 'measured',
          path: linePath,
          estimateG: line.massG * SOAK_UPTAKE,
        });
      }
    } else if (ingredient.kind === 'alkali') {
      // Soaked in and rinsed away until the water runs clear: none of it stays in the cake.
    } else {
      parts.push(p);
      if (isLiquid(ingredient) || line.treatment === 'soaking-liquid' || line.ingredient === 'egg')
        liquidG += line.massG;
      if (p.water > 0) {
        const wet = ingredient.kind === 'vegetable' || ingredient.kind === 'fruit';
        const counted = wet ? drawJuice(line, ingredient).cooksOutG : p.water;
        ledger.push({
          label: ingredient.name,
          route: routeOf(line, ingredient.kind),
          waterG: counted,
          source: 'measured',
          path: linePath,
        });
      }
    }
    if (ingredient.starchKind && p.starch > 0)
      starch[ingredient.starchKind] = (starch[ingredient.starchKind] ?? 0) + p.starch;
  });

  addIns.forEach((line, j) => {
    const ingredient = ingredientOf(larder, line);
    const d = drawJuice(line, ingredient);
    const linePath = `addIns.${j}`;
    if (d.juiceG.value > 0) {
      ledger.push({
        label: `${ingredient.name}, juice ${d.kept ? 'kept' : 'drawn'}`,
        route: d.kept ? 'juice' : 'drawn away',
        waterG: d.kept ? d.juice.water : -d.juice.water,
        source: d.juiceG.source,
        path: linePath,
        estimateG: d.estimatedG,
      });
      if (d.kept) {
        parts.push(d.juice);
        liquidG += d.juiceG.value;
      }
    }
    if (d.cooksOutG > 0)
      ledger.push({
        label: `${ingredient.name}, cooks out`,
        route: 'wet add-in',
        waterG: d.cooksOutG,
        source: 'default',
        path: linePath,
      });
  });

  let topUpG = 0;
  if (batter.wantedLiquidG !== undefined) {
    topUpG = batter.wantedLiquidG - liquidG;
    if (topUpG < -0.5) {
      problems.push(
        problem(
          'too-much-liquid',
          `${path}.wantedLiquidG`,
          `There is already ${Math.round(-topUpG)} g more liquid than wanted; leave that much out, or add ${Math.round((-topUpG / Math.max(batter.wantedLiquidG, 1)) * dryBlendG)} g of dry blend.`,
        ),
      );
    }
    topUpG = Math.max(0, topUpG);
    liquidG += topUpG;
    parts.push({ ...NO_PARTS, water: topUpG });
    if (topUpG > 0)
      ledger.push({
        label: 'Water, to top up',
        route: 'top-up',
        waterG: topUpG,
        source: 'default',
        path: `${path}.wantedLiquidG`,
      });
  }

  let total = sumParts(parts);
  const addedWaterG = ledger.reduce((s, r) => (r.waterG > 0 ? s + r.waterG : s), 0);
  let reseason = { saltG: 0, sugarG: 0 };
  if (batter.pouredOffG && addedWaterG > 0) {
    const lost = Math.min(1, batter.pouredOffG / addedWaterG);
    const gone = {
      ...NO_PARTS,
      sugar: total.sugar * lost,
      salt: total.salt * lost,
      fibreAsh: Math.min(total.fibreAsh, total.salt * lost),
    };
    reseason = { saltG: gone.salt, sugarG: gone.sugar };
    total = takeParts(total, gone);
    ledger.push({
      label: 'Clear liquid poured off, topped up with as much',
      route: 'poured away',
      waterG: -batter.pouredOffG,
      source: 'measured',
      path: `${path}.pouredOffG`,
    });
  }
  if (dryBlendG <= 0)
    problems.push(
      problem(
        'empty-batter',
        `${path}.lines`,
        `"${batter.name}" holds no flour or starch, so nothing in it will set; add rice flour or a starch.`,
      ),
    );

  const mass = massOf(total);
  const starchSum = Object.values(starch).reduce((a, b) => a + b, 0);
  const volumeMl = volumeOf(total);
  return {
    id: batter.id,
    name: batter.name,
    parts: total,
    massG: mass,
    dryBlendG,
    shares: Object.fromEntries(Object.entries(shares).map(([k, v]) => [k, v / dryBlendG])),
    starchShares: Object.fromEntries(Object.entries(starch).map(([k, v]) => [k, v / starchSum])),
    addedWaterG,
    hydration: dryBlendG > 0 ? addedWaterG / dryBlendG : 0,
    liquidG,
    liquidToDry: dryBlendG > 0 ? liquidG / dryBlendG : 0,
    sugarPhase: total.sugar + total.water > 0 ? total.sugar / (total.sugar + total.water) : 0,
    saltPct: mass > 0 ? (100 * total.salt) / mass : 0,
    fatPct: mass > 0 ? (100 * total.fat) / mass : 0,
    densityKgM3: volumeMl > 0 ? (mass / volumeMl) * 1000 : 0,
    volumeMl,
    topUpG,
    ledger,
    reseason,
    problems,
  };
}
