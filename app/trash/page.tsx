import type { Metadata } from 'next';
import { store } from '@/server/store';
import { TrashPage } from '@/ui/home/TrashPage';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Deleted' };

export default async function Trash() {
  const { trash, damage } = await store();
  return <TrashPage first={await trash.list()} damaged={damage.found()} />;
}
