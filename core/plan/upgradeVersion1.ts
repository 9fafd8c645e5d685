type Doc = Record<string, unknown>;

const isDoc = (x: unknown): x is Doc => typeof x === 'object' && x !== null && !Array.isArray(x);
const list = (x: unknown): Doc[] => (Array.isArray(x) ? x.filter(isDoc) : []);

/** The node and slot that hold what version 1 wrote into `weighedG`, by the line's treatment. */
const WEIGHED_AT: Readonly<Record<string, readonly [string, string]>> = {
  wilted: ['wilt', 'juiceG'],
  'squeezed-hard': ['squeeze', 'juiceG'],
  'squeezed-by-hand': ['squeeze', 'juiceG'],
  drained: ['squeeze', 'juiceG'],
  sugared: ['sugar', 'juiceG'],
  soaked: ['soak', 'uptakeG'],
  'soaked-alkali': ['slake', 'uptakeG'],
};
/** The juice school that a line's treatment belongs to: where the two disagreed, the line was computed. */
const SCHOOL_OF: Readonly<Record<string, string>> = {
  wilted: 'wilt-keep',
  'squeezed-hard': 'draw-discard',
  'squeezed-by-hand': 'draw-discard',
  drained: 'draw-discard',
  parboiled: 'parboil',
};
/** Families whose batter is not poured once: where its temperature is read. */
const POURED_AT: Readonly<Record<string, string>> = {
  'two-tone-layers': 'layer:cake',
  'rainbow-layers': 'layer:cake',
  'dimpled-cups': 'fill:cake',
  'roux-raised-cups': 'fill:cake',
  'ground-grain-cups': 'fill:cake',
  'filled-rolls': 'fill:cake',
  'noodle-sheets': 'fill:cake',
  'pan-film-sheets': 'film:cake',
};
const ASKS_JUICE = 'radish-slab';
/** Families whose add-ins were fillings, counted as batter by version 1. */
const FILLED = ['filled-rolls', 'pan-film-sheets'];

/**
 * A version 1 plan as version 2, without loss: lines get ids, weighings and the pouring temperature become readings of their nodes,
 * sauces become accompaniments with an amount, colours get names, add-ins of filled sheets become a filling.
 * @param doc the document as it was stored; what is malformed is left for the schema to tell
 */
export function upgradeVersion1(doc: Doc): Doc {
  const taken = new Set<string>();
  const readings: Record<string, Record<string, number>> = {};
  const line = (l: Doc): Doc => {
    const base = typeof l.ingredient === 'string' && l.ingredient !== '' ? l.ingredient.slice(0, 72) : 'line';
    let id = base;
    for (let n = 2; taken.has(id); n++) id = `${base}-${n}`;
    taken.add(id);
    const { weighedG, ...rest } = l;
    if (weighedG !== undefined) {
      const [node, slot] = WEIGHED_AT[String(l.treatment)] ?? ['weigh', 'massG'];
      readings[`${node}:${id}`] = { [slot]: weighedG as number };
    }
    return { id, ...rest };
  };
  const lines = (x: unknown) => (Array.isArray(x) ? x.map((l) => (isDoc(l) ? line(l) : l)) : x);
  const batters = Array.isArray(doc.batters)
    ? doc.batters.map((b) => (isDoc(b) ? { ...b, lines: lines(b.lines) } : b))
    : doc.batters;
  const addIns = lines(doc.addIns);
  const accompaniments = Array.isArray(doc.sauces)
    ? doc.sauces.map((s) => {
        if (!isDoc(s)) return s;
        const { gramsAHead, ...rest } = s;
        return {
          ...rest,
          amount: { by: 'head', grams: gramsAHead ?? 20 },
          lines: Array.isArray(s.lines) ? s.lines.map((l) => (isDoc(l) ? line(l) : l)) : s.lines,
        };
      })
    : doc.sauces;
  const colours = Array.isArray(doc.colours)
    ? doc.colours.map((c) =>
        typeof c === 'string' ? { id: c, name: `${c.charAt(0).toUpperCase()}${c.slice(1)}`, colour: c } : c,
      )
    : doc.colours;
  const treated = list(addIns)
    .map((l) => SCHOOL_OF[String(l.treatment)])
    .find((s) => s !== undefined);
  const schools: Doc = isDoc(doc.schools) ? { ...doc.schools } : {};
  if (treated !== undefined && doc.family === ASKS_JUICE) schools.juice = treated;
  // Version 1 took off what was written down as poured off, whatever the school said.
  if (list(doc.batters).some((b) => typeof b.pouredOffG === 'number' && b.pouredOffG > 0)) schools.rest = 'pour-off';
  const { sauces: _sauces, pourC, addIns: _addIns, ...rest } = doc;
  if (pourC !== undefined) readings[POURED_AT[String(doc.family)] ?? 'pour:cake'] = { tempC: pourC as number };
  const filled = FILLED.includes(String(doc.family)) && list(addIns).length > 0;
  return {
    ...rest,
    version: 2,
    batters,
    ...(filled
      ? { fillings: [{ id: 'filling', name: 'Filling', lines: addIns, doneness: 'ready' }] }
      : addIns === undefined
        ? {}
        : { addIns }),
    ...(accompaniments === undefined ? {} : { accompaniments }),
    ...(colours === undefined ? {} : { colours }),
    ...(Object.keys(schools).length > 0 ? { schools } : {}),
    ...(Object.keys(readings).length > 0 ? { readings } : {}),
  };
}
