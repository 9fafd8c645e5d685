import type { Flow, FlowLine, FlowNode, FlowResource, FlowStream, Station, Take, Phase } from './flow';
import type { Operation, Settings } from './operations';

/** A stream in a builder's hand: it must be used exactly once. */
export interface Handle {
  readonly stream: number;
}
export type Input = Take | Handle;

export interface NodeRest {
  readonly station?: Station;
  readonly resources: readonly FlowResource[];
  readonly after?: readonly string[];
}

export const isHandle = (x: Input): x is Handle => 'stream' in x;
const WHOLE = 1 - 1e-9;

/** A graph that cannot be built: the fault is in a builder, not in the plan. */
export class FlowError extends Error {}

/**
 * Builds a flow. Lines are taken by share, streams are consumed exactly once, and `end` refuses a line not wholly taken or a
 * stream left over: so the balance closes by construction.
 */
export function flowBuilder(lines: readonly FlowLine[]) {
  const nodes: FlowNode[] = [];
  const streams: FlowStream[] = [];
  const open = new Set<number>();
  const taken = new Float64Array(lines.length);
  /** What has entered an operation: a take that is dropped on the way counts as not taken. */
  const entered = new Float64Array(lines.length);
  const index = new Map(lines.map((l, i) => [l.id, i]));
  const ids = new Set<string>();
  const marks: Record<string, number> = {};

  const take = (id: string, share: number | 'rest' = 'rest', more: { phase?: Phase; tempC?: number } = {}): Take => {
    const line = index.get(id);
    if (line === undefined) throw new FlowError(`there is no line "${id}"`);
    const x = share === 'rest' ? 1 - taken[line] : share;
    if (x < 0 || taken[line] + x > 1 + 1e-9) throw new FlowError(`line "${id}" is taken more than once`);
    taken[line] += x;
    return { line, share: x, phase: more.phase ?? 'free', ...(more.tempC === undefined ? {} : { tempC: more.tempC }) };
  };

  /** Adds an operation. `about` names the line or batter; outs are named by what they have become. */
  function node<K extends Operation, const Names extends readonly string[]>(
    op: K,
    about: string,
    settings: Settings[K],
    inputs: readonly Input[],
    outs: Names,
    { station = 'mix', resources, after = [] }: NodeRest,
  ): { -readonly [Out in keyof Names]: Handle } {
    const id = `${op}:${about}`;
    if (ids.has(id)) throw new FlowError(`two operations are called "${id}"`);
    ids.add(id);
    const ins = inputs.filter(isHandle).map((h) => h.stream);
    for (const i of ins) if (!open.delete(i)) throw new FlowError(`"${id}" takes a stream that is not there`);
    const from = nodes.length;
    const given = outs.map((name) => {
      streams.push({ name, from });
      open.add(streams.length - 1);
      return { stream: streams.length - 1 };
    });
    const made: FlowNode<K> = {
      id,
      op,
      about,
      settings,
      takes: inputs.filter((x): x is Take => !isHandle(x)),
      ins,
      outs: given.map((h) => h.stream),
      after,
      resources,
      station,
    };
    for (const t of made.takes) entered[t.line] += t.share;
    nodes.push(made as unknown as FlowNode);
    return given as { -readonly [Out in keyof Names]: Handle };
  }

  return {
    lines,
    take,
    node,
    /** True while some of a line is still to be taken. */
    has: (id: string): boolean => {
      const line = index.get(id);
      return line !== undefined && taken[line] < WHOLE;
    },
    lineIndex: (id: string): number => index.get(id) ?? -1,
    hasNode: (id: string): boolean => ids.has(id),
    mark: (name: string, h: Handle): void => {
      marks[name] = h.stream;
    },
    end(): Flow {
      const left = lines.filter((l, i) => l.role !== 'source' && l.massG > 0 && entered[i] < WHOLE);
      if (left.length > 0)
        throw new FlowError(`no operation takes ${left.map((l) => `"${l.id}" (${l.name})`).join(', ')}`);
      if (open.size > 0)
        throw new FlowError(
          `left over: ${[...open].map((i) => `"${streams[i].name}" of ${nodes[streams[i].from].id}`).join(', ')}`,
        );
      return { lines, nodes, streams, marks };
    },
  };
}
export type FlowBuilder = ReturnType<typeof flowBuilder>;
