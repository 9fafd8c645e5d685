import { there } from '../units';
import { boughtWords, lookAlikesIn } from '../larder';
import { dryOf, type EvaluatedNode, type FlowLine, type Operation, type SourceId } from '../flow';
import { CAUTIONS } from './cautions.data';
import { carriedIn, freshLines, type Said, type StepContext } from './context';
import { withKitchen } from './ring';
import { SENTENCES } from './sentences';
import { partsOf, plain, type SlotPart } from './slots';
import type { Step, StepAmount, WeighOut } from './step';

const SOURCE_WORDS: Readonly<Record<SourceId, string>> = {
  tap: 'Water',
  'soak-water': 'Water, soaked up',
  'pan-oil': 'Oil for the pan',
  'dip-egg': 'Egg, beaten',
  'season-salt': 'Salt',
  'season-sugar': 'Sugar',
  steam: 'Steam',
};
/** Less than this is nothing to weigh, g. */
const NOTHING_G = 0.005;

const amount = (line: FlowLine, massG: number, note?: string): StepAmount => ({
  name: line.name,
  massG,
  ...(note === undefined ? {} : { note }),
  ...(line.fine ? { fine: true } : {}),
  line: line.id,
  path: line.path,
});

const dryFor = (e: StepContext['e'], l: FlowLine): Pick<StepAmount, 'dryG'> => {
  const dryG = dryOf(e, l.id);
  return dryG === undefined ? {} : { dryG };
};

function amountsOf(n: EvaluatedNode, c: StepContext): StepAmount[] {
  const grams = new Map<FlowLine, number>();
  for (const { line, massG } of freshLines(n, c)) grams.set(line, (grams.get(line) ?? 0) + massG);
  return [
    ...[...grams].map(([line, g]) => ({
      ...amount(line, g, g < line.massG * 0.999 ? `of ${Math.round(line.massG * 10) / 10} g` : undefined),
      // Until it is soaked it is weighed dry.
      ...(n.figures.dryG === undefined ? {} : { dryG: n.figures.dryG.value }),
    })),
    ...n.drawn
      .filter((d) => d.massG > NOTHING_G)
      .map((d) => ({ name: SOURCE_WORDS[d.source], massG: d.massG, path: '' })),
  ];
}

/**
 * The step list of a plan: the evaluated flow in words. A step's amounts are what enters there, by plan line, once; what is carried in
 * is named by what it has become.
 */
export const stepsOf = (c: StepContext): readonly Step[] => toldSteps(c).map((t) => t.step);

/** A step with its sentence in parts: what of it can be changed where it is said. */
export interface ToldStep {
  readonly step: Step;
  readonly parts: readonly SlotPart[];
}

/** The step list with every sentence in parts. */
export function toldSteps(c: StepContext): readonly ToldStep[] {
  const said = new Set<string>();
  return c.e.nodes.map((n) => {
    const words = (SENTENCES[n.node.op] as (n: EvaluatedNode<Operation>, c: StepContext) => Said)(n, c);
    const sentence = withKitchen(words.sentence, n, c);
    const cautions: string[] = [];
    const caution = words.caution && CAUTIONS[words.caution];
    if (words.caution && caution && !said.has(words.caution)) {
      said.add(words.caution);
      cautions.push(caution);
    }
    const before = new Set([
      ...n.node.after,
      ...n.node.ins.map((i) => there(c.light.flow.nodes[there(c.light.flow.streams[i]).from]).id),
    ]);
    const step: Step = {
      id: n.node.id,
      op: n.node.op,
      station: n.node.station,
      verb: words.verb,
      sentence: plain(sentence),
      amounts: amountsOf(n, c),
      carried: carriedIn(n, c).map(({ name, massG }) => ({ name, massG })),
      handsOnS: Math.max(0, Math.round(n.handsS)),
      waitS: Math.max(0, Math.round(n.waitS)),
      ...(n.openS === undefined ? {} : { openS: Math.round(n.openS) }),
      ...(n.timedS === undefined ? {} : { timedS: Math.round(n.timedS) }),
      resources: n.node.resources,
      cautions,
      after: [...before],
      ...(words.lookFor === undefined ? {} : { lookFor: words.lookFor }),
      ...(words.taste === undefined ? {} : { taste: words.taste }),
      ...(words.answers === undefined ? {} : { answers: words.answers }),
      ...(words.seconds ? { seconds: true } : {}),
      ...(words.timeline && words.timeline.length > 0 ? { timeline: words.timeline } : {}),
    };
    return { step, parts: partsOf(sentence) };
  });
}

/** What to weigh out: each batter, the add-ins, each colour, filling and sauce apart, by plan line. */
export function weighOut({ light, e }: StepContext): readonly WeighOut[] {
  const { plan, larder } = light.resolved;
  // A warning is said once, where it is first met.
  const warned = new Set<string>();
  const groups: readonly (readonly [string, (l: FlowLine) => boolean])[] = [
    ...plan.batters.map((b) => [b.name, (l: FlowLine) => l.role === 'batter' && l.group === b.id] as const),
    ['Add-ins', (l) => l.role === 'add-in'],
    ...plan.colours.map(
      (x) => [`Colour: ${x.name.toLowerCase()}`, (l: FlowLine) => l.role === 'colour' && l.group === x.id] as const,
    ),
    ...plan.fillings.map((f) => [f.name, (l: FlowLine) => l.role === 'filling' && l.group === f.id] as const),
    ...plan.accompaniments.map(
      (a) => [a.name, (l: FlowLine) => l.role === 'accompaniment' && l.group === a.id] as const,
    ),
  ];
  return groups.flatMap(([name, wanted], i) => {
    const lines = light.flow.lines.filter((l) => wanted(l) && l.massG > NOTHING_G);
    const amounts = lines.map((l): StepAmount => {
      const i = larder.get(l.ingredient);
      const bought = i ? boughtWords(i, l.massG, dryOf(e, l.id)) : '';
      return { ...amount(l, l.massG), ...dryFor(e, l), ...(bought === '' ? {} : { bought }) };
    });
    const alike = lookAlikesIn(lines.flatMap((l) => larder.get(l.ingredient) ?? [])).filter((x) => !warned.has(x));
    alike.forEach((x) => warned.add(x));
    const topUp = i < plan.batters.length ? e.byId.get(`top-up:${there(plan.batters[i]).id}`) : undefined;
    const water = topUp?.drawn.reduce((a, d) => a + d.massG, 0) ?? 0;
    if (water > 0.5)
      amounts.push({ name: 'Water, to top up', massG: water, note: 'after the juice is weighed', path: '' });
    if (topUp && topUp.carried.length === 0 && water > 0.5)
      amounts[amounts.length - 1] = { name: 'Water, to top up', massG: water, path: '' };
    if (amounts.length === 0) return [];
    const massG = amounts.reduce((a, x) => a + x.massG, 0);
    return [{ name, amounts, massG, ...(alike.length > 0 ? { lookAlikes: alike } : {}) }];
  });
}

/** Hands-on and waiting seconds of a step list done one after another. */
export const totalsOf = (steps: readonly Step[]) => ({
  handsOnS: steps.reduce((s, x) => s + x.handsOnS, 0),
  waitS: steps.reduce((s, x) => s + x.waitS, 0),
});

/** Every caution of a family once, for the whole plan. */
export const cautionsOf = (ids: readonly string[]): readonly string[] =>
  ids.map((id) => CAUTIONS[id]).filter((c): c is string => c !== undefined);
