import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { kitchenStateNow } from '@/server/kitchenNow';
import { pageId } from '@/server/pageParams';
import { store } from '@/server/store';
import { UnreadablePage } from '@/ui/kit/Unreadable';
import { packBlends, packKitchen } from '@/ui/kitchen/packed';
import { PlanBench } from '@/ui/bench/PlanBench';

export const dynamic = 'force-dynamic';
type Props = { params: Promise<{ id: string }> };

/** Past batches drawn on the blend field: the newest of the family. */
const MOST_PAST = 200;

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const found = await (await store()).plans.get(await pageId(params));
  return { title: found.ok ? found.value.plan.name.slice(0, 80) : 'Plan' };
}

export default async function PlanPage({ params }: Props) {
  const id = await pageId(params);
  const { plans, batches } = await store();
  const found = await plans.get(id);
  if (!found.ok) {
    const unreadable = await plans.unreadable(id);
    if (!unreadable) notFound();
    return (
      <UnreadablePage
        title="A plan that cannot be read"
        what="plan"
        row={unreadable}
        versions={`/plans/${id}/versions`}
      />
    );
  }
  return (
    <PlanBench
      key={found.value.id}
      stored={found.value}
      kitchen={packKitchen(await kitchenStateNow())}
      past={packBlends(await batches.blends(found.value.plan.family, MOST_PAST))}
    />
  );
}
