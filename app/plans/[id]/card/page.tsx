import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { forecast } from '@/core/forecast';
import { store } from '@/server/store';
import { PlanCardPage } from '@/ui/serve/PlanCardPage';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Card and label' };

export default async function Card({ params }: { params: Promise<{ id: string }> }) {
  const { plans, kitchen } = await store();
  const { id } = await params;
  const found = await plans.get(id);
  if (!found.ok) notFound();
  const made = forecast(found.value.plan, await kitchen.read());
  if (!made.ok) notFound();
  const { light, heat, steps } = made.value;
  return (
    <PlanCardPage
      id={id}
      today={new Date().toISOString()}
      card={{
        name: found.value.plan.name,
        family: light.family.name,
        guests: found.value.plan.guests,
        keepDays: light.family.keepDays,
        allergens: [...light.balance.allergens],
        diets: [...light.balance.diets],
        byWeight: light.balance.byWeight.map((i) => i.name),
        massG: light.balance.massG,
        pieces: light.cut ? light.cut.count * found.value.plan.vesselCount : null,
        gramsAPiece: light.cut?.gramsAPiece ?? null,
        checkAtS: heat?.steam?.times?.checkAtS ?? null,
        planForS: heat?.steam?.times?.planForS ?? null,
        vessel: light.resolved.vessel.name,
        depthM: light.fill.depthM,
        heat: found.value.plan.heat,
        lines: [...found.value.plan.batters.flatMap((b) => b.lines), ...found.value.plan.addIns].map((l) => ({
          name: light.resolved.larder.get(l.ingredient)?.name ?? l.ingredient,
          massG: l.massG,
        })),
        topUpG: light.balance.batters.reduce((s, b) => s + b.topUpG, 0),
        steps: steps.map((s) => ({ verb: s.verb, sentence: s.sentence })),
        cautions: [...made.value.cautions],
      }}
    />
  );
}
