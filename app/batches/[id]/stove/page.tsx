import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { checksOf } from '@/server/learn';
import { store } from '@/server/store';
import { StovePage } from '@/ui/stove/StovePage';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'At the stove' };

export default async function Stove({ params }: { params: Promise<{ id: string }> }) {
  const { batches } = await store();
  const found = await batches.get((await params).id);
  if (!found.ok) notFound();
  const batch = found.value;
  const earlier = checksOf(
    (await batches.list()).filter((b) => b.finishedAt !== null && b.id !== batch.id),
    batch.snapshot.steamerId,
    batch.snapshot.plan.heat,
  );
  return <StovePage batch={batch} earlier={earlier} />;
}
