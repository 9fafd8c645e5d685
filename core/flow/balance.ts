import type { Problem, Provenance } from '../units';
import { problem } from '../units';
import { ALLERGENS, DIETS, type Allergen, type Larder, type StarchKind } from '../larder';
import { ingredientOf, type Plan, type ResolvedPlan } from '../plan';
import { massOf, scaleParts, type Parts } from '../mix';
import { freshIn, type Evaluation } from './evaluate';
import type { Flow, FlowLine } from './flow';
import type { EvaluatedNode } from './law';
import { pieceShareOf, starchSharesOf, sugarPhaseOf, volumeOf, watersOf } from './look';
import { emptyStream, mergeStreams, PART_COUNT, partsOfStream, streamMass, WATER, WIDTH, type Stream } from './stream';

export type WaterRoute =
  'water' | 'coconut' | 'juice' | 'soaking' | 'syrup' | 'wet add-in' | 'egg' | 'top-up' | 'drawn away' | 'poured away';

/** One row of the water ledger: where water comes from (or goes), g. Rows drawn or poured away are negative and do not count in hydration. */
export interface LedgerRow {
  readonly label: string;
  readonly route: WaterRoute;
  readonly waterG: number;
  readonly source: Provenance;
  /** Path of the plan line it comes from. */
  readonly path: string;
  /** The reading that settles it, where it can be weighed. */
  readonly reading?: { readonly node: string; readonly slot: string };
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
  /** Everything in the bowl, without pieces. */
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
}

export interface Nutrition {
  readonly kcal: number;
  readonly kJ: number;
  readonly fatG: number;
  readonly carbohydrateG: number;
  readonly sugarsG: number;
  readonly fibreAndAshG: number;
  readonly proteinG: number;
  readonly saltG: number;
}

/** One ingredient of the label, g. */
export interface LabelRow {
  readonly name: string;
  readonly massG: number;
}

export interface PlanBalance {
  readonly batters: readonly BatterBalance[];
  /** Pieces in the cake or on it. */
  readonly pieces: Parts;
  /** The cake in its pan. */
  readonly whole: Parts;
  readonly massG: number;
  /** All that was made, before what stays in the bowl, g. */
  readonly madeG: number;
  readonly volumeMl: number;
  /** Share of the volume that is pieces, 0–1. */
  readonly pieceVolumeShare: number;
  readonly densityKgM3: number;
  readonly ledger: readonly LedgerRow[];
  readonly salt: SaltLedger;
  /** Cake, topping and sauce together, a head. */
  readonly plate: { readonly massG: number; readonly saltPct: number; readonly sugarPct: number };
  readonly nutrition: Nutrition;
  readonly allergens: readonly Allergen[];
  readonly diets: readonly string[];
  /** Cost in the cook's money of what has a price, and how many ingredients have none. */
  readonly cost: { readonly total: number; readonly unpriced: number };
  /** Label: ingredients of the cake by weight, all water counted as one. */
  readonly byWeight: readonly LabelRow[];
  /** What comes with it on the plate, by weight, each apart. */
  readonly beside: readonly { readonly name: string; readonly byWeight: readonly LabelRow[] }[];
  readonly problems: readonly Problem[];
}

/** Energy by the usual factors: 17 kJ/g carbohydrate and protein, 37 kJ/g fat (4/4/9 kcal). */
export function nutritionOf(p: Parts): Nutrition {
  const carbohydrateG = p.starch + p.sugar;
  return {
    kcal: 4 * (carbohydrateG + p.protein) + 9 * p.fat,
    kJ: 17 * (carbohydrateG + p.protein) + 37 * p.fat,
    fatG: p.fat,
    carbohydrateG,
    sugarsG: p.sugar,
    fibreAndAshG: Math.max(0, p.fibreAsh - p.salt),
    proteinG: p.protein,
    saltG: p.salt,
  };
}

export const nutritionPer = (whole: Parts, shares: number): Nutrition =>
  nutritionOf(scaleParts(whole, 1 / Math.max(1, shares)));

/** The operations by which a batter goes into its vessels. */
const INTO_VESSEL = new Set(['pour', 'layer', 'fill', 'film']);

