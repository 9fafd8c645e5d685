import type { Handle, Input, NodeRest } from '../builder';
import { makePieces } from './pieces';
import { saltLeft, type Kit } from './kit';
import { softenAll } from './soften';

const STEAM: NodeRest = { station: 'steam', resources: ['tier', 'ring'] };

export const choose = (k: Kit, words: string): void => {
  k.b.node('choose', 'produce', { words }, [], [], { resources: ['hands'] });
};
/** Weighed out, and what must soak or boil soft put on. */
export const weigh = (k: Kit): void => {
  k.b.node('weigh', 'plan', {}, [], [], { resources: ['hands', 'counter'] });
  softenAll(k);
};

/** What is left of a sauce that is reduced. */
const REDUCED_TO = 0.7;
/** Sauces and toppings, each made of its own lines; one may use an oil or a juice that an earlier one made. */
export function accompaniments(k: Kit): Handle[] {
  const { b } = k;
  const made = new Map<string, Handle>();
  for (const a of k.plan.accompaniments) {
    const inputs = a.lines.flatMap((l): Input[] => {
      const soft = k.softened.get(l.id);
      return soft ? [soft.piece] : b.has(l.id) ? [b.take(l.id)] : [];
    });
    const from = a.uses && made.get(a.uses.accompaniment);
    if (a.uses && from) {
      const what = k.plan.accompaniments.find((x) => x.id === a.uses?.accompaniment)?.name.toLowerCase() ?? '';
      const [rest, part] = b.node('keep-back', a.uses.accompaniment, { share: a.uses.share }, [from], [what, what], {
        station: 'serve',
        resources: ['bowl'],
      });
      made.set(a.uses.accompaniment, rest);
      inputs.push(...b.node('reuse', a.id, {}, [part], [what], { station: 'serve', resources: ['bowl'] }));
    }
    if (inputs.length === 0) continue;
    const ring = a.method !== 'stir' && a.method !== 'pickle';
    const rest: NodeRest = { station: 'serve', resources: ring ? ['hands', 'ring'] : ['hands', 'bowl'] };
    let [out] = b.node(
      'make',
      a.id,
      { method: a.method, forS: a.timeS, role: a.role },
      inputs,
      [a.name.toLowerCase()],
      rest,
    );
    if (a.method === 'reduce')
      [out] = b.node('reduce', a.id, { toShare: REDUCED_TO, forS: 0 }, [out], [a.name.toLowerCase()], rest);
    made.set(a.id, out);
  }
  return [...made.values()];
}

/** Water on to boil in the steamer, and the pan made ready. */
export function readySteamer(k: Kit, moulds?: 'moulds' | 'trays'): void {
  k.b.node('boil-up', 'steamer', {}, [], [], STEAM);
  if (moulds)
    k.b.node('preheat', moulds, { what: moulds }, [], [], {
      station: 'vessel',
      resources: ['tier'],
      after: ['boil-up:steamer'],
    });
  else readyPan(k);
}
export function readyPan(k: Kit): void {
  k.b.node('prepare', 'pan', { lining: k.plan.paper ? 'paper' : 'oil' }, [], [], {
    station: 'vessel',
    resources: ['hands', 'counter'],
  });
}

export interface CakeOptions {
  readonly paste?: boolean;
  readonly pot?: boolean;
  readonly standS?: number;
  /** Cut pieces that stick are kept apart. */
  readonly apart?: 'oil' | 'paper';
}

/** Poured into the pan, topped, steamed, checked, stood. */
export function pourAndSteam(k: Kit, cake: Handle, top: readonly Input[], o: CakeOptions): Handle {
  const { b } = k;
  b.mark('cake', cake);
  let [out] = b.node('pour', 'cake', { paste: o.paste ?? false, pot: o.pot ?? false }, [cake], ['cake'], {
    station: 'vessel',
    resources: ['hands', 'counter'],
    after: b.hasNode('prepare:pan') ? ['prepare:pan'] : [],
  });
  b.mark('pan', out);
  if (top.length > 0) {
    [out] = b.node('top', 'cake', {}, [out, ...top], ['cake'], { station: 'vessel', resources: ['hands'] });
    b.mark('pan', out);
  }
  if (o.pot) return out;
  [out] = b.node('steam', 'cake', {}, [out], ['cake'], { ...STEAM, after: ['boil-up:steamer'] });
  return checkAndStand(k, out, o.standS);
}

