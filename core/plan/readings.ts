import type { Line } from './lineSchema';
import type { Plan } from './schema';

/** Where a reading is kept: the node of the flow and its slot. */
export interface ReadingPlace {
  readonly node: string;
  readonly slot: string;
}

const NODE_OF: Partial<Record<Line['treatment'], readonly [string, string]>> = {
  wilted: ['wilt', 'juiceG'],
  'squeezed-hard': ['squeeze', 'juiceG'],
  'squeezed-by-hand': ['squeeze', 'juiceG'],
  drained: ['squeeze', 'juiceG'],
  'squeezed-boiled': ['squeeze', 'juiceG'],
  sugared: ['sugar', 'juiceG'],
  infused: ['blend-strain', 'yieldG'],
  soaked: ['soak', 'uptakeG'],
  'soaked-alkali': ['slake', 'uptakeG'],
};

/** Where a line's weighing goes by its treatment; undefined where there is nothing to weigh. */
export function weighingOf(line: Pick<Line, 'id' | 'treatment'>): ReadingPlace | undefined {
  const at = NODE_OF[line.treatment];
  return at && { node: `${at[0]}:${line.id}`, slot: at[1] };
}

export const readingAt = (plan: Plan, { node, slot }: ReadingPlace): number | undefined => plan.readings[node]?.[slot];

/** The plan with a reading written down, or taken back. */
export function withReading(plan: Plan, { node, slot }: ReadingPlace, value: number | undefined): Plan {
  const { [node]: here = {}, ...others } = plan.readings;
  const { [slot]: _old, ...rest } = here;
  const slots = value === undefined ? rest : { ...rest, [slot]: value };
  return { ...plan, readings: Object.keys(slots).length > 0 ? { ...others, [node]: slots } : others };
}
