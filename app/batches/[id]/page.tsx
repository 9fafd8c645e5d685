import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { MODEL_VERSION } from '@/core/units';
import { pageId } from '@/server/pageParams';
import { store } from '@/server/store';
import { UnreadablePage } from '@/ui/kit/Unreadable';
import { BatchPage } from '@/ui/notebook/BatchPage';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Batch' };

export default async function Batch({ params }: { params: Promise<{ id: string }> }) {
  const id = await pageId(params);
  const { batches } = await store();
  const found = await batches.get(id);
  if (found.ok) return <BatchPage batch={found.value} modelS={(await batches.timeOf(id, MODEL_VERSION)) ?? null} />;
  const unreadable = await batches.unreadable(id);
  if (!unreadable) notFound();
  return <UnreadablePage title={unreadable.name} what="batch" row={unreadable} />;
}
