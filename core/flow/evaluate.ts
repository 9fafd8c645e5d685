import { problem, type Figure, type Problem, type ConcernCode } from '../units';
import type { Readings } from '../plan';
import type { Flow, FlowLine, FlowNode } from './flow';
import type { EvaluatedNode, FlowEnv, FlowResults, LawInput, Sink } from './law';
import { LAWS } from './laws';
import type { SourceId } from './lines';
import type { Operation } from './operations';
import {
  capacityOf,
  capacityPerGram,
  emptyStream,
  KINDS,
  mergeStreams,
  PART_COUNT,
  starchByKind,
  streamMass,
  WIDTH,
  type Stream,
} from './stream';

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
  readonly problems: readonly Problem<ConcernCode>[];
  /** What a law has to say that stops nothing; each names its node. */
  readonly warnings: readonly { readonly code: ConcernCode; readonly about: string; readonly sentence: string }[];
}

const NO_FIGURES: Readonly<Record<string, Figure>> = {};

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
  const problems: Problem<ConcernCode>[] = [];
  const warnings: { code: ConcernCode; about: string; sentence: string }[] = [];
  const sinks: Record<Sink, number> = { drawn: 0, pouredOff: 0, boiledAway: 0, left: 0 };
  const still = { set: new Float64Array(KINDS), swelling: new Float64Array(KINDS) };
  const size = lines.length * WIDTH;
  let inG = 0;
  let servedG = 0;

  const freshStream = (line: number, massG: number, tempC: number, piece: boolean): Stream => {
    const g = new Float64Array(size);
    const at = line * WIDTH + (piece ? PART_COUNT : 0);
    const per = lines[line].perGram;
    for (let k = 0; k < PART_COUNT; k++) g[at + k] = per[k] * massG;
    return { g, from: line, to: line + 1, tempC, gasMl: 0, ...still };
  };
  const gramsIn = (line: number, massG: number): number => {
    const per = lines[line].perGram;
    return massG * (per[0] + per[1] + per[2] + per[3] + per[4] + per[5]);
  };
  const freshOf = (node: FlowNode): readonly Stream[] =>
    node.takes.map((t) =>
      freshStream(t.line, lines[t.line].massG * t.share, t.tempC ?? env.roomC, t.phase === 'piece'),
    );

  // One input for all nodes, pointed at each in turn: a law reads it while it runs and keeps nothing of it.
  let node: FlowNode = flow.nodes[0];
  let carried: readonly Stream[] = [];
  let fresh: readonly Stream[] | undefined;
  let lost: { sink: Sink; stream: Stream }[] = [];
  let drawn: { source: SourceId; massG: number }[] = [];
  let spentS: number | undefined;
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
    get node() {
      return node;
    },
    get settings() {
      return node.settings;
    },
    lines,
    env,
    results,
    get fresh() {
      return (fresh ??= freshOf(node));
    },
    get carried() {
      return carried;
    },
    all: () => gathered(lines, node, carried, env.roomC),
    merge: (list) => mergeStreams(lines, list),
    read,
    wait: (usualS) => (spentS = read('waitedS', 0, 72 * 3600, 's') ?? waits[node.id] ?? usualS),
    draw: (source, massG, tempC) => {
      const line = sourceIndex(flow, source);
      const g = Math.max(0, massG);
      if (g > 0) drawn.push({ source, massG: g });
      inG += gramsIn(line, g);
      return freshStream(line, g, tempC, false);
    },
    lose: (sink, stream) => {
      lost.push({ sink, stream });
      sinks[sink] += streamMass(stream);
    },
    earlier: (id) => byId.get(id),
    problem: (p) => problems.push(p),
    warn: (code, sentence) => warnings.push({ code, about: node.id, sentence }),
  };
  for (const next of flow.nodes) {
    node = next;
    fresh = undefined;
    lost = [];
    drawn = [];
    spentS = undefined;
    carried = node.ins.map((i) => streams[i]);
    for (const t of node.takes) inG += gramsIn(t.line, lines[t.line].massG * t.share);
    const law = LAWS[node.op] as (x: LawInput<Operation>) => ReturnType<(typeof LAWS)[Operation]>;
    const out = law(input);
    for (let i = 0; i < node.outs.length; i++) streams[node.outs[i]] = out.outs[i];
    if (node.op === 'serve') servedG += streamMass(out.outs[0]);
    const done: EvaluatedNode = {
      node,
      carried,
      outs: out.outs,
      lost,
      drawn,
      figures: (out.figures as Readonly<Record<string, Figure>> | undefined) ?? NO_FIGURES,
      handsS: out.handsS,
      waitS: out.waitS ?? 0,
      ...(spentS === undefined ? {} : { spentS }),
      ...(out.openS === undefined ? {} : { openS: out.openS }),
      timedS: out.timedS,
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

/** All that enters a node, put together: as merging its takes and streams, without making each take a stream. */
function gathered(lines: readonly FlowLine[], node: FlowNode, carried: readonly Stream[], roomC: number): Stream {
  if (node.takes.length === 0) return mergeStreams(lines, carried);
  const base = carried.length > 0 ? mergeStreams(lines, carried) : undefined;
  const g = base ? base.g.slice() : new Float64Array(lines.length * WIDTH);
  let c = base ? capacityOf(base) : 0;
  let ct = c * (base?.tempC ?? 0);
  const set = base ? base.set.slice() : new Float64Array(KINDS);
  const swelling = base ? base.swelling.slice() : new Float64Array(KINDS);
  let from = base && base.from < base.to ? base.from : lines.length;
  let to = base?.to ?? 0;
  for (const t of node.takes) {
    from = Math.min(from, t.line);
    to = Math.max(to, t.line + 1);
    const line = lines[t.line];
    const massG = line.massG * t.share;
    const at = t.line * WIDTH + (t.phase === 'piece' ? PART_COUNT : 0);
    for (let k = 0; k < PART_COUNT; k++) g[at + k] += line.perGram[k] * massG;
    const mc = massG * capacityPerGram(line.perGram);
    c += mc;
    ct += mc * (t.tempC ?? roomC);
  }
  // Raw flour joins what has set already: the degree is the share of each kind's starch.
  if (base) {
    const before = starchByKind(lines, base);
    const after = starchByKind(lines, { ...base, g, from, to });
    for (let k = 0; k < KINDS; k++)
      if (after[k] > 0) {
        set[k] *= before[k] / after[k];
        swelling[k] *= before[k] / after[k];
      }
  }
  return { g, from, to, tempC: c > 0 ? ct / c : roomC, gasMl: base?.gasMl ?? 0, set, swelling };
}

const sourceIndex = (flow: Flow, source: SourceId): number => {
  for (let i = flow.lines.length - 1; i >= 0; i--)
    if (flow.lines[i].role === 'source' && flow.lines[i].id === source) return i;
  throw new Error(`no source ${source}`);
};

/** What enters a node fresh, as one stream in the room. */
export const freshIn = (flow: Flow, n: EvaluatedNode, roomC: number): Stream =>
  n.node.takes.length === 0 ? emptyStream(flow.lines.length, roomC) : gathered(flow.lines, n.node, [], roomC);

/** Grams of one plan line that enter a node, take by take. */
export const takenG = (flow: Flow, node: FlowNode, i: number): number =>
  flow.lines[node.takes[i].line].massG * node.takes[i].share;
