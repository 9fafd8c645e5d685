import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { kitchenNow } from '@/server/kitchenNow';
import { pastBlends } from '@/server/pastBlends';
import { store } from '@/server/store';
import { PlanBench } from '@/ui/plan/PlanBench';

export const dynamic = 'force-dynamic';
type Props = { params: Promise<{ id: string }> };

export async function generateMetadata({ params }: Props): Promise<Metadata> {
  const found = await (await store()).plans.get((await params).id);
  return { title: found.ok ? found.value.plan.name.slice(0, 80) : 'Not found' };
}

export default async function PlanPage({ params }: Props) {
  const { plans, batches } = await store();
  const found = await plans.get((await params).id);
  if (!found.ok) notFound();
  return (
    <PlanBench
      key={found.value.id}
      stored={found.value}
      kitchen={await kitchenNow()}
      past={pastBlends(await batches.list(), found.value.plan.family)}
    />
  );
}
