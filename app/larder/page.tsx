import type { Metadata } from 'next';
import { store } from '@/server/store';
import { LarderPage } from '@/ui/larder/LarderPage';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Larder' };

export default async function Larder() {
  return <LarderPage kitchen={await (await store()).kitchen.read()} />;
}
