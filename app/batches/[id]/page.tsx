import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { store } from '@/server/store';
import { BatchPage } from '@/ui/notebook/BatchPage';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Batch' };

export default async function Batch({ params }: { params: Promise<{ id: string }> }) {
  const found = await (await store()).batches.get((await params).id);
  if (!found.ok) notFound();
  return <BatchPage batch={found.value} />;
}
