import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { pageId } from '@/server/pageParams';
import { store } from '@/server/store';
import { PrintPage } from '@/ui/print/PrintPage';
import { painted } from '@/ui/stage/layersAt';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Card and label' };

export default async function CardPage({ params }: { params: Promise<{ id: string }> }) {
  const { plans, kitchenState, heavy } = await store();
  const id = await pageId(params);
  const found = await plans.get(id);
  if (!found.ok) notFound();
  const made = await heavy.run('card', [found.value.plan, (await kitchenState()).kitchen], { urgent: true });
  if (!made.ok) notFound();
  const { section, ...card } = made.value;
  return (
    <PrintPage id={id} card={{ ...card, section: { ...section, layers: section.layers && painted(section.layers) } }} />
  );
}
