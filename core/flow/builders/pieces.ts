import type { LineInForce, Treatment } from '../../plan';
import type { Squeeze } from '../../model/batter';
import type { Handle, Input } from '../builder';
import type { FlowResource } from '../flow';
import { there } from '../../units';
import { lowerName, type Kit } from './kit';

const HANDS: readonly FlowResource[] = ['hands', 'counter'];
/** Boiled in its own juice once it is squeezed, and fried before it is boiled down, s. */
const SIMMER_S = 480;
const FRY_FIRST_S = 180;
/** Meat and fish that are diced small before they go in. */
const CUT_SMALL = new Set(['cured-sausage', 'fresh-shrimp']);
/** Shelf things that need no knife. */
const READY = new Set(['fried-shallot', 'mung-beans-cooked', 'sweetcorn', 'minced-pork']);

/** What a cut makes of a name; else it is only peeled. */
const CUT_WORDS: Readonly<Record<string, string>> = {
  pulp: 'grated',
  shreds: 'grated',
  cubes: 'cubed',
  slices: 'sliced',
};

/** A piece's name without what was done to it first. */
const bare = (name: string): string => name.replace(/^(soaked|boiled|grated|sliced|cubed|diced) /, '');

/** A line of pieces that has come out of its treatment. */
export interface PieceOut {
  readonly line: LineInForce;
  readonly piece: Input;
  readonly name: string;
}
export interface PiecesOut {
  readonly pieces: readonly PieceOut[];
  readonly juice: readonly Handle[];
  readonly pulp: readonly Handle[];
  readonly liquid: readonly Handle[];
}
/** A line on the board: cut, and nothing done to it yet. */
interface Cut {
  readonly line: LineInForce;
  readonly name: string;
  readonly piece: Input;
  /** What it is called now that it is cut. */
  readonly called: string;
  /** Salt is strewn on it to draw it. */
  readonly salted: boolean;
  /** Nothing is left to boil or chop: it was softened before, or came so from the shelf. */
  readonly soft: boolean;
}
/** What a treatment leaves: a piece under its name, and what ran out of it; or no piece, but a pulp or a liquid. */
interface Treated {
  readonly piece?: Input;
  readonly name?: string;
  readonly juice?: Handle;
  readonly pulp?: Handle;
  readonly liquid?: Handle;
}

/** Peeled, grated, sliced or cubed, where it needs a knife. */
function cutOf(k: Kit, line: LineInForce): Cut {
  const i = k.ingredient(line);
  const name = lowerName(i.name);
  const soft = k.softened.get(line.id);
  const wet = i.kind === 'vegetable' || i.kind === 'fruit';
  const ready = READY.has(i.id);
  const salted = line.drawSaltG > 0 && k.b.has(`${line.id}/draw`);
  const piece: Input = soft?.piece ?? k.b.take(line.id, 'rest', { phase: 'piece', tempC: line.tempC });
  const as = { line, name, salted, soft: soft !== undefined || ready };
  if (soft || ready || !(wet || CUT_SMALL.has(i.id))) return { ...as, piece, called: soft?.name ?? name };
  const { form, tool } = line.cut;
  const called = `${CUT_WORDS[form] ?? 'peeled'} ${name}`;
  const [cut] = k.b.node(
    'grate',
    line.id,
    { form, tool, gloves: i.id === 'taro', small: !wet || i.id === 'water-chestnut' },
    [piece],
    [called],
    { resources: HANDS },
  );
  return { ...as, piece: cut, called };
}

/** Salt to draw it, where it is salted. */
const strewn = (k: Kit, { line, salted }: Cut): Input[] => (salted ? [k.b.take(`${line.id}/draw`)] : []);

/** Nothing but the salt draws it. */
function drawn(k: Kit, c: Cut): Treated & { readonly piece: Input } {
  if (!c.salted) return { piece: c.piece, name: c.called };
  const name = `salted ${c.name}`;
  const [piece] = k.b.node('draw', c.line.id, { forS: c.line.drawS }, [c.piece, ...strewn(k, c)], [name], {
    resources: ['bowl'],
  });
  return { piece, name };
}
/** Drawn by salt where it is salted, squeezed, and boiled in its own juice where that is kept. */
const squeezed =
  (how: Squeeze, keep = false) =>
  (k: Kit, c: Cut): Treated => {
    const { line, name, salted } = c;
    const settings = { how, form: line.cut.form, drawnS: line.drawS, salted, keep };
    const out = [`squeezed ${name}`, ...(keep ? [`${name} juice`] : [])];
    const outs = k.b.node('squeeze', line.id, settings, [drawn(k, c).piece], out, { resources: ['hands', 'bowl'] });
    if (!keep) return { piece: outs[0], name: `squeezed ${name}` };
    const [piece, juice] = k.b.node(
      'simmer',
      line.id,
      { forS: SIMMER_S },
      outs,
      [`boiled ${name}`, `${name} juice`] as const,
      { resources: ['ring', 'pan'] },
    );
    return { piece, juice, name: `boiled ${name}` };
  };
