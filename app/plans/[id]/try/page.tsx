import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { cookedOf } from '@/server/cooked';
import { kitchenStateNow } from '@/server/kitchenNow';
import { pageId } from '@/server/pageParams';
import { store } from '@/server/store';
import { packKitchen } from '@/ui/kitchen/packed';
import { TryPage } from '@/ui/try/TryPage';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Try a change' };

export default async function Try({ params }: { params: Promise<{ id: string }> }) {
  const id = await pageId(params);
  const open = await store();
  const found = await open.plans.get(id);
  if (!found.ok) notFound();
  return (
    <TryPage
      key={`${id} ${found.value.revision}`}
      stored={found.value}
      kitchen={packKitchen(await kitchenStateNow())}
      cooked={await cookedOf(open, found.value.plan.family)}
    />
  );
}
