import type { Forecast } from '../../forecast';
import { DEFAULT_PAN, emptyKitchen } from '../../kitchen';
import { crossing } from '../../model/rest';
import type { Band } from '../../units';
import { box, round, type Cake } from './cases';
import { overWater, stackIn, filmIn, potIn, loadsIn, pourSteam } from '../../stations/steam';

/** What is asked of a forecast, min; undefined: it never comes. */
export type Ask = (f: Forecast) => readonly (number | undefined)[];

/** A row of the practice bands: what home steaming usually takes, and the cakes that stand for it. */
export interface TruthRow {
  readonly cake: string;
  readonly depth: string;
  /** Vessel and heat taken as typical. */
  readonly typical: string;
  readonly minutes: Band;
  readonly ask: Ask;
  readonly cakes: readonly Cake[];
  /** Why a forecast lies outside the band widened by 1.2, where one does: it is left so. */
  readonly misses?: string;
}

const minutes = (s: number | undefined): number | undefined => (s === undefined ? undefined : s / 60);
export const CLEAN: Ask = (f) => [minutes(overWater(f.heat)?.times?.firstCleanPickS.value)];
/** Waits between the pours, and the last layer's. */
const BETWEEN: Ask = (f) =>
  stackIn(f.heat)
    ?.pours.slice(0, -1)
    .map((p) => p.waitS / 60) ?? [undefined];
const LAST: Ask = (f) => [minutes(stackIn(f.heat)?.lastS)];
const FILM: Ask = (f) => [minutes(filmIn(f.heat)?.filmS)];
const THROUGH: Ask = (f) => [minutes(potIn(f.heat)?.throughS)];
const FERMENT: Ask = (f) => [minutes(f.light.ferment?.timeS)];
const SIDES: Ask = (f) => f.heat?.sear?.minutesASide.map((s) => s / 60) ?? [undefined];
/** A sheet and its raw filling, both stages. */
const SAFE: Ask = (f) => {
  const again = loadsIn(f.heat)?.again[0];
  const sheet = overWater(f.heat)?.times?.firstCleanPickS.value;
  return [again && sheet !== undefined ? (sheet + again.steamS) / 60 : undefined];
};
const HOLD: Ask = (f) => [minutes(pourSteam(f.heat)?.pressure?.holdS)];
/** Until the warmest spot has cooled to 25 °C. */
const COOLED: Ask = (f) => [f.heat?.rest && minutes(crossing(f.heat.rest.curve, (p) => p.centreC, 25))];

/** Cakes of the same kind over depths and vessels. */
const over = (
  cake: Omit<Cake, 'vessel' | 'depthMm'>,
  vessels: readonly Cake['vessel'][],
  depthsMm: readonly number[],
): Cake[] => vessels.flatMap((vessel) => depthsMm.map((depthMm) => ({ ...cake, vessel, depthMm })));

/** In a tin of 20 cm over all depths, and in one of 23 cm at the middle of them. */
const inTins = (cake: Omit<Cake, 'vessel' | 'depthMm'>, depthsMm: readonly number[]): Cake[] => [
  ...over(cake, [round(0.2)], depthsMm),
  ...over(cake, [round(0.23)], depthsMm.slice(depthsMm.length >> 1, (depthsMm.length >> 1) + 1)),
];
const PASTE = { intoPan: 'part-cooked' } as const;
const CUP = round(0.06, 'ceramic', { baseM: 0.045, heightM: 0.05 });
const PLASTIC = round(0.06, 'plastic', { baseM: 0.045, heightM: 0.05 });
const SMALL = round(0.045, 'ceramic', { baseM: 0.035, heightM: 0.035 });
const TRAY = box(0.28, 0.2, { material: 'aluminium', heightM: 0.02 });
const DISH = round(0.045, 'ceramic', { baseM: 0.038, heightM: 0.02 });
const PRESSED = {
  ...emptyKitchen(),
  steamers: [
    {
      id: 'pressure-pot',
      name: 'Pressure pot',
      tiers: 1,
      innerDiameterM: 0.26,
      clearHeightM: 0.14,
      lid: 'tight' as const,
      potDiameterM: 0.24,
      waterDepthM: 0.04,
      pressureTempC: 112,
    },
  ],
};
const cooling =
  (where: 'counter' | 'ice-bath'): Cake['change'] =>
  (p) => ({
    ...p,
    cooling: [{ where, timeS: 8 * 3600 }],
    sear: undefined,
  });