/** Looked at by the pick, and left to stand in the steamer where the family asks it. */
export function checkAndStand({ b }: Kit, steamed: Handle, standS = 0): Handle {
  const [out] = b.node('check', 'cake', {}, [steamed], ['cake'], { station: 'steam', resources: ['hands', 'tier'] });
  return standS > 0
    ? b.node('stand', 'cake', { forS: standS }, [out], ['cake'], { station: 'steam', resources: ['tier'] })[0]
    : out;
}

/** Cooled by the plan's stages. */
export function coolDown(k: Kit, cake: Handle): Handle {
  const stages = k.plan.cooling;
  const seen = new Map<string, number>();
  return stages.reduce((h, stage, index) => {
    const n = (seen.get(stage.where) ?? 0) + 1;
    seen.set(stage.where, n);
    return k.b.node(
      'cool',
      n === 1 ? stage.where : `${stage.where}-${n}`,
      { stage, index, last: index === stages.length - 1 },
      [h],
      ['cake'],
      { station: 'rest', resources: [stage.where === 'fridge' || stage.where === 'freezer' ? 'fridge' : 'counter'] },
    )[0];
  }, cake);
}

/** Turned out, cut, kept apart, dipped, seared: as the plan and the school ask. */
export function cutAndSear(k: Kit, cake: Handle, o: CakeOptions): Handle {
  const { b, plan } = k;
  let [out] = b.node('unmould', 'cake', {}, [cake], ['cake'], {
    station: 'rest',
    resources: ['hands', 'counter'],
  });
  if (plan.cut)
    [out] = b.node('cut', 'cake', {}, [out], ['pieces'], { station: 'cut', resources: ['hands', 'counter'] });
  if (o.apart && plan.cut)
    [out] = b.node('keep-apart', 'pieces', { by: o.apart }, [out], ['pieces'], {
      station: 'cut',
      resources: ['hands'],
    });
  const serve = k.school('serve');
  if (plan.sear && plan.cut && serve !== undefined && serve !== 'plain') {
    if (plan.sear.dip === 'egg')
      [out] = b.node('dip', 'pieces', {}, [out], ['dipped pieces'], { station: 'sear', resources: ['hands'] });
    [out] = b.node('sear', 'pieces', { half: serve === 'both' }, [out], ['seared pieces'], {
      station: 'sear',
      resources: ['hands', 'pan', 'ring'],
    });
  }
  return out;
}

/** Every filling made of its own lines, before there is a sheet that waits for it. */
export function makeFillings(k: Kit): readonly Input[] {
  const { fillings } = k.plan;
  const made = fillings.flatMap((f) => {
    const { pieces, juice, pulp, liquid } = makePieces(k, f.lines, `filling-${f.id}`);
    return [...pieces.map((p) => p.piece), ...juice, ...pulp, ...liquid];
  });
  return [...made, ...fillings.flatMap((f) => f.lines.flatMap((l) => saltLeft(k, l)))];
}

/** Sheets filled and rolled or folded. */
export function fillSheets(k: Kit, sheets: Handle, how: 'roll' | 'fold', filled: readonly Input[]): Handle {
  const { b, plan } = k;
  return b.node(
    'assemble',
    'sheets',
    {
      how,
      fillings: plan.fillings.map(({ name, doneness, safeC, count, eater }) => ({
        name,
        doneness,
        safeC,
        count,
        eater,
      })),
    },
    [sheets, ...filled],
    [how === 'roll' ? 'rolls' : 'folded sheets'],
    { station: 'serve', resources: ['hands', 'counter'] },
  )[0];
}

/** On the plate with its sauces: the end of the flow. */
export function serve(k: Kit, cake: Handle, sauces: readonly Handle[]): void {
  k.b.node('serve', 'plate', {}, [cake, ...sauces], [], { station: 'serve', resources: ['hands'] });
}
