import { DEFAULT_STEAMER, emptyKitchen, type Kitchen, type Steamer, type Vessel } from '../../kitchen';
import type { Line, Plan } from '../../plan';
import { formula } from '../../testing/made';

/** A plan with one fault, in a kitchen, and the id of what is to be minded first. */
export interface Faulty {
  readonly first: string;
  readonly plan: Plan;
  readonly kitchen: Kitchen;
  /** False where nothing but the cook's own hands mend it. */
  readonly mends?: false;
}

const tin = (id: string, cm: number, count = 1, more: Partial<Vessel> = {}): Vessel =>
  ({
    id,
    name: `${cm} cm tin`,
    shape: 'round',
    material: 'aluminium',
    diameterM: cm / 100,
    heightM: 0.06,
    count,
    provenance: 'measured',
    ...more,
  }) as Vessel;
const dish = tin('dish', 22, 2, { name: 'Dish', material: 'ceramic' });
const tall: Steamer = { ...DEFAULT_STEAMER, id: 'tall', name: 'Tall pot', waterDepthM: 0.09 };
/** A rack with a few pans, a second steamer and a plain ring. */
export const rack: Kitchen = {
  ...emptyKitchen(),
  vessels: [tin('t22', 22, 3), tin('t16', 16, 2), tin('t20', 20, 3), tin('t24', 24, 2), dish],
  steamers: [DEFAULT_STEAMER, tall],
};

const base = emptyKitchen();
const to = (plan: Plan, ingredient: string, massG: number, at = 0): Plan => ({
  ...plan,
  batters: plan.batters.map((b, i) =>
    i === at ? { ...b, lines: b.lines.map((l) => (l.ingredient === ingredient ? { ...l, massG } : l)) } : b,
  ),
});
const addIn = (plan: Plan, ingredient: string, massG: number): Plan => ({
  ...plan,
  addIns: plan.addIns.map((l) => (l.ingredient === ingredient ? { ...l, massG } : l)),
});
const wanted = (plan: Plan, g: number): Plan => ({
  ...plan,
  batters: plan.batters.map((b, i) => (i === 0 ? { ...b, wantedLiquidG: g } : b)),
});
const slab = formula('savoury-coconut-slab');
const radish = formula('radish-slab');
const sponge = formula('yeast-sponge');
const rolls = formula('filled-rolls');
const layers = formula('rainbow-layers');
const extra: Line = { id: 'ghost', ingredient: 'moon-dust', massG: 20, treatment: 'as-is' };
const at = (plan: Plan, first: string, kitchen: Kitchen = base): Faulty => ({ first, plan, kitchen });

/** One fault of each kind of advice, each the gravest thing about its plan. */
export const FAULTY: readonly Faulty[] = [
  // Unsafe.
  at(
    {
      ...radish,
      cooling: [
        { where: 'counter', timeS: 10_800 },
        { where: 'fridge', timeS: 14_400 },
      ],
    },
    'cools-slow',
    rack,
  ),
  at({ ...sponge, cooling: [{ where: 'counter', timeS: 14 * 3600 }] }, 'left-out'),
  at(
    {
      ...radish,
      sear: { dial: 'medium-high', colour: 'pale', thicknessM: 0.035, startC: 5, pans: 1, dip: 'dry', lid: false },
    },
    'sear-cold',
  ),
  at({ ...formula('ground-grain-cups'), proving: { where: 'room', timeS: 40 * 3600 } }, 'stands-warm:ferment:batter'),
  at(
    {
      ...rolls,
      fillings: rolls.fillings.map((f) => ({ ...f, doneness: 'raw' as const, safeC: 50 })),
    },
    `raw-filling:${rolls.fillings[0].id}`,
  ),
  at({ ...formula('alkali-rice-jelly'), vessel: 't20' }, 'alkali-vessel', rack),
  // Impossible.
  at(to(slab, 'rice-flour-fine', 9000), 'pan-too-small'),
  at({ ...slab, vessel: tin('wide', 40) }, 'pan-too-wide', rack),
  at({ ...slab, vessel: tin('high', 20, 1, { heightM: 0.3 }) }, 'pan-too-tall', rack),
  at({ ...slab, vessel: 'gone' }, 'unknown-vessel', rack),
  at({ ...slab, steamer: 'gone' }, 'unknown-steamer', rack),
  at({ ...slab, hob: 'gone' }, 'unknown-hob'),
  at({ ...radish, fryingPan: 'gone' }, 'unknown-pan'),
  at({ ...slab, addIns: [...slab.addIns, extra] }, 'unknown-ingredient'),
  at(
    {
      ...slab,
      batters: slab.batters.map((b) => ({
        ...b,
        lines: b.lines.filter((l) => l.ingredient !== 'rice-flour-fine' && l.ingredient !== 'tapioca'),
      })),
    },
    'empty-batter',
  ),
  at({ ...slab, cut: { shape: 'squares', by: { kind: 'size', sizeM: 0.002 } } }, 'cut-too-fine'),
  at({ ...slab, cut: { shape: 'coins', by: { kind: 'size', sizeM: 0.5 } } }, 'coin-over-cake'),
  at({ ...layers, layers: 30, vessel: tin('low', 24) }, 'layer-too-thin'),
  at({ ...slab, readings: { 'boil-up:steamer': { waterMl: 200 } } }, 'too-little-water'),
  at({ ...slab, readings: { 'boil-up:steamer': { waterMl: 9000 } } }, 'water-over-rack'),
  at({ ...slab, heat: 'gentle', heatPhases: [{ heat: 'medium', timeS: 300 }, { heat: 'off' }] }, 'never-sets'),
  // It spoils.
  at(wanted(slab, 620), 'liquid:batter'),
  at(to(slab, 'fine-salt', 14), 'salt'),
  at(to(slab, 'tapioca', 200), 'blend:batter'),
  at(to(slab, 'coconut-milk', 40), 'coconut:batter'),
  at(to(sponge, 'white-sugar', 20), 'sugar:batter'),
  at(to(sponge, 'dry-yeast', 12), 'yeast:batter'),
  at(to(formula('roux-raised-cups'), 'baking-powder', 1), 'powder:batter'),
  at(to(rolls, 'oil', 60), 'oil:batter'),
  at(addIn(radish, 'radish', 400), 'add-in'),
  at({ ...radish, vessel: 't24', addIns: radish.addIns.map((l) => ({ ...l, massG: 1.55 * l.massG })) }, 'binder', rack),
  at(
    {
      ...rolls,
      fillings: rolls.fillings.map((f) => ({ ...f, lines: f.lines.map((l) => ({ ...l, massG: l.massG * 4 })) })),
    },
    `filling:${rolls.fillings[0].id}`,
  ),
  at({ ...sponge, proving: { where: 'warm-box', tempC: 60 } }, 'no-rise:ferment:batter'),
];
