import type { Kitchen } from '@/core/kitchen';
import type { BatchEvent } from '@/core/work/notebook';
import type { Plan } from '@/core/plan';

/** The Gannet Quay Rowing Club's galley: an invented kitchen for trying things out. */
export const DEMO_VESSELS: Kitchen['vessels'] = [
  {
    id: 'gq-square-24',
    name: 'Square tin, 24 cm',
    shape: 'rectangular',
    material: 'aluminium',
    lengthM: 0.24,
    widthM: 0.24,
    heightM: 0.05,
    cornerRadiusM: 0.01,
    loaf: false,
    count: 2,
    provenance: 'measured',
  },
  {
    id: 'gq-round-20',
    name: 'Round tin, 20 cm',
    shape: 'round',
    material: 'steel',
    diameterM: 0.2,
    heightM: 0.06,
    count: 2,
    provenance: 'measured',
  },
  {
    id: 'gq-round-26',
    name: 'Wide round tin, 26 cm',
    shape: 'round',
    material: 'aluminium',
    diameterM: 0.26,
    heightM: 0.05,
    count: 2,
    provenance: 'measured',
  },
  {
    id: 'gq-pie-28',
    name: 'Sloping pie tin, 28 cm',
    shape: 'round',
    material: 'steel',
    diameterM: 0.28,
    baseDiameterM: 0.23,
    heightM: 0.04,
    count: 1,
    provenance: 'measured',
  },
  {
    id: 'gq-loaf',
    name: 'Loaf tin',
    shape: 'rectangular',
    material: 'steel',
    lengthM: 0.22,
    widthM: 0.11,
    baseLengthM: 0.2,
    baseWidthM: 0.095,
    heightM: 0.065,
    cornerRadiusM: 0.008,
    loaf: true,
    count: 3,
    provenance: 'measured',
  },
  {
    id: 'gq-ceramic-22',
    name: 'Stoneware dish, 22 cm',
    shape: 'round',
    material: 'ceramic',
    diameterM: 0.22,
    heightM: 0.05,
    count: 1,
    provenance: 'measured',
  },
  {
    id: 'gq-glass-rect',
    name: 'Glass roasting dish',
    shape: 'rectangular',
    material: 'glass',
    lengthM: 0.25,
    widthM: 0.18,
    heightM: 0.05,
    cornerRadiusM: 0.02,
    loaf: false,
    count: 1,
    provenance: 'measured',
  },
  {
    id: 'gq-cups',
    name: 'Sauce dishes, 65 mm',
    shape: 'round',
    material: 'ceramic',
    diameterM: 0.065,
    baseDiameterM: 0.05,
    heightM: 0.02,
    count: 24,
    provenance: 'measured',
  },
  {
    id: 'gq-sheet-tray',
    name: 'Oven tray for sheets',
    shape: 'rectangular',
    material: 'aluminium',
    lengthM: 0.26,
    widthM: 0.2,
    heightM: 0.012,
    cornerRadiusM: 0.01,
    loaf: false,
    count: 2,
    provenance: 'measured',
  },
];
export const DEMO_STEAMERS: Kitchen['steamers'] = [
  {
    id: 'gq-stock-pot',
    name: 'Stock-pot steamer',
    tiers: 2,
    innerDiameterM: 0.36,
    clearHeightM: 0.11,
    lid: 'tight',
    potDiameterM: 0.36,
    waterDepthM: 0.08,
  },
  {
    id: 'gq-bamboo',
    name: 'Woven basket, 30 cm',
    tiers: 2,
    innerDiameterM: 0.3,
    clearHeightM: 0.07,
    lid: 'woven',
    potDiameterM: 0.32,
    waterDepthM: 0.06,
  },
];
export const DEMO_HOBS: Kitchen['hobs'] = [
  {
    id: 'gq-hob',
    name: 'Galley gas hob',
    rings: [
      {
        id: 'front',
        name: 'Front ring',
        kind: 'gas',
        marks: { gentle: '2', medium: '5', strong: '8' },
        measuredPowerW: { medium: 1180, strong: 1620 },
      },
      {
        id: 'back',
        name: 'Back ring',
        kind: 'gas',
        marks: { gentle: '1', medium: '4', strong: '9' },
        measuredPowerW: {},
      },
      {
        id: 'plate',
        name: 'Electric plate',
        kind: 'electric',
        marks: { gentle: '1½', medium: '3', strong: '6' },
        measuredPowerW: {},
      },
    ],
  },
];
export const DEMO_PANS: Kitchen['fryingPans'] = [
  {
    id: 'gq-pan-28',
    name: 'Black iron pan, 28 cm base',
    shape: 'round',
    diameterM: 0.28,
    coating: 'seasoned',
    material: 'cast iron',
    lid: false,
  },
  {
    id: 'gq-griddle',
    name: 'Long griddle',
    shape: 'rectangular',
    diameterM: 0.42,
    widthM: 0.24,
    coating: 'seasoned',
    material: 'steel',
    lid: false,
  },
  {
    id: 'gq-film-pan',
    name: 'Small coated pan, 20 cm base',
    shape: 'round',
    diameterM: 0.2,
    coating: 'non-stick',
    material: 'aluminium',
    lid: true,
  },
];
export const DEMO_POTS: Kitchen['pots'] = [
  { id: 'gq-pot-5', name: 'Enamel pot, 5 l', kind: 'pot', capacityMl: 5000, material: 'enamel' },
  { id: 'gq-wok', name: 'Big wok', kind: 'wok', capacityMl: 4500, material: 'steel' },
  { id: 'gq-saucepan', name: 'Light saucepan', kind: 'saucepan', capacityMl: 1600, material: 'aluminium' },
];
export const DEMO_APPLIANCES: Kitchen['appliances'] = [
  { id: 'gq-blender', name: 'Jug blender', kind: 'blender', capacityMl: 1500, material: 'glass' },
  { id: 'gq-microwave', name: 'Galley microwave', kind: 'microwave', capacityMl: 20000, material: 'steel' },
];
export const DEMO_SCOOPS: Kitchen['scoops'] = [
  { id: 'gq-ladle', name: 'Small ladle', ml: 60 },
  { id: 'gq-soup-spoon', name: 'Soup spoon', ml: 12 },
];
export const DEMO_SETTINGS = { name: 'Gannet Quay galley', altitudeM: 12, roomC: 20, fridgeC: 4 };

