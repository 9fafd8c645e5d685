import { standing } from '@/core/work/notebook';
import type { Plan } from '@/core/plan';
import { asCooked } from '@/core/work/stove';
import type { Store } from './storeOf';

/** Batches that are drawn as dots: the newest. */
const MOST = 20;

/** The newest finished batches of a family: the plan of each as it was cooked, and when its pick was clean, s. */
export async function cookedOf(
  store: Store,
  family: string,
): Promise<readonly { readonly name: string; readonly plan: Plan; readonly cleanAtS: number | null }[]> {
  const page = await store.batches.page({ limit: 5 * MOST });
  const of = page.rows.filter((b) => b.family === family && b.finished && b.readable).slice(0, MOST);
  const read = await Promise.all(of.map(async (row) => ({ row, b: await store.batches.get(row.id) })));
  return read.flatMap(({ row, b }) =>
    b.ok
      ? [
          {
            name: row.name,
            plan: asCooked(b.value.snapshot.plan, standing(b.value.events)),
            cleanAtS: row.cleanAtS,
          },
        ]
      : [],
  );
}
