import { FAMILIES } from '../families';
import { DEFAULT_VESSEL, vesselSchema, type Vessel } from '../kitchen';
import { FINE_GRID, layerRun, SHIPPED_GRID, singlePour, type PourGrid } from '../model/steam';
import { pourOf, stackOf, steamInput, type SteamInput } from '../stations/steam';
import { whole } from '../units';
import { formula, lightOf, pourInputOf } from './made';

/** A time of steaming as shipped, and as a finer working-out has it, s. */
export interface Compared {
  readonly name: string;
  readonly shippedS: number;
  readonly finerS: number;
}
/** How far off the shipped one is, as a share. */
export const off = ({ shippedS, finerS }: Compared): number => shippedS / finerS - 1;

/** The shipped grid in steps of three seconds at most. */
const FINE_STEPS: PourGrid = { ...SHIPPED_GRID, toleranceC: 1, maxStepS: 3 };

const inputOf = (id: string): SteamInput => steamInput(lightOf(formula(id)));

/** First clean pick of what is steamed, s; of a stack, all of it; undefined for the pot and the pan. */
function timeOf(input: SteamInput, size: PourGrid): number | undefined {
  switch (input.how) {
    case 'pot':
    case 'pan-film':
      return undefined;
    case 'layers':
      return whole(layerRun({ ...stackOf(input), stand: undefined }, size))?.totalS;
    default:
      return whole(singlePour({ ...pourOf(input), stand: undefined }, 0, size)).firstCleanPickS;
  }
}

/** Families whose formula is steamed. */
export const STEAMED_FAMILIES = FAMILIES.filter((f) => f.cooked !== 'pot' && f.cooked !== 'pan-film').map((f) => f.id);

/** A family's own formula, against the same grid in fine steps. */
export function formulaAccuracy(id: string): Compared {
  const input = inputOf(id);
  return {
    name: id,
    shippedS: timeOf(input, SHIPPED_GRID) ?? NaN,
    finerS: timeOf(input, FINE_STEPS) ?? NaN,
  };
}

const vessel = (change: Partial<Vessel>): Vessel => vesselSchema.parse({ ...DEFAULT_VESSEL, heightM: 0.09, ...change });
const VESSELS = {
  round: vessel({}),
  square: vessel({ shape: 'rectangular', lengthM: 0.18, widthM: 0.18 }),
  loaf: vessel({ shape: 'rectangular', lengthM: 0.21, widthM: 0.11, baseLengthM: 0.19, baseWidthM: 0.085 }),
  cup: vessel({ diameterM: 0.07, material: 'ceramic' }),
} as const;

/** Cakes with pieces, with gas, with much sugar and plain ones, shallow and deep, in four vessels. */
export const CASES: readonly (readonly [id: string, vessel: keyof typeof VESSELS, depthM: number])[] = [
  'radish-slab',
  'taro-slab',
  'savoury-coconut-slab',
  'yeast-sponge',
  'roux-raised-cups',
  'sticky-sweet-cake',
  'crisp-bit-jelly',
  'fruit-chew-cake',
].flatMap((id) =>
  (
    [
      ['round', 0.02],
      ['round', 0.045],
      ['square', 0.03],
      ['loaf', 0.045],
      ['cup', 0.025],
    ] as const
  ).map(([v, depthM]) => [id, v, depthM] as const),
);

/** One of them, against a finer grid in steps of five seconds at most. */
export function caseAccuracy([id, name, depthM]: (typeof CASES)[number]): Compared {
  const at = VESSELS[name];
  const input = pourInputOf(lightOf(formula(id)));
  const pour = { ...pourOf(input), vessel: at, material: at.material, depthM, stand: undefined };
  const time = (size: PourGrid) => whole(singlePour(pour, 0, size)).firstCleanPickS ?? NaN;
  return { name: `${id}, ${name}, ${1000 * depthM} mm`, shippedS: time(SHIPPED_GRID), finerS: time(FINE_GRID) };
}
