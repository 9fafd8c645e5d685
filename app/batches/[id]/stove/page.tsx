import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { kitchenNow } from '@/server/kitchenNow';
import { MOST_RUNNING } from '@/server/notebook';
import { pageId } from '@/server/pageParams';
import { store } from '@/server/store';
import { UnreadablePage } from '@/ui/kit/Unreadable';
import { StovePage } from '@/ui/stove/StovePage';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'At the stove' };

export default async function Stove({ params }: { params: Promise<{ id: string }> }) {
  const id = await pageId(params);
  const { batches, clock } = await store();
  // Asked first: what is written down while the page is made is told again.
  const after = await batches.lastEventId();
  const found = await batches.get(id);
  if (found.ok)
    return (
      <StovePage
        key={id}
        batch={found.value}
        kitchen={await kitchenNow()}
        running={await batches.running(MOST_RUNNING)}
        after={after}
        nowMs={clock.now()}
      />
    );
  const unreadable = await batches.unreadable(id);
  if (!unreadable) notFound();
  return <UnreadablePage title={unreadable.name} what="batch" row={unreadable} />;
}