/** All that was made: what goes into the vessels before anything stays in the bowl, and what is strewn on top. */
export function madeStream(flow: Flow, e: Evaluation): Stream {
  const into = e.nodes.find((n) => INTO_VESSEL.has(n.node.op));
  if (!into) return emptyStream(flow.lines.length);
  const top = e.byId.get('top:cake');
  return mergeStreams(flow.lines, [
    ...into.carried,
    freshIn(flow, into, 20),
    ...(top ? [...top.carried.slice(1), freshIn(flow, top, 20)] : []),
  ]);
}

/** The stream at a named place; an empty one where the flow has no such place. */
export const streamAt = (flow: Flow, e: Evaluation, mark: string): Stream =>
  flow.marks[mark] === undefined ? emptyStream(flow.lines.length) : e.streams[flow.marks[mark]];

const waterIn = (s: Stream): number => partsOfStream(s).water;

/** Rows of one line: what it gives, by what was done to it. */
function rowsOf(l: FlowLine, index: number, e: Evaluation, made: Stream): LedgerRow[] {
  const rows: LedgerRow[] = [];
  const juice = (n: EvaluatedNode | undefined, out: Stream | undefined, kept: boolean) => {
    if (!n || !out) return;
    rows.push({
      label: `${l.name}, juice ${kept ? 'kept' : 'drawn'}`,
      route: kept ? 'juice' : 'drawn away',
      waterG: kept ? waterIn(out) : -waterIn(out),
      source: n.figures.juiceG?.source ?? n.figures.yieldG?.source ?? 'default',
      path: l.path,
      reading: { node: n.node.id, slot: n.figures.juiceG ? 'juiceG' : 'yieldG' },
    });
  };
  const wilt = e.byId.get(`wilt:${l.id}`) ?? e.byId.get(`sugar:${l.id}`);
  const squeeze = e.byId.get(`squeeze:${l.id}`);
  const strain = e.byId.get(`blend-strain:${l.id}`);
  juice(wilt, wilt?.outs[1], true);
  if (squeeze) juice(squeeze, squeeze.outs[1] ?? squeeze.lost[0]?.stream, squeeze.outs.length > 1);
  juice(strain, strain?.outs[0], true);
  const soak = e.byId.get(`soak:${l.id}`) ?? e.byId.get(`slake:${l.id}`);
  if (soak?.figures.uptakeG)
    rows.push({
      label: `${l.name}, soaked up`,
      route: 'soaking',
      waterG: soak.figures.uptakeG.value,
      source: soak.figures.uptakeG.source,
      path: l.path,
      reading: { node: soak.node.id, slot: 'uptakeG' },
    });
  const at = index * WIDTH;
  const free = made.g[at + WATER];
  const out = l.cooksOut * made.g[at + PART_COUNT + WATER];
  if (l.mash || (l.juicy && free > 0 && !wilt && !squeeze && !strain)) {
    if (free > 0) rows.push({ label: l.name, route: 'wet add-in', waterG: free, source: 'measured', path: l.path });
  } else if (!l.dry && !l.juicy && free > 0)
    rows.push({
      label: l.name,
      route:
        l.ingredient === 'egg'
          ? 'egg'
          : l.ingredient.startsWith('coconut')
            ? 'coconut'
            : l.kind === 'sugar'
              ? 'syrup'
              : l.kind === 'liquid'
                ? 'water'
                : 'wet add-in',
      waterG: free,
      source: 'measured',
      path: l.path,
    });
  if (out > 0.005)
    rows.push({ label: `${l.name}, cooks out`, route: 'wet add-in', waterG: out, source: 'default', path: l.path });
  return rows;
}

