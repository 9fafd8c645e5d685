/**
 * Places in a sentence that can be changed where they are said. A sentence carries them as marks round its own words, so that building it stays
 * plain text; `plain` takes the marks out, `partsOf` reads them.
 */
export const SLOT_KINDS = [
  /** "the" before lines of the plan; left out where their grams are said. */
  'the',
  /** A line of the plan, by its id. */
  'line',
  /** The grams of a line, without its name. */
  'grams',
  /** The name of a line, without its grams. */
  'name',
  /** A share of a line that enters here, by its id and what is weighed: `oil@9 g`. */
  'part',
  /** A dried thing as it is weighed dry, by its line. */
  'dry',
  /** A wait, by its node. */
  'wait',
  /** All the liquid wanted of a batter, by its id. */
  'liquid',
  /** How many layers. */
  'layers',
  'heat',
  'guard',
  'vessel',
  'lining',
  /** A cooling stage, by its place in the plan: where, and how long. */
  'stage-where',
  'stage-time',
  'guests',
  /** A computed figure, by its path in the forecast. */
  'figure',
] as const;
export type SlotKind = (typeof SLOT_KINDS)[number];

export interface SlotPart {
  readonly text: string;
  readonly slot?: { readonly kind: SlotKind; readonly key: string };
}

// Signs that no name of a cook's can hold.
const [OPEN, NAMED, CLOSE] = ['\uE000', '\uE001', '\uE002'];
const MARKED = new RegExp(`${OPEN}([^${NAMED}]*)${NAMED}([^${CLOSE}]*)${CLOSE}`, 'g');

/** Words of a sentence as a slot. */
export const slot = (kind: SlotKind, key: string, text: string): string =>
  text === '' ? '' : `${OPEN}${kind}:${key}${NAMED}${text}${CLOSE}`;

/** A sentence without its marks. */
export const plain = (sentence: string): string => sentence.replace(MARKED, '$2');

const isKind = (kind: string): kind is SlotKind => (SLOT_KINDS as readonly string[]).includes(kind);

/** A sentence as its parts, in order; joined they are the plain sentence. */
export function partsOf(sentence: string): readonly SlotPart[] {
  const parts: SlotPart[] = [];
  let from = 0;
  for (const m of sentence.matchAll(MARKED)) {
    if (m.index > from) parts.push({ text: sentence.slice(from, m.index) });
    const [, mark = '', text = ''] = m;
    const at = mark.indexOf(':');
    const kind = mark.slice(0, at);
    parts.push(isKind(kind) ? { text, slot: { kind, key: mark.slice(at + 1) } } : { text });
    from = m.index + m[0].length;
  }
  if (from < sentence.length) parts.push({ text: sentence.slice(from) });
  return parts;
}
