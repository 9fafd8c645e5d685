import { FAMILIES, formulaOf } from '@/core/families';
import { forecast } from '@/core/forecast';
import { emptyKitchen } from '@/core/kitchen';
import { snapshotOf, type BatchEvent, type Snapshot } from '@/core/work/notebook';
import type { Plan } from '@/core/plan';
import { batchStore, openDatabase } from '@/db';
import { seeded } from './soak/kit';

/**
 * Fills a database file with a long life of a kitchen: plans of every family and batches of them with their events, spread over four years.
 * `tsx scripts/seed.ts FILE [PLANS] [BATCHES]`
 */
const WORDS = ['Regatta', 'Wednesday', 'Boathouse', 'Sunday', 'Junior eight', 'Winter', 'Harbour', 'First thaw'];
const NOTES = ['Soft, clean bite', 'A bit plain', 'Edges dry, middle fine', 'The best so far', 'Needs more salt', ''];
const DAY_MS = 86_400_000;

export async function seedKitchen(file: string, plans: number, batches: number): Promise<void> {
  const random = seeded(42);
  const db = await openDatabase(file);
  const kitchen = emptyKitchen();
  const made = FAMILIES.map((f): readonly [Plan, Snapshot] => {
    const plan = formulaOf(f);
    const result = forecast(plan, kitchen);
    if (!result.ok) throw new Error(result.problems[0].sentence);
    return [plan, snapshotOf(result.value)];
  });
  const from = Date.parse('2026-11-01T08:00:00Z') - 4 * 365 * DAY_MS;
  const at = (share: number, plusS = 0) => new Date(from + share * 4 * 365 * DAY_MS + plusS * 1000).toISOString();
  const ids: string[] = [];
  await db.write(async (transaction) => {
    for (let i = 0; i < plans; i++) {
      const [plan] = made[i % made.length];
      const name = `${WORDS[i % WORDS.length]} ${plan.name.toLowerCase()} ${i}`;
      const document = JSON.stringify({ ...plan, name, guests: 4 + (i % 60) });
      const [id, t] = [`seeded-plan-${i}`, at((i + 1) / plans)];
      ids.push(id);
      await db.models.plans.create(
        {
          id,
          document,
          revision: 1,
          deletedAt: null,
          createdAt: t,
          updatedAt: t,
          name,
          search: name.toLowerCase(),
          family: plan.family,
          writer: '',
        },
        { transaction },
      );
      await db.models.planVersions.create(
        { planId: id, revision: 1, refused: false, writer: '', document, createdAt: t },
        { transaction },
      );
    }
  });
  const eventsOf = (snapshot: Snapshot): readonly (readonly [number, BatchEvent])[] => {
    const s = snapshot.figures.unlearnedS ?? 1200;
    return [
      ...snapshot.steps.map((step, i): readonly [number, BatchEvent] => [
        i * 90,
        { kind: 'ticked', stepId: step.id, done: true },
      ]),
      [3600, { kind: 'checked', state: 'sticky', afterS: Math.round(s * 0.85) }],
      [3900, { kind: 'checked', state: 'clean', afterS: Math.round(s * (1 + 0.25 * random())) }],
      [
        9000,
        {
          kind: 'tasted',
          overall: 1 + Math.floor(random() * 5),
          axes: {},
          note: NOTES[Math.floor(random() * NOTES.length)],
        },
      ],
      [9100, { kind: 'finished' }],
    ];
  };
  const AT_ONCE = 200;
  for (let first = 0; first < batches; first += AT_ONCE)
    await db.write(async (transaction) => {
      for (let i = first; i < Math.min(batches, first + AT_ONCE); i++) {
        const n = i % plans;
        const [plan, snapshot] = made[n % made.length];
        const name = `${WORDS[n % WORDS.length]} ${plan.name.toLowerCase()} ${n}`;
        const [id, share] = [`seeded-batch-${i}`, (i + 1) / batches];
        const whole = { ...snapshot, plan: { ...snapshot.plan, name } };
        await db.models.batches.create(
          {
            id,
            planId: ids[n],
            planRevision: 1,
            name,
            snapshot: JSON.stringify(whole),
            startedAt: at(share),
            finishedAt: at(share, 9100),
            derived: 0,
            createdAt: at(share),
            updatedAt: at(share),
          },
          { transaction },
        );
        await db.models.batchEvents.bulkCreate(
          eventsOf(snapshot).map(([s, event], k) => ({
            batchId: id,
            at: at(share, s),
            receivedAt: at(share, s),
            event: JSON.stringify(event),
            key: `${id}-${k}`,
          })),
          { transaction },
        );
      }
    });
  await batchStore(db).deriveOld();
  await db.close();
}

if (process.argv[1]?.endsWith('seed.ts')) {
  const [file, plans = '1000', batches = '10000'] = process.argv.slice(2);
  if (!file) throw new Error('say which file: tsx scripts/seed.ts FILE [PLANS] [BATCHES]');
  await seedKitchen(file, Number(plans), Number(batches));
  console.log(`${plans} plans and ${batches} batches are in ${file}.`);
}
