import type { Metadata } from 'next';
import { store } from '@/server/store';
import { RackPage } from '@/ui/rack/RackPage';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Rack' };

export default async function Rack() {
  return <RackPage kitchen={await (await store()).kitchen.read()} />;
}
