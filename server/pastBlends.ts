import { INGREDIENT_TABLE } from '@/core/larder';
import type { StoredBatch } from '@/db';

const FLOURS = new Set(INGREDIENT_TABLE.filter((i) => i.starchKind).map((i) => i.id));

/** Shares of the dry blend and tasting of past batches of a family. */
export function pastBlends(batches: readonly StoredBatch[], family: string) {
  return batches
    .filter((b) => b.snapshot.plan.family === family && b.finishedAt !== null)
    .map((b) => {
      const lines = b.snapshot.plan.batters[0].lines.filter((l) => FLOURS.has(l.ingredient));
      const sum = lines.reduce((s, l) => s + l.massG, 0) || 1;
      const tasted = b.events.findLast((e) => e.kind === 'tasted');
      return {
        name: b.name,
        overall: tasted?.kind === 'tasted' ? tasted.overall : null,
        shares: Object.fromEntries(lines.map((l) => [l.ingredient, l.massG / sum])),
      };
    });
}
