import { problem } from '../units';
import { ALLERGENS, DIETS, type Ingredient } from '../larder';
import { ingredientOf, type PlanInForce, type ResolvedPlan } from '../plan';
import { massOf, scaleParts, type Parts } from '../model/batter';
import type { BatterBalance, LedgerRow, Nutrition, PlanBalance } from './balance.types';
import { freshIn, type Evaluation } from './evaluate';
import type { Flow } from './flow';
import type { EvaluatedNode } from './law';
import { labelOf, labelOfLines } from './label';
import { traitsOf } from './operations';
import { rowsOf } from './ledger';
import { pieceShareOf, starchSharesOf, sugarPhaseOf, volumeOf, watersOf } from './look';
import { emptyStream, mergeStreams, partsOfStream, SALT, streamMass, type Stream } from './stream';

/** Energy by the usual factors: 17 kJ/g carbohydrate and protein, 37 kJ/g fat (4/4/9 kcal). */
export function nutritionOf(p: Parts): Nutrition {
  const carbohydrateG = p.starch + p.sugar;
  return {
    kcal: 4 * (carbohydrateG + p.protein) + 9 * p.fat,
    kJ: 17 * (carbohydrateG + p.protein) + 37 * p.fat,
    fatG: p.fat,
    carbohydrateG,
    sugarsG: p.sugar,
    proteinG: p.protein,
    saltG: p.salt,
  };
}

export const nutritionPer = (whole: Parts, shares: number): Nutrition =>
  nutritionOf(scaleParts(whole, 1 / Math.max(1, shares)));

/** All that was made: what goes into the vessels before anything stays in the bowl, and what is strewn on top. */
export function madeStream(flow: Flow, e: Evaluation): Stream {
  const into = e.nodes.find((n) => traitsOf(n.node.op).into);
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

function batterBalance(plan: PlanInForce, index: number, flow: Flow, e: Evaluation, made: Stream): BatterBalance {
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
  for (const { l } of mine)
    if (l.dry && dryG > 0)
      for (const [id, share] of l.flours) shares[id] = (shares[id] ?? 0) + (share * l.massG) / dryG;
  const { addedWaterG } = waters;
  return {
    id: b.id,
    name: b.name,
    parts,
    massG,
    dryBlendG: dryG,
    shares,
    starchShares: starchSharesOf(flow.lines, s),
    coarse: dryG > 0 ? mine.reduce((a, { l }) => a + (l.dry ? (l.massG * l.coarse) / dryG : 0), 0) : 0,
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

/** What the whole takes of each ingredient of the larder, the cake and what goes with it. */
function usedOf(
  { larder }: ResolvedPlan,
  flow: Flow,
): readonly { readonly ingredient: Ingredient; readonly massG: number }[] {
  const used = new Map<string, number>();
  for (const l of flow.lines)
    if (l.role !== 'source' && l.massG > 0) used.set(l.ingredient, (used.get(l.ingredient) ?? 0) + l.massG);
  return [...used].map(([id, massG]) => ({ ingredient: ingredientOf(larder, { ingredient: id }), massG }));
}

/** Where the salt of the cake came from and went. */
function saltOf(flow: Flow, e: Evaluation, whole: Parts, massG: number): PlanBalance['salt'] {
  let addedG = 0;
  let saltIn = 0;
  for (const l of flow.lines)
    if (l.role === 'batter' || l.role === 'add-in' || l.role === 'colour') {
      const salt = l.massG * l.perGram[SALT];
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
  return {
    addedG: addedG + again,
    fromAddInsG: saltIn - addedG,
    drawnAwayG,
    leftG: whole.salt,
    pctOfTotal: massG > 0 ? (100 * whole.salt) / massG : 0,
  };
}

/** What a guest has on the plate, sauce and all. */
function plateOf(e: Evaluation, whole: Parts, guests: number): PlanBalance['plate'] {
  const served = e.byId.get('serve:plate')?.outs[0];
  const parts = served ? partsOfStream(served) : whole;
  const massG = massOf(parts);
  return {
    massG: massG / Math.max(1, guests),
    saltPct: massG > 0 ? (100 * parts.salt) / massG : 0,
    sugarPct: massG > 0 ? (100 * parts.sugar) / massG : 0,
  };
}

/** Labels of what is not the cake: fillings, sauces, the dip. */
function besideOf({ plan, larder }: ResolvedPlan, flow: Flow, dip: EvaluatedNode | undefined): PlanBalance['beside'] {
  return [
    ...plan.fillings.map((f) => ({ name: f.name, byWeight: labelOfLines(flow, f.id, 'filling') })),
    ...plan.accompaniments.map((a) => ({ name: a.name, byWeight: labelOfLines(flow, a.id, 'accompaniment') })),
    ...(dip
      ? [
          {
            name: 'Dip',
            byWeight: [{ name: larder.get('egg')?.name ?? 'Egg', massG: dip.figures.eggG?.value ?? 0 }],
          },
        ]
      : []),
  ].filter((x) => x.byWeight.length > 0);
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
  const list = usedOf(resolved, flow);
  const priced = list.filter((u) => u.ingredient.pack?.price !== undefined);
  const dip = plan.sear?.dip === 'egg' ? e.byId.get('dip:pieces') : undefined;
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
    salt: saltOf(flow, e, whole, massG),
    plate: plateOf(e, whole, plan.guests),
    nutrition: nutritionOf(whole),
    allergens: ALLERGENS.filter((a) => list.some((u) => u.ingredient.allergens.includes(a)) || (a === 'egg' && dip)),
    allergensNotStated: list.filter((u) => !u.ingredient.allergensStated).map((u) => u.ingredient.name),
    diets: DIETS.filter(
      (d) => list.length > 0 && list.every((u) => u.ingredient.diets.includes(d)) && !(dip && d === 'vegan'),
    ),
    cost: {
      total: priced.reduce(
        (s, u) => s + (u.massG / (u.ingredient.pack?.massG ?? 1)) * (u.ingredient.pack?.price ?? 0),
        0,
      ),
      unpriced: list.length - priced.length,
    },
    byWeight: labelOf(flow, pan, larder, false),
    addInsByWeight: labelOf(flow, pan, larder, true),
    beside: besideOf(resolved, flow, dip),
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
