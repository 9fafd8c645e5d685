import type { Metadata } from 'next';
import { FAMILIES } from '@/core/families';
import { kitchenStateNow } from '@/server/kitchenNow';
import { NewPlanPage } from '@/ui/gallery/NewPlanPage';
import { packKitchen } from '@/ui/kitchen/packed';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'A new plan' };

export default async function NewPlan({
  searchParams,
}: {
  searchParams: Promise<{ of?: string | string[]; begin?: string | string[] }>;
}) {
  const { of, begin } = await searchParams;
  const family = FAMILIES.find((f) => f.id === begin)?.id;
  return <NewPlanPage kitchen={packKitchen(await kitchenStateNow())} ofWhat={of === 'have'} begin={family} />;
}
