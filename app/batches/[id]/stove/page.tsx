import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { store } from '@/server/store';
import { StovePage } from '@/ui/stove/StovePage';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'At the stove' };

export default async function Stove({ params }: { params: Promise<{ id: string }> }) {
  const { batches } = await store();
  const found = await batches.get((await params).id);
  if (!found.ok) notFound();
  const batch = found.value;
  return <StovePage batch={batch} />;
}
