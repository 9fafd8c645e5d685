import type { Metadata } from 'next';
import { batchCard } from '@/server/cards';
import { store } from '@/server/store';
import { NotebookList } from '@/ui/notebook/NotebookList';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Notebook' };

export default async function Notebook() {
  return <NotebookList batches={(await (await store()).batches.list()).map(batchCard)} />;
}
