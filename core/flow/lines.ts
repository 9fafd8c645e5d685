import { isDryBlend, isLiquid, STARCH_KINDS, starchesOf, coarsenessOf, type Ingredient, type Larder } from '../larder';
import { ingredientOf, type LineInForce, type ResolvedPlan, type Treatment } from '../plan';
import { partsOf, type Parts } from '../model/batter';
import type { FlowLine, LineRole } from './flow';
import { accompanimentAmounts } from './accompaniments';

/** Share of a raw wet add-in's water that cooks out into the batter around it, by treatment (house figures). */
const COOKS_OUT: Partial<Record<Treatment, number>> = {
  'as-is': 0.15,
  parboiled: 0.05,
  fried: 0.03,
  'boiled-down': 0.02,
  mashed: 1,
  drained: 0.1,
  wilted: 0.08,
  'squeezed-hard': 0.05,
  'squeezed-by-hand': 0.07,
  'squeezed-boiled': 0.05,
  sugared: 0.1,
};

/** What operations draw on beyond the plan's lines: id, ingredient, and whether it counts as liquid. */
export const SOURCES = {
  tap: 'water',
  'soak-water': 'water',
  steam: 'water',
  'pan-oil': 'oil',
  'dip-egg': 'egg',
  'season-salt': 'fine-salt',
  'season-sugar': 'white-sugar',
} as const;
export type SourceId = keyof typeof SOURCES;
const SOURCE_NAMES: Readonly<Record<SourceId, string>> = {
  tap: 'Water, to top up',
  'soak-water': 'Water, soaked up',
  steam: 'Steam',
  'pan-oil': 'Oil for the pan',
  'dip-egg': 'Beaten egg',
  'season-salt': 'Salt, to season again',
  'season-sugar': 'Sugar, to season again',
};

const perGramOf = (p: Parts): Float64Array =>
  Float64Array.of(p.water, p.starch, p.sugar, p.fat, p.protein, p.fibreAsh, p.salt);
/** Ingredients do not change: their parts are reckoned once. */
const PER_GRAM = new WeakMap<Ingredient, Float64Array>();
function perGram(i: Ingredient): Float64Array {
  const known = PER_GRAM.get(i);
  if (known) return known;
  const made = perGramOf(partsOf(i, 1));
  PER_GRAM.set(i, made);
  return made;
}

type Starches = Pick<FlowLine, 'starchKinds' | 'starchShares' | 'coarse' | 'flours'>;
/** What is known of ingredients once and for all: neither they nor the flours of a blend change. */
const STARCHES = new WeakMap<Ingredient, Starches>();
function starchesIn(i: Ingredient, larder: Larder): Starches {
  let known = STARCHES.get(i);
  if (!known) {
    const list = starchesOf(i, larder);
    known = {
      starchKinds: list.map(([k]) => STARCH_KINDS.indexOf(k)),
      starchShares: list.map(([, share]) => share),
      coarse: coarsenessOf(i, larder),
      flours: i.blendOf ? i.blendOf.map((p) => [p.ingredient, p.share] as const) : [[i.id, 1]],
    };
    STARCHES.set(i, known);
  }
  return known;
}

interface Place {
  readonly role: LineRole;
  readonly group: string;
  readonly path: string;
}

function flowLine(
  id: string,
  i: Ingredient,
  massG: number,
  treatment: Treatment,
  place: Place,
  of: Larder,
  parts?: Parts,
): FlowLine {
  const wet = i.kind === 'vegetable' || i.kind === 'fruit';
  return {
    id,
    ingredient: i.id,
    name: i.name,
    kind: i.kind,
    path: place.path,
    role: place.role,
    group: place.group,
    massG,
    perGram: parts ? perGramOf(parts) : perGram(i),
    dry: isDryBlend(i) && (place.role === 'batter' || place.role === 'add-in'),
    liquid: isLiquid(i) || treatment === 'soaking-liquid' || i.id === 'egg',
    juicy: wet,
    mash: treatment === 'mashed' || (i.kind === 'coconut' && place.role === 'batter'),
    ...starchesIn(i, of),
    absorption: i.absorption ?? 1.6,
    grainUm: i.grainUm ?? 15,
    cooksOut: wet ? (COOKS_OUT[treatment] ?? 0.15) : i.id === 'dried-mushroom' ? 0.03 : 0,
    fine: i.kind === 'raising' || i.kind === 'alkali',
  };
}

/** True where lime goes in. */
export const isLimed = (lines: readonly FlowLine[]): boolean => lines.some((l) => l.kind === 'alkali' && l.massG > 0);

/**
 * Every line of a plan, its strewn salts, and the sources, in document order.
 * @param pieces pieces the batch makes, for what is made by the piece
 */
export function flowLines({ plan, larder }: ResolvedPlan, pieces: number | undefined): readonly FlowLine[] {
  const out: FlowLine[] = [];
  const salt = larder.get('fine-salt');
  const add = (l: LineInForce, place: Place) => {
    out.push(flowLine(l.id, ingredientOf(larder, l), l.massG, l.treatment, place, larder));
    const strewn = (g: number, what: string, field: string) => {
      if (g > 0 && salt && place.role !== 'colour')
        out.push({
          ...flowLine(`${l.id}/${what}`, salt, g, 'as-is', { ...place, path: `${place.path}.${field}` }, larder),
          name: what === 'draw' ? 'Salt to draw it' : 'Salt at frying',
        });
    };
    strewn(l.drawSaltG, 'draw', 'drawSaltG');
    strewn(l.frySaltG, 'fry', 'frySaltG');
  };
  const addAll = (lines: readonly LineInForce[], role: LineRole, group: string, path: string) =>
    lines.forEach((l, j) => add(l, { role, group, path: `${path}.${j}` }));
  plan.batters.forEach((b, i) => addAll(b.lines, 'batter', b.id, `batters.${i}.lines`));
  addAll(plan.addIns, 'add-in', plan.batters[0].id, 'addIns');
  // Sources stand next to what they join, so that a cake's streams need not look at the sauces.
  for (const [id, ingredient] of Object.entries(SOURCES)) {
    const i = larder.get(ingredient);
    if (!i) throw new Error(`the larder has no ${ingredient}`);
    out.push({
      ...flowLine(id, i, 0, 'as-is', { role: 'source', group: '', path: '' }, larder),
      name: SOURCE_NAMES[id as SourceId],
      liquid: id === 'tap',
    });
  }
  plan.fillings.forEach((f, i) => addAll(f.lines, 'filling', f.id, `fillings.${i}.lines`));
  plan.colours.forEach((c, i) => addAll(c.lines, 'colour', c.id, `colours.${i}.lines`));
  plan.accompaniments.forEach((a, i) => {
    const amounts = accompanimentAmounts(a, { guests: plan.guests, pieces: pieces ?? plan.guests, larder });
    a.lines.forEach((l, j) =>
      out.push(
        flowLine(
          l.id,
          ingredientOf(larder, l),
          amounts.lines[j].massG,
          'as-is',
          { role: 'accompaniment', group: a.id, path: `accompaniments.${i}.lines.${j}` },
          larder,
          amounts.lines[j].perGram,
        ),
      ),
    );
  });
  return out;
}
