import type { Larder } from '../larder';
import type { Line } from './lineSchema';
import { freshLineId, lineIds } from './lineIds';
import type { Plan } from './schema';

/** A plan whose kept blends in a batter are written out as their flours, so that the shares can be moved one by one. */
export function dissolveBlends(plan: Plan, batter: number, larder: Larder): Plan {
  const lines = plan.batters[batter]?.lines ?? [];
  if (!lines.some((l) => larder.get(l.ingredient)?.blendOf)) return plan;
  const taken = new Set(lineIds(plan));
  const out: Line[] = [];
  const add = (ingredient: string, massG: number, like: Line) => {
    const at = out.findIndex((l) => l.ingredient === ingredient && l.treatment === like.treatment);
    const same = out[at];
    if (same) {
      out[at] = { ...same, massG: same.massG + massG };
      return;
    }
    const id = freshLineId(taken, ingredient);
    taken.add(id);
    out.push({ ...like, id, ingredient, massG });
  };
  // What is there already stays first, so that the flours of a blend join it.
  for (const l of lines) if (!larder.get(l.ingredient)?.blendOf) out.push(l);
  for (const l of lines)
    for (const p of larder.get(l.ingredient)?.blendOf ?? []) add(p.ingredient, l.massG * p.share, l);
  return { ...plan, batters: plan.batters.map((b, i) => (i === batter ? { ...b, lines: out } : b)) };
}
