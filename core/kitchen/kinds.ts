export const HEATS = ['gentle', 'medium', 'strong'] as const;

export type Heat = (typeof HEATS)[number];

/** What a ring is: it decides how long it goes on heating once it is turned off. */
export const RING_KINDS = ['gas', 'electric', 'induction'] as const;

export type RingKind = (typeof RING_KINDS)[number];

/** How a steamer is closed: a tight lid bare, one wrapped in a cloth, a woven one, one left loose. */
export const LIDS = ['tight', 'cloth', 'woven', 'loose'] as const;

export type Lid = (typeof LIDS)[number];

export const WALL_MATERIALS = [
  'steel',
  'aluminium',
  'foil',
  'ceramic',
  'glass',
  'plastic',
  'silicone',
  'bamboo',
] as const;

export type WallMaterial = (typeof WALL_MATERIALS)[number];

/** As many of a kind as a rack holds and a plan fills. */
export const MOST_VESSELS = 200;

/** What a pot, blender or pan is made of, where it meets food. */
export const GEAR_MATERIALS = ['steel', 'aluminium', 'enamel', 'cast iron', 'ceramic', 'glass', 'plastic'] as const;

export const POT_KINDS = ['pot', 'wok', 'saucepan'] as const;

export const APPLIANCE_KINDS = ['blender', 'processor', 'microwave', 'grinder'] as const;

export const COATINGS = ['non-stick', 'seasoned', 'bare'] as const;

/** What makes a kitchen's times other than the model's: the steamer, a heat in it, the kind of cake, the plan. */
export const EFFECT_KINDS = ['steamer', 'heat', 'family', 'plan'] as const;

export type EffectKind = (typeof EFFECT_KINDS)[number];

/** Version of a kitchen that has not learned yet. */
export const NOT_LEARNED = 0;