function wilted(k: Kit, c: Cut): Treated {
  const [piece, juice] = k.b.node(
    'wilt',
    c.line.id,
    { forS: c.line.drawS, lid: true },
    [c.piece, ...strewn(k, c)],
    [`wilted ${c.name}`, `${c.name} juice`] as const,
    { resources: ['ring', 'pan'] },
  );
  return { piece, juice, name: `wilted ${c.name}` };
}
function sugared(k: Kit, c: Cut): Treated {
  const [piece, juice] = k.b.node(
    'sugar',
    c.line.id,
    { forS: c.line.drawS },
    [c.piece, ...strewn(k, c), ...sugarFor(k, c.line)],
    [`sugared ${c.name}`, `${c.name} syrup`] as const,
    { resources: ['bowl'] },
  );
  return { piece, juice, name: `sugared ${c.name}` };
}
function parboiled(k: Kit, c: Cut): Treated {
  const name = `parboiled ${c.name}`;
  const [piece] = k.b.node('parboil', c.line.id, { forS: c.line.drawS }, [c.piece, ...strewn(k, c)], [name], {
    resources: ['ring', 'pan'],
  });
  return { piece, name };
}
function mashed(k: Kit, c: Cut): Treated {
  const forS = c.soft ? 0 : c.line.drawS;
  const [pulp] = k.b.node('paste', c.line.id, { forS }, [c.piece, ...strewn(k, c)], [`mashed ${c.name}`], {
    resources: forS > 0 ? ['ring', 'hands'] : ['hands'],
  });
  return { pulp };
}
function infused(k: Kit, c: Cut): Treated {
  const [steeped] = k.b.node(
    'infuse',
    c.line.id,
    { forS: c.line.drawS },
    [c.piece, ...strewn(k, c), ...waterFor(k, c.line)],
    [`${c.name} in water`],
    { resources: ['bowl'] },
  );
  const [liquid] = k.b.node('blend-strain', c.line.id, {}, [steeped], [`${c.name} juice`], {
    resources: ['hands', 'bowl'],
  });
  return { liquid };
}
/** What each treatment does; of the others, only the salt. */
const TREATED: Readonly<Partial<Record<Treatment, (k: Kit, c: Cut) => Treated>>> = {
  'squeezed-hard': squeezed('hard'),
  'squeezed-by-hand': squeezed('by-hand'),
  drained: squeezed('drained'),
  'squeezed-boiled': squeezed('by-hand', true),
  wilted,
  sugared,
  parboiled,
  mashed,
  infused,
};

/** One pan for all that is fried, in the order of the list; what is boiled down goes on in a pan of its own. By line. */
function friedTogether(
  k: Kit,
  pieces: readonly PieceOut[],
  about: string,
  oils: readonly LineInForce[],
): ReadonlyMap<string, Input> {
  const { b } = k;
  const fried = pieces.filter((r) => r.line.treatment === 'fried' || r.line.treatment === 'boiled-down');
  const inOrder = [...fried.filter((r) => 'stream' in r.piece), ...fried.filter((r) => !('stream' in r.piece))];
  const salts = fried.flatMap((r) => (b.has(`${r.line.id}/fry`) ? [b.take(`${r.line.id}/fry`)] : []));
  if (inOrder.length === 0) return new Map();
  const given = b.node(
    'fry',
    about,
    { additions: inOrder.map((r) => ({ forS: r.line.treatment === 'fried' ? r.line.drawS : FRY_FIRST_S })) },
    [...inOrder.map((r) => r.piece), ...oils.map((o) => b.take(o.id)), ...salts],
    inOrder.map((r) => `fried ${bare(r.name)}`),
    { resources: ['hands', 'ring', 'pan'] },
  );
  return new Map(
    inOrder.map((r, n) => {
      if (r.line.treatment !== 'boiled-down') return [r.line.id, there(given[n])];
      const [down] = b.node(
        'boil-down',
        r.line.id,
        { forS: r.line.drawS },
        [there(given[n])],
        [`boiled-down ${lowerName(k.ingredient(r.line).name)}`],
        { resources: ['ring', 'pan'] },
      );
      return [r.line.id, down];
    }),
  );
}

/**
 * Everything a list of lines needs before it is a piece, a pulp or a juice: cutting, drawing, wilting, parboiling, frying in
 * one pan in the order of the list, boiling down, mashing, infusing.
 * @param about names the shared frying: the add-ins, or a filling
 */
export function makePieces(
  k: Kit,
  lines: readonly LineInForce[],
  about: string,
  oils: readonly LineInForce[] = [],
): PiecesOut {
  const juice: Handle[] = [];
  const pulp: Handle[] = [];
  const liquid: Handle[] = [];
  const pieces: PieceOut[] = [];
  for (const line of lines) {
    const treated = (TREATED[line.treatment] ?? drawn)(k, cutOf(k, line));
    if (treated.juice) juice.push(treated.juice);
    if (treated.pulp) pulp.push(treated.pulp);
    if (treated.liquid) liquid.push(treated.liquid);
    if (treated.piece && treated.name !== undefined) pieces.push({ line, piece: treated.piece, name: treated.name });
  }
  const fried = friedTogether(k, pieces, about, oils);
  return {
    pieces: pieces.map((r) => {
      const piece = fried.get(r.line.id);
      return piece ? { ...r, piece, name: `fried ${bare(r.name)}` } : r;
    }),
    juice,
    pulp,
    liquid,
  };
}

/** Half of the first loose sugar of the batter, to sugar fruit with. */
function sugarFor(k: Kit, l: LineInForce): Input[] {
  const sugar = k.plan.batters[0].lines.find(
    (x) => k.ingredient(x).kind === 'sugar' && x.treatment === 'as-is' && k.b.has(x.id) && x.massG > 0,
  );
  return sugar && l.massG > 0 ? [k.b.take(sugar.id, 0.5)] : [];
}

/** Half of the batter's first cold liquid, to steep leaves in. */
function waterFor(k: Kit, l: LineInForce): Input[] {
  const cold = k.plan.batters[0].lines.find(
    (x) =>
      k.ingredient(x).kind === 'liquid' && x.treatment === 'as-is' && x.id !== l.id && k.b.has(x.id) && x.massG > 0,
  );
  return cold ? [k.b.take(cold.id, 0.5)] : [];
}
