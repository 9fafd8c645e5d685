import type { Metadata } from 'next';
import { kitchenStateNow } from '@/server/kitchenNow';
import { packKitchen } from '@/ui/kitchen/packed';
import { RackPage } from '@/ui/rack/RackPage';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Rack' };

export default async function Rack() {
  return <RackPage kitchen={packKitchen(await kitchenStateNow())} />;
}
