import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { pageId } from '@/server/pageParams';
import { store } from '@/server/store';
import { UnreadablePage } from '@/ui/kit/Unreadable';
import { StovePage } from '@/ui/stove/StovePage';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'At the stove' };

export default async function Stove({ params }: { params: Promise<{ id: string }> }) {
  const id = await pageId(params);
  const { batches } = await store();
  const found = await batches.get(id);
  if (found.ok) return <StovePage batch={found.value} />;
  const unreadable = await batches.unreadable(id);
  if (!unreadable) notFound();
  return <UnreadablePage title={unreadable.name} what="batch" row={unreadable} />;
}
