import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { pageId } from '@/server/pageParams';
import { store } from '@/server/store';
import { CoolingRecordPage } from '@/ui/notebook/CoolingRecordPage';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Record of a cooling' };

export default async function Cooling({ params }: { params: Promise<{ id: string }> }) {
  const found = await (await store()).batches.get(await pageId(params));
  if (!found.ok) notFound();
  return <CoolingRecordPage batch={found.value} />;
}