function batterBalance(plan: Plan, index: number, flow: Flow, e: Evaluation, made: Stream): BatterBalance {
  const b = plan.batters[index];
  const s = streamAt(flow, e, `batter:${b.id}`);
  const parts = partsOfStream(s, 'free');
  // Juice and pieces that join it later count with their water; so does what is strewn on top.
  const fold = e.byId.get(`fold-in:${b.id}`);
  const later = fold
    ? [...fold.carried.filter((_, i) => fold.node.ins[i] !== flow.marks[`batter:${b.id}`]), freshIn(flow, fold, 20)]
    : [];
  const top = index === 0 ? (e.byId.get('top:cake')?.carried.slice(1) ?? []) : [];
  const waters = watersOf(flow.lines, mergeStreams(flow.lines, [s, ...later, ...top]));
  const massG = massOf(parts);
  const volumeMl = volumeOf(parts);
  const mine = flow.lines.flatMap((l, i) =>
    l.group === b.id && (l.role === 'batter' || l.role === 'add-in') ? [{ l, i }] : [],
  );
  const ledger: LedgerRow[] = mine.flatMap(({ l, i }) => rowsOf(l, i, e, made));
  const path = `batters.${index}`;
  const topUp = e.byId.get(`top-up:${b.id}`);
  const topUpG = topUp?.figures.waterG.value ?? 0;
  if (topUp && topUpG > 0)
    ledger.push({
      label: 'Water, to top up',
      route: 'top-up',
      waterG: topUpG,
      source: topUp.figures.waterG.source,
      path: `${path}.wantedLiquidG`,
    });
  const off = e.byId.get(`pour-off:${b.id}`);
  if (off)
    ledger.push({
      label: 'Clear liquid poured off, topped up with as much',
      route: 'poured away',
      waterG: -off.figures.pouredG.value,
      source: off.figures.pouredG.source,
      path: `${path}.pouredOffG`,
      reading: { node: off.node.id, slot: 'pouredG' },
    });
  // As weighed: what little of a flour's own sugar is poured off does not make it less flour.
  const dryG = mine.reduce((a, { l }) => a + (l.dry ? l.massG : 0), 0);
  const shares: Record<string, number> = {};
  for (const { l } of mine) if (l.dry && dryG > 0) shares[l.ingredient] = (shares[l.ingredient] ?? 0) + l.massG / dryG;
  const { addedWaterG } = waters;
  return {
    id: b.id,
    name: b.name,
    parts,
    massG,
    dryBlendG: dryG,
    shares,
    starchShares: starchSharesOf(flow.lines, s),
    addedWaterG,
    hydration: dryG > 0 ? addedWaterG / dryG : 0,
    liquidG: waters.liquidG,
    liquidToDry: dryG > 0 ? waters.liquidG / dryG : 0,
    sugarPhase: sugarPhaseOf(parts),
    saltPct: massG > 0 ? (100 * parts.salt) / massG : 0,
    fatPct: massG > 0 ? (100 * parts.fat) / massG : 0,
    densityKgM3: volumeMl > 0 ? (massG / volumeMl) * 1000 : 0,
    volumeMl,
    topUpG,
    ledger,
    reseason: { saltG: off?.figures.saltG.value ?? 0, sugarG: off?.figures.sugarG.value ?? 0 },
  };
}

/** Grams by ingredient of a stream, most first; all water under one name. */
function labelOf(flow: Flow, s: Stream, larder: Larder): LabelRow[] {
  const grams = new Map<string, number>();
  flow.lines.forEach((l, i) => {
    let m = 0;
    for (let k = 0; k < 6; k++) m += s.g[i * WIDTH + k] + s.g[i * WIDTH + PART_COUNT + k];
    if (m > 0.005) grams.set(l.ingredient, (grams.get(l.ingredient) ?? 0) + m);
  });
  return [...grams]
    .map(([id, massG]) => ({ name: larder.get(id)?.name ?? id, massG }))
    .sort((a, b) => b.massG - a.massG);
}

