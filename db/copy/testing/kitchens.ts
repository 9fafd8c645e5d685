import { forecast } from '@/core/forecast';
import { emptyKitchen, type Vessel } from '@/core/kitchen';
import { snapshotOf, type BatchEvent, type Snapshot } from '@/core/work/notebook';
import { batchStore } from '../../batches';
import type { Database } from '../../connect';
import { kitchenStore } from '../../kitchen';
import { RACK_TABLES } from '../../models';
import { planStore } from '../../plans';
import { savouryCoconutSlabPlan } from '../../testing/plans';
import { trashStore } from '../../trash';
import { LEARNED } from '../compare';
import { selectOn } from '../compare';

let snapshot: Snapshot | undefined;
/** What was planned of a batch, worked out once. */
export function slabSnapshot(): Snapshot {
  if (!snapshot) {
    const made = forecast(savouryCoconutSlabPlan(), emptyKitchen());
    if (!made.ok) throw new Error(made.problems[0].sentence);
    snapshot = snapshotOf(made.value);
  }
  return snapshot;
}

/** One thing that a cook does to a kitchen; `n` names what it is done to. */
export type Doing = readonly [what: (typeof DOINGS)[number], n: number, value: number];
export const DOINGS = [
  'plan',
  'rename',
  'delete plan',
  'restore plan',
  'tin',
  'remove tin',
  'settings',
  'begin',
  'note',
  'finish',
  'take back',
  'photo',
  'delete batch',
] as const;

const tin = (n: number, value: number): Vessel => ({
  id: `tin-${n}`,
  name: `Tin ${n}`,
  shape: 'round',
  material: 'steel',
  diameterM: 0.1 + value / 1000,
  heightM: 0.05,
  count: 1,
  provenance: 'measured',
});

/** Does one thing; what cannot be done is not done. */
export async function doOne(db: Database, [what, n, value]: Doing, writer: string): Promise<void> {
  const [plans, kitchen, batches, trash] = [planStore(db), kitchenStore(db), batchStore(db), trashStore(db)];
  const planId = `plan-${n}-of-them`;
  const batchId = `batch-${n}-of-them`;
  const append = (event: BatchEvent) =>
    batches.append(batchId, event, `${writer}-${what.replace(' ', '-')}-${n}-${value}`);
  switch (what) {
    case 'plan':
      await plans.create({ ...savouryCoconutSlabPlan(), name: `Slab ${n}` }, '', planId);
      return;
    case 'rename': {
      const there = await plans.get(planId);
      if (there.ok)
        await plans.save(planId, there.value.revision, {
          ...there.value.plan,
          name: `Slab ${n}, ${value}`,
          guests: value + 1,
        });
      return;
    }
    case 'delete plan':
      await plans.remove(planId);
      return;
    case 'restore plan':
      await plans.restore(planId);
      return;
    case 'tin':
    case 'remove tin': {
      const revision = (await kitchen.state()).revisions.vessels[`tin-${n}`] ?? 0;
      if (what === 'tin') await kitchen.put('vessels', revision, tin(n, value));
      else await kitchen.remove('vessels', `tin-${n}`, revision);
      return;
    }
    case 'settings': {
      const { revision, value: settings } = await kitchen.readSettings();
      await kitchen.saveSettings(revision, { ...settings, roomC: 15 + (value % 20) });
      return;
    }
    case 'begin':
      await batches.create({
        planId: (await plans.get(planId)).ok ? planId : null,
        planRevision: 1,
        name: `Batch ${n}`,
        snapshot: slabSnapshot(),
        key: batchId,
      });
      return;
    case 'note':
      await append({ kind: 'noted', note: `${value} by ${writer}` });
      return;
    case 'finish':
      await append({ kind: 'finished' });
      return;
    case 'take back': {
      const there = await batches.get(batchId);
      const last = there.ok ? there.value.events.findLast((e) => e.kind !== 'taken-back') : undefined;
      if (last) await append({ kind: 'taken-back', of: last.key });
      return;
    }
    case 'photo':
      await batches.appendPhoto(
        batchId,
        Buffer.from(`picture ${value} of ${n} by ${writer}`),
        `${writer}-photo-${n}-${value}`,
      );
      return;
    case 'delete batch':
      await trash.removeBatch(batchId);
  }
}

/** Everything that a cook entered, by kind and id: two kitchens with the same are the same to a cook. Learned numbers are left out. */
export async function entered(db: Database): Promise<ReadonlyMap<string, unknown>> {
  const select = selectOn(db.sequelize);
  const all = new Map<string, unknown>();
  const put = async (kind: string, sql: string) => {
    for (const { id, ...row } of await select<{ id: string }>(sql)) all.set(`${kind} ${id}`, row);
  };
  await put('plan', 'SELECT id, document, sum, name, family, search, deleted_at IS NULL AS alive FROM plans');
  for (const [kind, table] of Object.entries(RACK_TABLES))
    await put(kind, `SELECT id, document, sum, deleted_at IS NULL AS alive FROM ${table}`);
  await put(
    'batch',
    'SELECT id, name, snapshot, sum, started_at, finished_at, deleted_at IS NULL AS alive, search, seen, facts FROM batches',
  );
  await put('event', 'SELECT key AS id, batch_id, at, event, sum FROM batch_events');
  await put('photo', 'SELECT id, batch_id, hex(jpeg) AS jpeg, sum, deleted_at IS NULL AS alive FROM batch_photos');
  const [settings] = await select<{ document: string }>("SELECT document FROM settings WHERE id = 'kitchen'");
  if (settings) {
    const own = JSON.parse(settings.document) as Record<string, unknown>;
    for (const key of LEARNED) delete own[key];
    all.set('settings kitchen', own);
  }
  return all;
}
