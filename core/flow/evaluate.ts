import { problem, type Figure, type Problem } from '../units';
import type { Readings } from '../plan';
import type { Flow, FlowNode } from './flow';
import type { EvaluatedNode, FlowEnv, FlowResults, LawInput, Sink } from './law';
import { LAWS } from './laws';
import type { SourceId } from './lines';
import type { Operation } from './operations';
import { mergeStreams, PART_COUNT, streamMass, WIDTH, type Stream } from './stream';

/** Where every gram went, g: what came in is what was served, drawn, poured off, boiled away or left. */
export interface FlowAccount {
  readonly inG: number;
  readonly servedG: number;
  readonly drawnG: number;
  readonly pouredOffG: number;
  readonly boiledAwayG: number;
  readonly leftG: number;
}

export interface Evaluation {
  readonly nodes: readonly EvaluatedNode[];
  readonly byId: ReadonlyMap<string, EvaluatedNode>;
  readonly streams: readonly Stream[];
  readonly account: FlowAccount;
  readonly problems: readonly Problem[];
  readonly warnings: readonly string[];
}

const NO_FIGURES: Readonly<Record<string, Figure>> = {};
const KINDS = 9;

/**
 * Walks the graph once, in order: each node's law turns what enters into what leaves.
 * @param readings what the cook found, by node and slot; those of nodes that are not there are passed over
 * @param waits the cook's own waits by node, s
 * @param results what the stations computed; absent on the first pass
 */
export function evaluate(
  flow: Flow,
  env: FlowEnv,
  readings: Readings = {},
  waits: Readonly<Record<string, number>> = {},
  results: FlowResults = {},
): Evaluation {
  const { lines } = flow;
  const streams: Stream[] = new Array<Stream>(flow.streams.length);
  const byId = new Map<string, EvaluatedNode>();
  const nodes: EvaluatedNode[] = [];
  const problems: Problem[] = [];
  const warnings: string[] = [];
  const sinks: Record<Sink, number> = { drawn: 0, pouredOff: 0, boiledAway: 0, left: 0 };
  const still = { set: new Float64Array(KINDS), swelling: new Float64Array(KINDS) };
  let inG = 0;
  let servedG = 0;
  const fresh = (line: number, massG: number, tempC: number, piece: boolean): Stream => {
    const g = new Float64Array(lines.length * WIDTH);
    const at = line * WIDTH + (piece ? PART_COUNT : 0);
    const per = lines[line].perGram;
    for (let k = 0; k < PART_COUNT; k++) g[at + k] = per[k] * massG;
    inG += massG * (per[0] + per[1] + per[2] + per[3] + per[4] + per[5]);
    return { g, tempC, gasMl: 0, ...still };
  };
  for (const node of flow.nodes) {
    const lost: { sink: Sink; stream: Stream }[] = [];
    const drawn: { source: SourceId; massG: number }[] = [];
    const takes = node.takes.map((t) =>
      fresh(t.line, lines[t.line].massG * t.share, t.tempC ?? env.roomC, t.phase === 'piece'),
    );
    const carried = node.ins.map((i) => streams[i]);
    const read = (slot: string, min: number, max: number, unit: string): number | undefined => {
      const value = readings[node.id]?.[slot];
      if (value === undefined) return undefined;
      if (value >= min - 1e-9 && value <= max + 1e-9) return value;
      const say = (v: number) => `${Number(v.toFixed(v < 10 ? 1 : 0))} ${unit}`;
      problems.push(
        problem(
          'reading-out-of-range',
          `readings.${node.id}.${slot}`,
          `${say(value)} cannot be: here it lies between ${say(min)} and ${say(max)}. Check the reading.`,
        ),
      );
      return undefined;
    };
    const input: LawInput<Operation> = {
      node,
      settings: node.settings,
      lines,
      env,
      results,
      fresh: takes,
      carried,
      all: () => mergeStreams(lines, [...takes, ...carried]),
      merge: (list) => mergeStreams(lines, list),
      read,
      wait: (usualS) => read('waitedS', 0, 72 * 3600, 's') ?? waits[node.id] ?? usualS,
      draw: (source, massG, tempC) => {
        if (massG > 0) drawn.push({ source, massG });
        return fresh(sourceIndex(flow, source), Math.max(0, massG), tempC, false);
      },
      lose: (sink, stream) => {
        lost.push({ sink, stream });
        sinks[sink] += streamMass(stream);
      },
      earlier: (id) => byId.get(id),
      problem: (p) => problems.push(p),
      warn: (sentence) => warnings.push(sentence),
    };
    const law = LAWS[node.op] as (x: LawInput<Operation>) => ReturnType<(typeof LAWS)[Operation]>;
    const out = law(input);
    node.outs.forEach((index, i) => {
      streams[index] = out.outs[i];
    });
    if (out.outs.length > node.outs.length && node.op === 'serve') servedG += streamMass(out.outs[0]);
    const done: EvaluatedNode = {
      node,
      fresh: takes,
      carried,
      outs: out.outs,
      lost,
      drawn,
      figures: (out.figures as Readonly<Record<string, Figure>> | undefined) ?? NO_FIGURES,
      handsS: out.handsS,
      waitS: out.waitS ?? 0,
    };
    nodes.push(done);
    byId.set(node.id, done);
  }
  return {
    nodes,
    byId,
    streams,
    account: {
      inG,
      servedG,
      drawnG: sinks.drawn,
      pouredOffG: sinks.pouredOff,
      boiledAwayG: sinks.boiledAway,
      leftG: sinks.left,
    },
    problems,
    warnings,
  };
}

const sourceIndex = (flow: Flow, source: SourceId): number => {
  for (let i = flow.lines.length - 1; i >= 0; i--)
    if (flow.lines[i].role === 'source' && flow.lines[i].id === source) return i;
  throw new Error(`no source ${source}`);
};

/** Grams of one plan line that enter a node, take by take. */
export const takenG = (flow: Flow, node: FlowNode, i: number): number =>
  flow.lines[node.takes[i].line].massG * node.takes[i].share;