/** The account of a plan, read off the evaluated flow: nothing is summed a second time. */
export function balanceOf(resolved: ResolvedPlan, flow: Flow, e: Evaluation): PlanBalance {
  const { plan, larder } = resolved;
  const made = madeStream(flow, e);
  const pan = streamAt(flow, e, 'pan');
  const batters = plan.batters.map((_, i) => batterBalance(plan, i, flow, e, made));
  const whole = partsOfStream(pan);
  const massG = streamMass(pan);
  const volumeMl = volumeOf(whole);
  const used = new Map<string, number>();
  for (const l of flow.lines)
    if (l.role !== 'source' && l.massG > 0) used.set(l.ingredient, (used.get(l.ingredient) ?? 0) + l.massG);
  const list = [...used].map(([id, g]) => ({ ingredient: ingredientOf(larder, { ingredient: id }), massG: g }));
  const priced = list.filter((u) => u.ingredient.pack?.price !== undefined);
  const inCake = (l: FlowLine) => l.role === 'batter' || l.role === 'add-in' || l.role === 'colour';
  let addedG = 0;
  let saltIn = 0;
  for (const l of flow.lines)
    if (inCake(l)) {
      const salt = l.massG * l.perGram[PART_COUNT - 1];
      saltIn += salt;
      if (l.kind === 'salt') addedG += salt;
    }
  const again = e.nodes
    .flatMap((n) => n.drawn)
    .filter((d) => d.source === 'season-salt')
    .reduce((a, d) => a + d.massG, 0);
  const drawnAwayG = e.nodes
    .flatMap((n) => n.lost)
    .filter((x) => x.sink !== 'left')
    .reduce((a, x) => a + partsOfStream(x.stream).salt, 0);
  const plateStream = e.byId.get('serve:plate')?.outs[0];
  const plateParts = plateStream ? partsOfStream(plateStream) : whole;
  const plateG = massOf(plateParts);
  const dipped = plan.sear?.dip === 'egg' && e.byId.has('dip:pieces');
  return {
    batters,
    pieces: partsOfStream(made, 'piece'),
    whole,
    massG,
    madeG: streamMass(made),
    volumeMl,
    pieceVolumeShare: pieceShareOf(pan),
    densityKgM3: volumeMl > 0 ? (massG / volumeMl) * 1000 : 0,
    ledger: batters.flatMap((b) => b.ledger),
    salt: {
      addedG: addedG + again,
      fromAddInsG: saltIn - addedG,
      drawnAwayG,
      leftG: whole.salt,
      pctOfTotal: massG > 0 ? (100 * whole.salt) / massG : 0,
    },
    plate: {
      massG: plateG / Math.max(1, plan.guests),
      saltPct: plateG > 0 ? (100 * plateParts.salt) / plateG : 0,
      sugarPct: plateG > 0 ? (100 * plateParts.sugar) / plateG : 0,
    },
    nutrition: nutritionOf(whole),
    allergens: ALLERGENS.filter((a) => list.some((u) => u.ingredient.allergens.includes(a)) || (a === 'egg' && dipped)),
    diets: DIETS.filter(
      (d) => list.length > 0 && list.every((u) => u.ingredient.diets.includes(d)) && !(dipped && d === 'vegan'),
    ),
    cost: {
      total: priced.reduce(
        (s, u) => s + (u.massG / (u.ingredient.pack?.massG ?? 1)) * (u.ingredient.pack?.price ?? 0),
        0,
      ),
      unpriced: list.length - priced.length,
    },
    byWeight: labelOf(flow, pan, larder),
    beside: [
      ...plan.fillings.map((f) => ({ name: f.name, byWeight: labelOfLines(flow, f.id, 'filling') })),
      ...plan.accompaniments.map((a) => ({ name: a.name, byWeight: labelOfLines(flow, a.id, 'accompaniment') })),
      ...(dipped
        ? [
            {
              name: 'Dip',
              byWeight: [
                { name: larder.get('egg')?.name ?? 'Egg', massG: e.byId.get('dip:pieces')?.figures.eggG.value ?? 0 },
              ],
            },
          ]
        : []),
    ].filter((x) => x.byWeight.length > 0),
    problems: [
      ...e.problems,
      ...batters.flatMap((b, i) =>
        b.dryBlendG > 0
          ? []
          : [
              problem(
                'empty-batter',
                `batters.${i}.lines`,
                `"${b.name}" holds no flour or starch, so nothing in it will set; add rice flour or a starch.`,
              ),
            ],
      ),
    ],
  };
}

const labelOfLines = (flow: Flow, group: string, role: FlowLine['role']): LabelRow[] =>
  flow.lines
    .filter((l) => l.group === group && l.role === role && l.massG > 0)
    .map((l) => ({ name: l.name, massG: l.massG }))
    .sort((a, b) => b.massG - a.massG);
