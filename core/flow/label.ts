import type { Larder } from '../larder';
import type { LabelRow } from './balance.types';
import type { Flow, FlowLine } from './flow';
import { PART_COUNT, WIDTH, type Stream } from './stream';

/** Grams by ingredient of a stream, most first; all water under one name; the add-ins or all else. */
export function labelOf(flow: Flow, s: Stream, larder: Larder, addIns: boolean): LabelRow[] {
  const grams = new Map<string, number>();
  flow.lines.forEach((l, i) => {
    if ((l.role === 'add-in') !== addIns) return;
    let m = 0;
    for (let k = 0; k < 6; k++) m += s.g[i * WIDTH + k] + s.g[i * WIDTH + PART_COUNT + k];
    if (m > 0.005) grams.set(l.ingredient, (grams.get(l.ingredient) ?? 0) + m);
  });
  return [...grams]
    .map(([id, massG]) => ({ name: larder.get(id)?.name ?? id, massG }))
    .sort((a, b) => b.massG - a.massG);
}

/** Lines of a filling or an accompaniment, most first, g. */
export const labelOfLines = (flow: Flow, group: string, role: FlowLine['role']): LabelRow[] =>
  flow.lines
    .filter((l) => l.group === group && l.role === role && l.massG > 0)
    .map((l) => ({ name: l.name, massG: l.massG }))
    .sort((a, b) => b.massG - a.massG);
