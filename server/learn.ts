import { steamerPosterior, textureOffsets, type Check, type Tasting } from '@/core/notebook';
import type { Store } from './store';
import type { StoredBatch } from '@/db';

/** Checks made at the stove in one steamer at one heat, over all finished batches. */
export function checksOf(batches: readonly StoredBatch[], steamerId: string, heat: string): Check[] {
  return batches
    .filter((b) => b.snapshot.steamerId === steamerId && b.snapshot.plan.heat === heat)
    .flatMap((b) => {
      const modelS = b.snapshot.figures.unlearnedS;
      return modelS === null
        ? []
        : b.events.flatMap((e) => (e.kind === 'checked' ? [{ afterS: e.afterS, state: e.state, modelS }] : []));
    });
}

/** Learning changes the kitchen, never the formulas: refreshes the steamer's factor and the family's texture offsets after a batch. */
export async function learnFrom(store: Store, batch: StoredBatch): Promise<void> {
  const all = (await store.batches.list()).filter((b) => b.finishedAt !== null);
  const kitchen = await store.kitchen.read();
  const steamer = kitchen.steamers.find((s) => s.id === batch.snapshot.steamerId);
  const heat = batch.snapshot.plan.heat;
  if (steamer) {
    const checks = checksOf(all, steamer.id, heat);
    if (checks.length > 0)
      await store.kitchen.put('steamers', {
        ...steamer,
        learned: { ...steamer.learned, [heat]: steamerPosterior(checks) },
      });
  }
  const family = batch.snapshot.plan.family;
  const tastings: Tasting[] = all
    .filter((b) => b.snapshot.plan.family === family)
    .flatMap((b) => b.events.flatMap((e) => (e.kind === 'tasted' ? [e.axes] : [])));
  if (tastings.length > 0) {
    for (let tries = 0; tries < 3; tries++) {
      const settings = await store.kitchen.readSettings();
      const next = {
        ...settings.value,
        textureOffsets: {
          ...settings.value.textureOffsets,
          [family]: textureOffsets(tastings) as Record<string, number>,
        },
      };
      if (await store.kitchen.saveSettings(settings.revision, next)) break;
    }
  }
}
