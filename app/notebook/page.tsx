import type { Metadata } from 'next';
import { BATCHES_A_PAGE } from '@/server/notebook';
import { store } from '@/server/store';
import { NotebookList } from '@/ui/notebook/NotebookList';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Notebook' };

export default async function Notebook() {
  return <NotebookList first={await (await store()).batches.page({ limit: BATCHES_A_PAGE })} />;
}
