import {
  DEFAULT_HOB,
  DEFAULT_STEAMER,
  emptyKitchen,
  type Hob,
  type Kitchen,
  type Steamer,
  type Vessel,
} from '../../../kitchen';
import type { Line, Plan } from '../../../plan';
import { formula } from '../../../testing/made';

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

/** A steamer with so much room for water, on so wide a pot. */
const wet = (waterDepthM: number, potDiameterM = DEFAULT_STEAMER.potDiameterM): Steamer => ({
  ...DEFAULT_STEAMER,
  id: 'small',
  name: 'Small pot',
  waterDepthM,
  potDiameterM,
});
/** A burner that cannot be turned low. */
const fierce: Hob = {
  ...DEFAULT_HOB,
  id: 'fierce',
  name: 'Camp burner',
  rings: DEFAULT_HOB.rings.map((r) => ({ ...r, measuredPowerW: { gentle: 2000, medium: 2500, strong: 3000 } })),
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
/** So many times as much of all that is weighed. */
const times = (plan: Plan, by: number): Plan => ({
  ...plan,
  batters: plan.batters.map((b) => ({
    ...b,
    lines: b.lines.map((l) => ({ ...l, massG: l.massG * by })),
    ...(b.wantedLiquidG === undefined ? {} : { wantedLiquidG: b.wantedLiquidG * by }),
  })),
  addIns: plan.addIns.map((l) => ({ ...l, massG: l.massG * by })),
});
const sheetsOf = (id: string, by: number): Plan => {
  const plan = formula(id);
  return { ...plan, vesselCount: Math.round(by * plan.vesselCount) };
};
const wanted = (plan: Plan, g: number): Plan => ({
  ...plan,
  batters: plan.batters.map((b, i) => (i === 0 ? { ...b, wantedLiquidG: g } : b)),
});
const slab = formula('savoury-coconut-slab');
const radish = formula('radish-slab');
const taro = formula('taro-slab');
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
  at({ ...slab, heat: 'strong', steamer: wet(0.026, 0.15) }, 'boils-dry', rack),
  at({ ...slab, heat: 'strong', steamer: wet(0.028, 0.2) }, 'tops-up-too-often', rack),
  at({ ...slab, steamer: wet(0.015) }, 'pot-too-shallow', rack),
  at({ ...slab, vessel: tin('close', 27.6) }, 'no-steam-gap', rack),
  at({ ...slab, alsoVessels: [{ id: 'two', vessel: 't16', count: 2, massEachG: 600 }] }, 'too-much-elsewhere', rack),
  at({ ...radish, cut: { shape: 'whole', by: { kind: 'count', pieces: 1 } } }, 'pan-under-piece'),
  at({ ...times(slab, 120), vessel: tin('vast', 40, 1, { heightM: 0.1 }) }, 'absurd-amount'),
  // It spoils.
  at({ ...slab, heatPhases: [{ heat: 'medium', timeS: 1940 }, { heat: 'off' }] }, 'may-never-set'),
  at({ ...radish, cooling: [{ where: 'counter', timeS: 1200 }] }, 'never-firm', rack),
  at({ ...formula('stirred-set-pudding'), hob: 'fierce' }, 'scorches', { ...base, hobs: [fierce, DEFAULT_HOB] }),
  at({ ...sponge, vessel: tin('low', 22, 1, { heightM: 0.03 }) }, 'rises-over'),
  at({ ...slab, vessel: tin('near', 27) }, 'steam-gap', rack),
  at({ ...sponge, readings: { 'melt:batter': { tempC: 80 } } }, 'yeast-too-hot:mix:batter'),
  at(
    {
      ...wanted(taro, 4 * (taro.batters[0].wantedLiquidG ?? 0)),
      vessel: tin('deep', 26, 4, { heightM: 0.2 }),
      vesselCount: 4,
      steamer: { ...DEFAULT_STEAMER, id: 'high', name: 'High pot', clearHeightM: 0.3 },
      cooling: [
        { where: 'ice-bath', timeS: 10_800 },
        { where: 'fridge', timeS: 28_800 },
      ],
    },
    'never-thick:thicken:batter',
  ),
  at({ ...taro, waits: { 'parboil:taro': 5400 } }, 'parboils-dry:parboil:taro'),
  at(sheetsOf('noodle-sheets', 0.75), 'sheet-cracks'),
  at(sheetsOf('pan-film-sheets', 1.4), 'sheet-tears'),
  at(to(formula('alkali-rice-jelly'), 'calcium-hydroxide', 9), 'alkali:batter'),
  at(to(formula('two-tone-layers'), 'mung-beans-cooked', 30, 1), 'bean:bean'),
  at(addIn(addIn(radish, 'dried-mushroom', 120), 'dried-shrimp', 120), 'bits'),
  at({ ...layers, layers: 18 }, 'layer-depth'),
  at(
    {
      ...slab,
      batters: slab.batters.map((b) => ({
        ...b,
        lines: [...b.lines, { id: 'water', ingredient: 'water', massG: 690, treatment: 'as-is' as const }],
      })),
    },
    'surplus:batter',
  ),
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
  // It could be better.
  at({ ...slab, vessel: tin('t26', 26) }, 'depth', rack),
  at({ ...slab, guests: 40 }, 'too-little'),
  at({ ...slab, schools: { ...slab.schools, dripGuard: 'bare' } }, 'puddle'),
  at({ ...radish, sear: radish.sear && { ...radish.sear, thicknessM: 0.034, startC: 65 } }, 'thick-pieces'),
  at({ ...times(slab, 1.6), vessel: 't20', vesselCount: 2 }, 'loads', rack),
];
