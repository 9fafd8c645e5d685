/** Units a cook reads a value in, as its slot in the flow keeps it. */
export type ReadUnit = 'g' | '°C' | 'mm' | 'ml';

/**
 * What a cook may answer at a step: a word for what is seen, with what to do then; a value that is read into a slot of the node; what a pick
 * says; how it tastes; water that was topped up; the heat turned.
 */
export type Answer =
  | {
      readonly kind: 'say';
      readonly words: string;
      readonly then?: string;
      /** Share of the wait's way that this look stands for, 0–1: a dough half risen is half way. */
      readonly progress?: number;
    }
  | {
      readonly kind: 'read';
      readonly slot: string;
      readonly words: string;
      readonly unit: ReadUnit;
      /** What is forecast, in that unit; undefined where nothing is. */
      readonly expected?: number;
    }
  | { readonly kind: 'pick'; readonly state: 'sticky' | 'nearly' | 'clean'; readonly words: string }
  | { readonly kind: 'taste'; readonly words: 'flat' | 'right' | 'salty' }
  | { readonly kind: 'top-up'; readonly words: string; readonly expectedMl?: number }
  | { readonly kind: 'turn'; readonly words: string }
  /** How warm the middle is now: written down, and kept for the record of its cooling. */
  | { readonly kind: 'probe'; readonly words: string };

export const say = (words: string, then?: string, progress?: number): Answer => ({
  kind: 'say',
  words,
  ...(then === undefined ? {} : { then }),
  ...(progress === undefined ? {} : { progress }),
});

const READS = {
  juiceG: { words: 'Juice weighed', unit: 'g' },
  yieldG: { words: 'Liquid weighed', unit: 'g' },
  uptakeG: { words: 'Water taken up', unit: 'g' },
  waterG: { words: 'Water put in', unit: 'g' },
  pouredG: { words: 'Poured off', unit: 'g' },
  leftG: { words: 'Left over', unit: 'g' },
  tempC: { words: 'Temperature', unit: '°C' },
  depthMm: { words: 'Depth by ruler', unit: 'mm' },
  waterMl: { words: 'Water in the pot', unit: 'ml' },
} as const;
export type ReadSlot = keyof typeof READS;
export const readName = (slot: string): { readonly words: string; readonly unit: ReadUnit } | undefined =>
  READS[slot as ReadSlot];

/** A value to be read into a slot. @param words other than the slot's usual ones @param expected in the slot's unit */
export const read = (slot: ReadSlot, expected?: number, words?: string): Answer => ({
  kind: 'read',
  slot,
  words: words ?? READS[slot].words,
  unit: READS[slot].unit,
  ...(expected === undefined || !Number.isFinite(expected) ? {} : { expected }),
});

export const PICK: readonly Answer[] = [
  { kind: 'pick', state: 'sticky', words: 'sticky' },
  { kind: 'pick', state: 'nearly', words: 'nearly' },
  { kind: 'pick', state: 'clean', words: 'clean' },
];
/** Where a pick was not clean, with what that says. */
export const WHERE: readonly Answer[] = [
  say('in the middle', 'The middle is the last to set, as reckoned: give it its minutes.'),
  say('at the bottom', 'The base gets too little: the pan must stand clear of the water, with steam passing under it.'),
  say('at the rim', 'The rim should be first: keep the pan a finger off the wall, and look where water runs down.'),
  say('only wet on top', 'That is water from the lid, not batter: blot it, and push the pick in beside it.'),
];
export const TASTE: readonly Answer[] = [
  { kind: 'taste', words: 'flat' },
  { kind: 'taste', words: 'right' },
  { kind: 'taste', words: 'salty' },
];

/** An answer in words, for lists of what may be said. */
export const answerWords = (a: Answer): readonly string[] =>
  a.kind === 'say' && a.then ? [a.words, a.then] : [a.words];
