import type { LineInForce } from '../../plan';
import type { Squeeze } from '../../model/batter';
import type { Handle, Input } from '../builder';
import type { FlowResource } from '../flow';
import { lowerName, type Kit } from './kit';

const HANDS: readonly FlowResource[] = ['hands', 'counter'];
/** Boiled in its own juice once it is squeezed, and fried before it is boiled down, s. */
const SIMMER_S = 480;
const FRY_FIRST_S = 180;
const SQUEEZES: Readonly<Record<string, Squeeze>> = {
  'squeezed-hard': 'hard',
  'squeezed-by-hand': 'by-hand',
  drained: 'drained',
  'squeezed-boiled': 'by-hand',
};
/** Meat and fish that are diced small before they go in. */
const CUT_SMALL = new Set(['cured-sausage', 'fresh-shrimp']);
/** Shelf things that need no knife. */
const READY = new Set(['fried-shallot', 'mung-beans-cooked', 'sweetcorn', 'minced-pork']);

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
  const { b } = k;
  const juice: Handle[] = [];
  const pulp: Handle[] = [];
  const liquid: Handle[] = [];
  const raw: PieceOut[] = [];
  for (const l of lines) {
    const i = k.ingredient(l);
    const name = lowerName(i.name);
    const wet = i.kind === 'vegetable' || i.kind === 'fruit';
    const soft = k.softened.get(l.id);
    let piece: Input = soft?.piece ?? b.take(l.id, 'rest', { phase: 'piece', tempC: l.tempC });
    let called = soft?.name ?? name;
    if (!soft && (wet || CUT_SMALL.has(i.id)) && !READY.has(i.id)) {
      const { form } = l.cut;
      const past =
        form === 'pulp' || form === 'shreds'
          ? 'grated'
          : form === 'cubes'
            ? 'cubed'
            : form === 'slices'
              ? 'sliced'
              : 'peeled';
      [piece] = b.node(
        'grate',
        l.id,
        { form, tool: l.cut.tool, gloves: i.id === 'taro', small: !wet || i.id === 'water-chestnut' },
        [piece],
        [`${past} ${name}`],
        { resources: HANDS },
      );
      called = `${past} ${name}`;
    }
    const salted = l.drawSaltG > 0 && b.has(`${l.id}/draw`);
    const squeeze = SQUEEZES[l.treatment];
    const strewn = (): Input[] => (salted ? [b.take(`${l.id}/draw`)] : []);
    if (squeeze) {
      if (salted)
        [piece] = b.node('draw', l.id, { forS: l.drawS }, [piece, ...strewn()], [`salted ${name}`], {
          resources: ['bowl'],
        });
      const keep = l.treatment === 'squeezed-boiled';
      const outs = b.node(
        'squeeze',
        l.id,
        { how: squeeze, form: l.cut.form, drawnS: l.drawS, salted, keep },
        [piece],
        keep ? [`squeezed ${name}`, `${name} juice`] : [`squeezed ${name}`],
        { resources: ['hands', 'bowl'] },
      );
      called = `squeezed ${name}`;
      if (keep) {
        const [boiled, broth] = b.node('simmer', l.id, { forS: SIMMER_S }, outs, [`boiled ${name}`, `${name} juice`], {
          resources: ['ring', 'pan'],
        });
        juice.push(broth);
        piece = boiled;
        called = `boiled ${name}`;
      } else [piece] = outs;
    } else if (l.treatment === 'wilted') {
      const [wilted, out] = b.node(
        'wilt',
        l.id,
        { forS: l.drawS, lid: true },
        [piece, ...strewn()],
        [`wilted ${name}`, `${name} juice`],
        { resources: ['ring', 'pan'] },
      );
      juice.push(out);
      piece = wilted;
      called = `wilted ${name}`;
    } else if (l.treatment === 'sugared') {
      const [sugared, out] = b.node(
        'sugar',
        l.id,
        { forS: l.drawS },
        [piece, ...strewn(), ...sugarFor(k, l)],
        [`sugared ${name}`, `${name} syrup`],
        { resources: ['bowl'] },
      );
      juice.push(out);
      piece = sugared;
      called = `sugared ${name}`;
    } else if (l.treatment === 'parboiled') {
      [piece] = b.node('parboil', l.id, { forS: l.drawS }, [piece, ...strewn()], [`parboiled ${name}`], {
        resources: ['ring', 'pan'],
      });
      called = `parboiled ${name}`;
    } else if (l.treatment === 'mashed') {
      const forS = soft || READY.has(i.id) ? 0 : l.drawS;
      pulp.push(
        b.node('paste', l.id, { forS }, [piece, ...strewn()], [`mashed ${name}`], {
          resources: forS > 0 ? ['ring', 'hands'] : ['hands'],
        })[0],
      );
      continue;
    } else if (l.treatment === 'infused') {
      const [steeped] = b.node(
        'infuse',
        l.id,
        { forS: l.drawS },
        [piece, ...strewn(), ...waterFor(k, l)],
        [`${name} in water`],
        { resources: ['bowl'] },
      );
      liquid.push(b.node('blend-strain', l.id, {}, [steeped], [`${name} juice`], { resources: ['hands', 'bowl'] })[0]);
      continue;
    } else if (salted) {
      [piece] = b.node('draw', l.id, { forS: l.drawS }, [piece, ...strewn()], [`salted ${name}`], {
        resources: ['bowl'],
      });
      called = `salted ${name}`;
    }
    raw.push({ line: l, piece, name: called });
  }

  // One pan for all that is fried, in the order of the list.
  const fried = raw.filter((r) => r.line.treatment === 'fried' || r.line.treatment === 'boiled-down');
  const handles = fried.filter((r) => 'stream' in r.piece);
  const takes = fried.filter((r) => !('stream' in r.piece));
  const inOrder = [...handles, ...takes];
  const salts = fried.flatMap((r) => (b.has(`${r.line.id}/fry`) ? [b.take(`${r.line.id}/fry`)] : []));
  const out = new Map<string, Input>();
  if (inOrder.length > 0) {
    const names = inOrder.map((r) => `fried ${bare(r.name)}`);
    const given = b.node(
      'fry',
      about,
      {
        additions: inOrder.map((r) => ({
          forS: r.line.treatment === 'fried' ? r.line.drawS : FRY_FIRST_S,
        })),
      },
      [...inOrder.map((r) => r.piece), ...oils.map((o) => b.take(o.id)), ...salts],
      names,
      { resources: ['hands', 'ring', 'pan'] },
    );
    inOrder.forEach((r, n) => {
      let h = given[n];
      if (r.line.treatment === 'boiled-down')
        [h] = b.node(
          'boil-down',
          r.line.id,
          { forS: r.line.drawS },
          [h],
          [`boiled-down ${lowerName(k.ingredient(r.line).name)}`],
          { resources: ['ring', 'pan'] },
        );
      out.set(r.line.id, h);
    });
  }
  const done = raw.map((r) => {
    const piece = out.get(r.line.id);
    return piece ? { ...r, piece, name: `fried ${bare(r.name)}` } : r;
  });
  // Back in the order of the plan.
  const rank = new Map(lines.map((l, n) => [l.id, n]));
  done.sort((a, c) => (rank.get(a.line.id) ?? 0) - (rank.get(c.line.id) ?? 0));
  return { pieces: done, juice, pulp, liquid };
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
