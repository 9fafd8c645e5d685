import { INGREDIENT_TABLE } from '@/core/larder';
import { familyOf, formulaOf } from '@/core/families';
import { forecast } from '@/core/forecast';
import { evidenceOf, learnFromEvidence, snapshotOf, type BatchEvent } from '@/core/work/notebook';
import { planSchema, scalePlan } from '@/core/plan';
import { batchStore } from './batches';
import type { Database } from './connect';
import { kitchenStore, settingsSchema } from './kitchen';
import { planStore } from './plans';
import {
  DEMO_BATCHES,
  DEMO_HOBS,
  DEMO_APPLIANCES,
  DEMO_PANS,
  DEMO_POTS,
  DEMO_SCOOPS,
  DEMO_PLANS,
  DEMO_PRICES,
  DEMO_SETTINGS,
  DEMO_STEAMERS,
  DEMO_VESSELS,
} from './demo.data';
import { overWater } from '@/core/stations/steam/cooking';

const DAY_MS = 86_400_000;
const MORNING_MS = 7 * 3_600_000;

const must = <T>(r: { ok: true; value: T } | { ok: false; problems: readonly { sentence: string }[] }): T => {
  if (!r.ok) throw new Error(r.problems.map((p) => p.sentence).join(' '));
  return r.value;
};

/**
 * Loads the demo galley when the database holds no plans and no rack. Batches are forecast for real, then given their events.
 * @param nowMs the present, ms since 1970
 * @returns true when it loaded
 */
export async function loadDemo(db: Database, nowMs: number): Promise<boolean> {
  const kitchen = kitchenStore(db);
  const plans = planStore(db);
  const batches = batchStore(db);
  const before = await kitchen.read();
  if ((await plans.page({ limit: 1 })).total > 0 || before.vessels.length > 0 || before.steamers.length > 0)
    return false;

  await kitchen.saveSettings(0, settingsSchema.parse(DEMO_SETTINGS));
  for (const v of DEMO_VESSELS) must(await kitchen.put('vessels', 0, v));
  for (const s of DEMO_STEAMERS) must(await kitchen.put('steamers', 0, s));
  for (const h of DEMO_HOBS) must(await kitchen.put('hobs', 0, h));
  for (const p of DEMO_PANS) must(await kitchen.put('fryingPans', 0, p));
  for (const p of DEMO_POTS) must(await kitchen.put('pots', 0, p));
  for (const a of DEMO_APPLIANCES) must(await kitchen.put('appliances', 0, a));
  for (const x of DEMO_SCOOPS) must(await kitchen.put('scoops', 0, x));
  for (const i of INGREDIENT_TABLE) {
    const priced = DEMO_PRICES[i.id];
    if (priced)
      must(
        await kitchen.put('ingredients', 0, {
          ...i,
          pack: { word: priced[0], massG: priced[1], price: priced[2] },
          stockG: priced[3],
        }),
      );
  }
  const stored = new Map<string, { id: string; revision: number }>();
  for (const p of [...DEMO_PLANS].reverse()) {
    const family = must(familyOf(p.family));
    const made = await plans.create(planSchema.parse({ ...scalePlan(formulaOf(family), p.factor), ...p.change }));
    stored.set(p.key, made);
  }
  for (const b of DEMO_BATCHES) {
    const of = stored.get(b.plan);
    if (!of) continue;
    const plan = must(await plans.get(of.id)).plan;
    const made = must(forecast(plan, await kitchen.read()));
    // Begun in the morning, whatever the hour of loading.
    const start = Math.floor(nowMs / DAY_MS) * DAY_MS - b.daysAgo * DAY_MS + MORNING_MS;
    const at = (s: number) => start + s * 1000;
    const batch = await batches.create({
      planId: of.id,
      planRevision: of.revision,
      name: plan.name,
      snapshot: snapshotOf(made),
      startedAt: new Date(at(0)).toISOString(),
    });
    let clock = 0;
    let n = 0;
    const add = async (event: BatchEvent, afterS: number) => {
      clock += afterS;
      must(await batches.append(batch.id, event, `${batch.id}-${n++}`, 0, at(clock)));
    };
    for (const step of made.steps) {
      if (step.verb === 'Check') {
        const times = overWater(made.heat)?.times;
        for (const [share, state] of b.checks) {
          const afterS = Math.round((times?.unlearnedS ?? 1800) * share);
          await add({ kind: 'checked', state, afterS }, 120);
        }
      }
      await add({ kind: 'ticked', stepId: step.id, done: true }, step.handsOnS + step.waitS);
    }
    for (const event of b.after) await add(event, 300);
    await add({ kind: 'finished' }, 60);
  }
  const settings = await kitchen.readSettings();
  const cooked = await batches.finished();
  const timeFactors = learnFromEvidence(
    evidenceOf(cooked, (b) => b.facts.unlearnedS ?? undefined, settings.value.forgotten),
  );
  await kitchen.saveSettings(settings.revision, { ...settings.value, timeFactors });
  return true;
}