/** Pack sizes and prices of the galley's store cupboard, in its own money. */
export const DEMO_PRICES: Readonly<
  Record<string, readonly [word: string, massG: number, price: number, stockG: number]>
> = {
  'rice-flour-fine': ['bag', 500, 1.4, 1500],
  tapioca: ['bag', 400, 1.1, 800],
  'maize-starch': ['box', 500, 1.2, 500],
  'glutinous-flour': ['bag', 500, 1.5, 1000],
  'wheat-starch': ['bag', 450, 1.8, 300],
  'coconut-milk': ['can', 400, 1.3, 1600],
  radish: ['piece', 900, 1.6, 1800],
  'slab-sugar': ['block', 400, 1.7, 800],
  'white-sugar': ['bag', 1000, 1.1, 2000],
  'dried-shrimp': ['packet', 100, 3.2, 100],
  'cured-sausage': ['packet', 250, 4.1, 250],
  'dried-mushroom': ['packet', 150, 2.4, 150],
};

/** Changes to a family's shipped formula that make a galley plan. */
export interface DemoPlan {
  readonly key: string;
  readonly family: string;
  readonly factor: number;
  readonly change: Partial<Plan>;
}
export const DEMO_PLANS: readonly DemoPlan[] = [
  {
    key: 'regatta',
    family: 'savoury-coconut-slab',
    factor: 1.6,
    change: {
      name: 'Regatta morning coconut slab',
      vessel: 'gq-square-24',
      steamer: 'gq-stock-pot',
      guests: 10,
      notes: 'For the eights, before the first race.',
    },
  },
  {
    key: 'wednesday',
    family: 'radish-slab',
    factor: 1,
    change: {
      name: 'Wednesday radish slab',
      vessel: 'gq-square-24',
      steamer: 'gq-stock-pot',
      fryingPan: 'gq-pan-28',
      guests: 12,
      role: 'side',
      notes: 'Slice cold, sear to order.',
    },
  },
  {
    key: 'boathouse',
    family: 'savoury-coconut-slab',
    factor: 1,
    change: {
      name: 'Boathouse slab in the stoneware dish',
      vessel: 'gq-ceramic-22',
      steamer: 'gq-stock-pot',
      guests: 8,
    },
  },
  {
    key: 'novices',
    family: 'radish-slab',
    factor: 1,
    change: {
      name: "Novices' plain radish slab",
      vessel: 'gq-round-26',
      steamer: 'gq-stock-pot',
      fryingPan: 'gq-griddle',
      guests: 8,
      addIns: [{ id: 'radish', ingredient: 'radish', massG: 1050, treatment: 'wilted', drawS: 720 }],
      notes: 'No shrimp, no sausage: everyone can eat it.',
    },
  },
];

