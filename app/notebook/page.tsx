import type { Metadata } from 'next';
import { notebookPage } from '@/server/firstPages';
import { store } from '@/server/store';
import { NotebookList } from '@/ui/notebook/NotebookList';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Notebook' };

export default async function Notebook() {
  return <NotebookList first={await notebookPage(await store())} />;
}
