import type { Metadata } from 'next';
import { store } from '@/server/store';
import { CopiesPage } from '@/ui/copies/CopiesPage';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Copies' };

export default async function Copies() {
  return <CopiesPage first={await (await store()).copies.state()} />;
}