export const TRUTH: readonly TruthRow[] = [
  {
    cake: 'Radish slab, part-cooked paste with its shreds',
    depth: '40–50',
    typical: 'steel tins of 20 and 23 cm, medium',
    minutes: [40, 65],
    ask: CLEAN,
    cakes: inTins({ family: 'radish-slab', heat: 'medium', schools: PASTE }, [40, 45, 50]),
  },
  {
    cake: 'The same, shallow',
    depth: '22–28',
    typical: 'steel tins of 20 and 23 cm, medium',
    minutes: [20, 35],
    ask: CLEAN,
    cakes: inTins({ family: 'radish-slab', heat: 'medium', schools: PASTE }, [22, 25, 28]),
    misses:
      'By the account of the paste, its pieces softened hot, it comes to the pan at 66 °C and has 24 °C to go. Poured at 55 °C, 25 mm take 16 min, at 45 °C 18.',
  },
  {
    cake: 'Taro slab, paste with cubes',
    depth: '38–50',
    typical: 'steel tins of 20 and 23 cm, medium',
    minutes: [35, 60],
    ask: CLEAN,
    cakes: inTins({ family: 'taro-slab', heat: 'medium', schools: PASTE }, [38, 44, 50]),
  },
  {
    cake: 'The same, shallower',
    depth: '25–38',
    typical: 'steel tins of 20 and 23 cm, medium',
    minutes: [20, 45],
    ask: CLEAN,
    cakes: inTins({ family: 'taro-slab', heat: 'medium', schools: PASTE }, [25, 32, 38]),
  },
  {
    cake: 'Squash slab, raw batter',
    depth: '25–35',
    typical: 'steel tins of 20 and 23 cm, medium',
    minutes: [25, 45],
    ask: CLEAN,
    cakes: inTins({ family: 'squash-slab', heat: 'medium', schools: { intoPan: 'raw' } }, [25, 30, 35]),
  },
  {
    cake: 'Savoury coconut slab, thickened, foil',
    depth: '25–35',
    typical: 'steel tins of 20 and 23 cm, medium',
    minutes: [16, 33],
    ask: CLEAN,
    cakes: inTins({ family: 'savoury-coconut-slab', heat: 'medium', schools: PASTE }, [25, 30, 35]),
  },
  {
    cake: 'The same',
    depth: '35–50',
    typical: 'steel tins of 20 and 23 cm, medium',
    minutes: [28, 50],
    ask: CLEAN,
    cakes: inTins({ family: 'savoury-coconut-slab', heat: 'medium', schools: PASTE }, [35, 42, 50]),
  },
  {
    cake: 'Dimpled cups, raw, pre-heated, 10–20 ml',
    depth: '6–10',
    typical: 'ceramic dishes of 45 mm, medium',
    minutes: [3, 7],
    ask: CLEAN,
    cakes: [10, 14].map((ml) => ({ family: 'dimpled-cups', vessel: DISH, ml, heat: 'medium' })),
  },
  {
    cake: 'Tapioca layers, colour on colour, 2–3 mm each: between pours',
    depth: '20–30',
    typical: 'steel tin of 20 cm, medium',
    minutes: [3, 5],
    ask: BETWEEN,
    cakes: [
      { family: 'rainbow-layers', vessel: round(0.2), depthMm: 20, layerMm: 2, heat: 'medium' },
      { family: 'rainbow-layers', vessel: round(0.2), depthMm: 27, layerMm: 3, heat: 'medium' },
    ],
  },
  {
    cake: 'The same: the last',
    depth: '20–30',
    typical: 'steel tin of 20 cm, medium',
    minutes: [8, 20],
    ask: LAST,
    cakes: [
      { family: 'rainbow-layers', vessel: round(0.2), depthMm: 20, layerMm: 2, heat: 'medium' },
      { family: 'rainbow-layers', vessel: round(0.2), depthMm: 27, layerMm: 3, heat: 'medium' },
    ],
    misses:
      'The thin stack (2 mm a layer): it is hot right through when the last layer goes on, and that layer alone has to catch up. Cooks let it go on steaming.',
  },
  {
    cake: 'Tapioca layers, 5–6 mm each: between pours',
    depth: '40–65',
    typical: 'steel tin of 20 cm, gentle',
    minutes: [5, 10],
    ask: BETWEEN,
    cakes: [
      { family: 'rainbow-layers', vessel: round(0.2), depthMm: 40, layerMm: 5, heat: 'gentle' },
      { family: 'rainbow-layers', vessel: round(0.2), depthMm: 60, layerMm: 6, heat: 'gentle' },
    ],
  },
  {
    cake: 'The same: the last',
    depth: '40–65',
    typical: 'steel tin of 20 cm, gentle',
    minutes: [9, 30],
    ask: LAST,
    cakes: [
      { family: 'rainbow-layers', vessel: round(0.2), depthMm: 40, layerMm: 5, heat: 'gentle' },
      { family: 'rainbow-layers', vessel: round(0.2), depthMm: 60, layerMm: 6, heat: 'gentle' },
    ],
    misses:
      'The deep end, by three minutes: ten cold pours have cooled the middle of a stack of 60 mm, and on gentle heat it comes back slowly to 87 °C.',
  },
  {
    cake: 'Tapioca and bean layers, 4–6 mm each: between pours',
    depth: '25–45',
    typical: 'steel tin of 20 cm, medium',
    minutes: [4, 8],
    ask: BETWEEN,
    cakes: [
      { family: 'two-tone-layers', vessel: round(0.2), depthMm: 28, layerMm: 4, heat: 'medium' },
      { family: 'two-tone-layers', vessel: round(0.2), depthMm: 42, layerMm: 6, heat: 'medium' },
    ],
    misses: 'The first layer only: it is heated from both sides in a bare tin. All others are in the band.',
  },
  {
    cake: 'The same: the last',
    depth: '25–45',
    typical: 'steel tin of 20 cm, medium',
    minutes: [15, 28],
    ask: LAST,
    cakes: [
      { family: 'two-tone-layers', vessel: round(0.2), depthMm: 28, layerMm: 4, heat: 'medium' },
      { family: 'two-tone-layers', vessel: round(0.2), depthMm: 42, layerMm: 6, heat: 'medium' },
    ],
    misses: 'The thin stack, as for tapioca layers.',
  },
  {
    cake: 'Sticky sweet cake, syrup batter',
    depth: '40–50',
    typical: 'steel tins of 18 and 20 cm, papered, foil, medium',
    minutes: [75, 150],
    ask: CLEAN,
    cakes: over({ family: 'sticky-sweet-cake', heat: 'medium' }, [round(0.18), round(0.2)], [40, 45, 50]),
  },
  {
    cake: 'Yeast sponge',
    depth: '20–30 risen',
    typical: 'steel tins of 20 and 23 cm, medium',
    minutes: [15, 28],
    ask: CLEAN,
    cakes: inTins({ family: 'yeast-sponge', heat: 'medium' }, [20, 25, 30]),
    misses:
      'The shallow end, by a minute: 13 mm of batter that has risen to 20 mm holds little heat, and its hot bubbles carry vapour.',
  },
  {
    cake: 'Raised cups, 50–80 ml',
    depth: '30–45 risen',
    typical: 'ceramic and plastic cups of 60 mm, medium',
    minutes: [12, 24],
    ask: CLEAN,
    cakes: [CUP, PLASTIC].flatMap((vessel) =>
      [50, 65].map((ml) => ({ family: 'roux-raised-cups', vessel, ml, heat: 'medium' as const })),
    ),
  },
  {
    cake: 'The same, 20–30 ml',
    depth: '18–28 risen',
    typical: 'ceramic cups of 45 mm, medium',
    minutes: [9, 16],
    ask: CLEAN,
    cakes: [20, 25].map((ml) => ({ family: 'roux-raised-cups', vessel: SMALL, ml, heat: 'medium' })),
  },
  {
    cake: 'Ground-grain cups, bowls',
    depth: '15–25',
    typical: 'ceramic cups of 60 mm, medium',
    minutes: [9, 17],
    ask: CLEAN,
    cakes: over({ family: 'ground-grain-cups', heat: 'medium' }, [CUP], [15, 20, 25]),
    misses:
      'The shallow end: 15 mm in thin ware (3 mm), a third of it hot bubbles that carry vapour. 25 mm are in the band.',
  },
  {
    cake: 'Roll sheet, metal tray',
    depth: '1.5–2.5',
    typical: 'aluminium tray of 28 × 20 cm, strong',
    minutes: [1, 2.5],
    ask: CLEAN,
    cakes: over({ family: 'filled-rolls', heat: 'strong' }, [TRAY], [1.5, 2, 2.5]),
  },
  {
    cake: 'The same with raw minced filling, shrimp or egg',
    depth: '1.5–2.5',
    typical: 'aluminium tray of 28 × 20 cm, strong',
    minutes: [2, 4],
    ask: SAFE,
    cakes: over(
      {
        family: 'filled-rolls',
        heat: 'strong',
        change: (p) => ({
          ...p,
          fillings: p.fillings.slice(0, 1).map((x) => ({ ...x, count: undefined, doneness: 'raw' })),
        }),
      },
      [TRAY],
      [1.5, 2, 2.5],
    ),
  },
  {
    cake: 'Noodle sheet, metal tray',
    depth: '2–4',
    typical: 'aluminium tray of 28 × 20 cm, strong',
    minutes: [1, 5],
    ask: CLEAN,
    cakes: over({ family: 'noodle-sheets', heat: 'strong' }, [TRAY], [2, 3, 4]),
  },
  {
    cake: 'Dessert plate, raw rice batter, 120 ml',
    depth: '6–8',
    typical: 'ceramic plate of 15 cm, strong',
    minutes: [4, 8],
    ask: CLEAN,
    cakes: over({ family: 'filled-rolls', heat: 'strong' }, [round(0.15, 'ceramic', { heightM: 0.02 })], [6, 7, 8]),
  },
  {
    cake: 'Pan film, covered',
    depth: '0.7–1.2',
    typical: `${DEFAULT_PAN.name}, lid on`,
    minutes: [0.5, 1.2],
    ask: FILM,
    cakes: over({ family: 'pan-film-sheets' }, [round(DEFAULT_PAN.diameterM)], [0.7, 1, 1.2]),
  },
  {
    cake: 'Crisp-bit jelly, thickened first',
    depth: '30–45',
    typical: 'steel square of 18 cm and loaf of 22 × 11 cm, medium',
    minutes: [22, 40],
    ask: CLEAN,
    cakes: over(
      { family: 'crisp-bit-jelly', heat: 'medium' },
      [box(0.18, 0.18), box(0.22, 0.11, { loaf: true })],
      [30, 38, 45],
    ),
  },
  {
    cake: 'Fruit chew cake, scalded',
    depth: '20–35',
    typical: 'ceramic dishes of 15 and 20 cm, medium',
    minutes: [20, 40],
    ask: CLEAN,
    cakes: over(
      { family: 'fruit-chew-cake', heat: 'medium' },
      [round(0.15, 'ceramic'), round(0.2, 'ceramic')],
      [20, 28, 35],
    ),
    misses:
      'The shallow end: scalded, 20 mm come to the dish at 45 °C and two thirds set, and fruit takes the heat of its batter within half a minute.',
  },
  {
    cake: 'Pressure pot, vegetable slab: hold at pressure, then slow release',
    depth: '35–50',
    typical: 'steel tin of 20 cm, medium, 112 °C',
    minutes: [30, 45],
    ask: HOLD,
    cakes: over(
      {
        family: 'radish-slab',
        heat: 'medium',
        schools: PASTE,
        kitchen: PRESSED,
        change: (p) => ({ ...p, steamer: 'pressure-pot', pressureRelease: 'slow' }),
      },
      [round(0.2)],
      [35, 42, 50],
    ),
    misses:
      'Ready does not move with the pressure: the pot saves a third of what an open steamer takes, and its slow release counts as cooking. From a paste poured at 66 °C that leaves 11 min of hold for 35 mm and 29 for 50.',
  },
  {
    cake: 'Pot-cooked pudding, from thickening to no mealy taste',
    depth: '',
    typical: 'the formula, medium',
    minutes: [6, 15],
    ask: THROUGH,
    cakes: ['stirred-set-pudding', 'alkali-rice-jelly'].map((family) => ({ family, vessel: round(0.2), depthMm: 30 })),
  },
  {
    cake: 'Yeast sponge batter, fermenting at 28–32 °C',
    depth: '',
    typical: 'the formula at 28 and 32 °C',
    minutes: [45, 90],
    ask: FERMENT,
    cakes: [28, 32].map((roomC) => ({
      family: 'yeast-sponge',
      vessel: round(0.2),
      depthMm: 28,
      kitchen: { ...emptyKitchen(), roomC },
    })),
  },
  {
    cake: 'Cooling, slab in its pan, uncovered on the counter, to 25 °C',
    depth: '35–45',
    typical: 'radish slab, steel tin of 20 cm, room 21 °C',
    minutes: [150, 270],
    ask: COOLED,
    cakes: over(
      { family: 'radish-slab', heat: 'medium', schools: PASTE, whole: true, change: cooling('counter') },
      [round(0.2)],
      [35, 40, 45],
    ),
    misses:
      'The deep end: still air over a top that is half wet and skins (the domain’s law) takes 45 mm so long; a fan or a rack brings it into the band.',
  },
  {
    cake: 'The same in an iced bath',
    depth: '35–45',
    typical: 'radish slab, steel tin of 20 cm',
    minutes: [45, 130],
    ask: COOLED,
    cakes: over(
      { family: 'radish-slab', heat: 'medium', schools: PASTE, whole: true, change: cooling('ice-bath') },
      [round(0.2)],
      [35, 40, 45],
    ),
  },
  {
    cake: 'Sear, 12–15 mm chilled slice, medium heat, golden, a side',
    depth: '12–15',
    typical: 'radish slab, default pan',
    minutes: [3, 6],
    ask: SIDES,
    cakes: [0.012, 0.015].map((m) => ({
      family: 'radish-slab',
      vessel: round(0.2),
      depthMm: 45,
      whole: true,
      change: (p) => ({
        ...p,
        cut: { shape: 'rectangles', by: { kind: 'size', sizeM: 0.06, otherM: m } },
        sear: p.sear && { ...p.sear, thicknessM: m, dial: 'medium', colour: 'golden', startC: 5 },
      }),
    })),
  },
];
