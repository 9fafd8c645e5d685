import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { pageId } from '@/server/pageParams';
import { store } from '@/server/store';
import { versionsOf } from '@/server/versions';
import { VersionsPage } from '@/ui/plan/VersionsPage';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Earlier versions' };

export default async function PlanVersions({ params }: { params: Promise<{ id: string }> }) {
  const found = await versionsOf(await store(), await pageId(params));
  if (!found.ok) notFound();
  return <VersionsPage versions={found.value} />;
}