/** Past batches: which plan, how many days ago, and what was seen. Check times are shares of the forecast's first clean pick. */
export interface DemoBatch {
  readonly plan: string;
  readonly daysAgo: number;
  readonly checks: readonly (readonly [share: number, state: 'sticky' | 'nearly' | 'clean'])[];
  readonly after: readonly BatchEvent[];
}
export const DEMO_BATCHES: readonly DemoBatch[] = [
  {
    plan: 'regatta',
    daysAgo: 41,
    checks: [
      [0.9, 'sticky'],
      [1.15, 'clean'],
    ],
    after: [
      {
        kind: 'tasted',
        overall: 4,
        axes: { firm: 'right', chewy: 'less', sticky: 'right' },
        note: 'Could hold a little more chew. Signe wants it again.',
      },
    ],
  },
  {
    plan: 'wednesday',
    daysAgo: 34,
    checks: [
      [0.85, 'sticky'],
      [1.0, 'nearly'],
      [1.12, 'clean'],
    ],
    after: [
      { kind: 'read', stepId: 'wilt:radish', slot: 'juiceG', value: 310 },
      {
        kind: 'tasted',
        overall: 5,
        axes: { firm: 'right', cleanBite: 'right' },
        note: 'Radish from the allotment, very juicy.',
      },
    ],
  },
  {
    plan: 'boathouse',
    daysAgo: 27,
    checks: [
      [0.95, 'sticky'],
      [1.2, 'clean'],
    ],
    after: [
      { kind: 'tasted', overall: 3, axes: { firm: 'less', sticky: 'more' }, note: 'Cut too warm; the middle smeared.' },
    ],
  },
  {
    plan: 'novices',
    daysAgo: 20,
    checks: [
      [1.0, 'nearly'],
      [1.1, 'clean'],
    ],
    after: [
      { kind: 'topped-up', massG: 600 },
      { kind: 'tasted', overall: 4, axes: { firm: 'right' }, note: 'Needs the soy. Torben ate six pieces.' },
    ],
  },
  {
    plan: 'wednesday',
    daysAgo: 13,
    checks: [
      [0.9, 'sticky'],
      [1.1, 'clean'],
    ],
    after: [{ kind: 'tasted', overall: 4, axes: { firm: 'more', hardens: 'more' }, note: 'A touch stiff next day.' }],
  },
  {
    plan: 'regatta',
    daysAgo: 1,
    checks: [
      [1.0, 'sticky'],
      [1.15, 'clean'],
    ],
    after: [
      {
        kind: 'tasted',
        overall: 5,
        axes: { firm: 'right', chewy: 'right', sticky: 'right' },
        note: 'Best so far. Ice bath made the cutting clean.',
      },
    ],
  },
];
