import { FAMILIES, familyOf } from '@/core/families';
import { forecastLight } from '@/core/forecast';
import { kitchenNow } from '@/server/kitchenNow';
import { store } from '@/server/store';
import { batchCard } from '@/server/cards';
import { Galley } from '@/ui/home/Galley';

export const dynamic = 'force-dynamic';

export default async function HomePage({ searchParams }: { searchParams: Promise<{ deleted?: string }> }) {
  const { plans, batches } = await store();
  const room = await kitchenNow();
  const cards = (await plans.list()).map((s) => {
    const light = forecastLight(s.plan, room);
    const family = familyOf(s.plan.family);
    return {
      id: s.id,
      name: s.plan.name,
      family: family.ok ? family.value.name : s.plan.family,
      updatedAt: s.updatedAt,
      guests: s.plan.guests,
      picture: light.ok
        ? {
            vessel: light.value.resolved.vessel,
            depthM: light.value.fill.depthM,
            massG: light.value.balance.massG,
            pieces: light.value.cut ? light.value.cut.count * s.plan.vesselCount : null,
            problem: light.value.problems[0]?.sentence ?? null,
          }
        : null,
    };
  });
  return (
    <Galley
      kitchenName={room.name}
      plans={cards}
      batches={(await batches.list()).slice(0, 6).map(batchCard)}
      families={FAMILIES.map((f) => ({ id: f.id, name: f.name, about: f.about }))}
      deleted={(await searchParams).deleted ?? null}
    />
  );
}
