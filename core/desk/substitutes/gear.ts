import { familyOf, type Family, wayOf } from '../../families';
import { forecastLight } from '../../forecast/light';
import type { Kitchen, Vessel } from '../../kitchen';
import type { Plan } from '../../plan';
import { volumeAtDepth } from '../../model/vessel';

/** Something every kitchen has in place of what this one lacks. */
export interface GearStandIn {
  readonly id: string;
  /** What is lacking. */
  readonly lacks: string;
  readonly words: string;
  /** What it changes, beside what the forecast shows. */
  readonly changes: string;
  readonly vessel?: Vessel;
  readonly guard?: 'cloth';
  /** For cakes cooked so. */
  readonly for: readonly Family['cooked'][];
}

const vessel = (v: Omit<Extract<Vessel, { shape: 'round' }>, 'shape' | 'provenance'>): Vessel => ({
  ...v,
  shape: 'round',
  provenance: 'default',
});

/** Stand-ins for gear; sizes are usual ones, to be measured. */
export const GEAR_STAND_INS: readonly GearStandIn[] = [
  {
    id: 'rack-foil',
    lacks: 'a rack',
    words: 'Three balls of foil, or an upturned cup, under the pan',
    changes: 'Less room for water: watch that it does not touch the pan.',
    for: ['steamed', 'layers', 'cups', 'sheets'],
  },
  {
    id: 'woven-lid',
    lacks: 'a woven lid',
    words: 'A cloth wrapped round the lid, ends tied on top',
    changes: 'No drips, less steam lost.',
    guard: 'cloth',
    for: ['steamed', 'layers', 'cups', 'sheets'],
  },
  {
    id: 'casserole',
    lacks: 'a cake pan',
    words: 'A straight-sided casserole',
    changes: 'Thick ceramic walls: slower to heat and to cool.',
    vessel: vessel({
      id: 'casserole',
      name: 'Casserole, 20 cm',
      material: 'ceramic',
      diameterM: 0.2,
      heightM: 0.08,
      count: 1,
    }),
    for: ['steamed', 'layers', 'pot'],
  },
  {
    id: 'cake-tin-sheet',
    lacks: 'a sheet tray',
    words: 'The floor of a wide cake tin',
    changes: 'High walls: tilt and scrape to get the sheet out.',
    vessel: vessel({
      id: 'cake-tin',
      name: 'Wide cake tin, 23 cm',
      material: 'aluminium',
      diameterM: 0.23,
      heightM: 0.04,
      count: 1,
    }),
    for: ['sheets'],
  },
  {
    id: 'oven-tray-sheet',
    lacks: 'a sheet tray',
    words: 'A small oven tray',
    changes: 'It may warp: pour the middle first.',
    vessel: {
      id: 'oven-tray',
      name: 'Small oven tray',
      shape: 'rectangular',
      material: 'steel',
      lengthM: 0.24,
      widthM: 0.18,
      heightM: 0.02,
      cornerRadiusM: 0.01,
      loaf: false,
      count: 1,
      provenance: 'default',
    },
    for: ['sheets'],
  },
  {
    id: 'sauce-dishes',
    lacks: 'small cups',
    words: 'Sauce dishes',
    changes: 'Thick and shallow: heat them well first.',
    vessel: vessel({
      id: 'sauce-dishes',
      name: 'Sauce dishes, 70 mm',
      material: 'ceramic',
      diameterM: 0.07,
      baseDiameterM: 0.05,
      heightM: 0.022,
      count: 8,
    }),
    for: ['cups'],
  },
  {
    id: 'foil-cases',
    lacks: 'small cups',
    words: 'Foil cases',
    changes: 'Thin walls: quicker, and nothing to unmould.',
    vessel: vessel({
      id: 'foil-cases',
      name: 'Foil cases, 60 mm',
      material: 'foil',
      diameterM: 0.06,
      baseDiameterM: 0.045,
      heightM: 0.035,
      count: 12,
    }),
    for: ['cups'],
  },
  {
    id: 'muffin-tin',
    lacks: 'small cups',
    words: 'Silicone muffin cups',
    changes: 'They peel off; the walls heat slowly.',
    vessel: vessel({
      id: 'muffin-cups',
      name: 'Muffin cups, 65 mm',
      material: 'silicone',
      diameterM: 0.065,
      baseDiameterM: 0.05,
      heightM: 0.035,
      count: 6,
    }),
    for: ['cups'],
  },
  {
    id: 'dessert-plate',
    lacks: 'small cups',
    words: 'One dessert plate, many small cakes cut from it',
    changes: 'No dimples: one thin round, cut or folded.',
    vessel: {
      id: 'dessert-plate',
      name: 'Dessert plate, 18 cm',
      shape: 'dish',
      material: 'ceramic',
      diameterM: 0.18,
      baseDiameterM: 0.12,
      heightM: 0.02,
      count: 2,
      provenance: 'default',
    },
    for: ['cups'],
  },
];

/** Gear that could stand in for this plan's: vessels that differ from the one chosen, and what needs no vessel. */
export const gearStandIns = (plan: Plan): readonly GearStandIn[] => {
  const family = familyOf(plan.family);
  if (!family.ok) return [];
  const { cooked } = family.value;
  return GEAR_STAND_INS.filter((g) => g.for.includes(cooked));
};

/** The plan with gear standing in: its vessel in as many as the depth band asks, its guard, or nothing but the words. */
export function withGear(plan: Plan, g: GearStandIn, kitchen: Kitchen): Plan {
  const guarded = g.guard ? { ...plan, schools: { ...plan.schools, dripGuard: g.guard } } : plan;
  const family = familyOf(plan.family);
  const light = forecastLight(guarded, kitchen);
  if (!g.vessel || !family.ok || !light.ok) return guarded;
  const mould = wayOf(family.value).refilled;
  const [low, high] = family.value.depthMm;
  const each = volumeAtDepth(g.vessel, Math.min((0.9 * g.vessel.heightM) / family.value.rise, (low + high) / 2000));
  const count = Math.max(1, Math.round(light.value.balance.volumeMl / Math.max(each, 1e-9)));
  return {
    ...guarded,
    vessel: { ...g.vessel, count: Math.max(g.vessel.count, mould ? 1 : count) },
    vesselCount: Math.min(200, count),
    alsoVessels: [],
  };
}
