import type { EvaluatedNode, Evaluation, FlowLine, Operation, Stream } from '../flow';
import { streamMass, takenG } from '../flow';
import { lowerName } from '../flow/builders';
import type { Cake } from '../cake';
import type { HeatForecast } from '../stations/heat.types';
import { listWords, sayDuration, sayGrams, sayWeighed, spokenName, there } from '../units';
import type { Answer } from './answers';
import { slot } from './slots';
import type { StepMoment } from './step';

export interface StepContext {
  readonly light: Cake;
  readonly heat: HeatForecast | undefined;
  /** The flow as evaluated with what the stations found. */
  readonly e: Evaluation;
}

/** A node in words. */
export interface Said {
  readonly verb: string;
  readonly sentence: string;
  readonly lookFor?: string;
  readonly taste?: string;
  readonly caution?: string;
  readonly answers?: readonly Answer[];
  readonly seconds?: boolean;
  readonly timeline?: readonly StepMoment[];
}
export type Sentence<K extends Operation> = (n: EvaluatedNode<K>, c: StepContext) => Said;
export type SentenceTable<K extends Operation = Operation> = { readonly [O in K]: Sentence<O> };

type AnyNode = EvaluatedNode<Operation>;

/** Lines that enter fresh with more than nothing. */
export const freshLines = (n: AnyNode, c: StepContext): { readonly line: FlowLine; readonly massG: number }[] => {
  const out: { line: FlowLine; massG: number }[] = [];
  n.node.takes.forEach((t, i) => {
    const massG = takenG(c.light.flow, n.node, i);
    if (massG > 0.0005) out.push({ line: there(c.light.flow.lines[t.line]), massG });
  });
  return out;
};

/** A line as it enters, by its name: whole, or a share of it. */
const saidLine = (line: FlowLine, massG: number, name: string): string =>
  massG < line.massG * 0.999
    ? slot('part', `${line.id}@${sayWeighed(massG, line.fine)}`, name)
    : slot('line', line.id, name);

/** Names of what enters fresh: "the rice flour, tapioca and salt". */
export function freshNames(n: AnyNode, c: StepContext, wanted: (l: FlowLine) => boolean = () => true): string {
  const said = new Map<string, string>();
  for (const { line, massG } of freshLines(n, c)) {
    const name = lowerName(line.name);
    if (wanted(line) && !said.has(name)) said.set(name, saidLine(line, massG, name));
  }
  return said.size === 0 ? '' : `${slot('the', '', 'the ')}${listWords([...said.values()])}`;
}

/**
 * What is carried in, each with its name and grams.
 * @param from only what comes from such operations
 */
export const carriedIn = (
  n: AnyNode,
  c: StepContext,
  from: (op: Operation) => boolean = () => true,
): { readonly name: string; readonly massG: number; readonly stream: Stream }[] =>
  n.node.ins.flatMap((i, k) => {
    const { name, from: maker } = there(c.light.flow.streams[i]);
    const stream = there(n.carried[k]);
    const massG = streamMass(stream);
    return massG > 0.0005 && from(there(c.light.flow.nodes[maker]).op) ? [{ name, massG, stream }] : [];
  });

/** "the squeezed radish (690 g)". */
export const carriedNames = (n: AnyNode, c: StepContext, grams = true, from?: (op: Operation) => boolean): string => {
  const all = carriedIn(n, c, from);
  return all.length === 0 ? '' : listWords(all.map((x) => `the ${x.name}${grams ? ` (${sayGrams(x.massG)})` : ''}`));
};

/** All that enters, carried first. */
export const everything = (n: AnyNode, c: StepContext): string =>
  listWords([carriedNames(n, c), freshNames(n, c)].filter((x) => x !== ''));

/** A wait of a node, as it is said and can be changed. */
export const saidWait = (n: AnyNode, waitS: number): string => slot('wait', n.node.id, sayDuration(waitS));

/** A computed figure as it is said, with its path in the forecast. */
export const saidFigure = (path: string, words: string): string => slot('figure', path, words);

export const outMass = (n: AnyNode, i = 0): number => (n.outs[i] ? streamMass(n.outs[i]) : 0);
export const outName = (n: AnyNode, c: StepContext, i = 0): string =>
  c.light.flow.streams[there(n.node.outs[i])]?.name ?? '';

/** A thing of the kitchen in the middle of a sentence: "the enamel pot (5 l)". */
export const theName = (name: string): string => `the ${spokenName(name)}`;

/** Vessels of the plan, one or many. */
export const many = (c: StepContext): boolean => c.light.resolved.plan.vesselCount > 1;
