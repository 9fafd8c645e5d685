import type { Metadata } from 'next';
import { kitchenStateNow } from '@/server/kitchenNow';
import { packKitchen } from '@/ui/kitchen/packed';
import { LarderPage } from '@/ui/larder/LarderPage';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Larder' };

export default async function Larder() {
  return <LarderPage kitchen={packKitchen(await kitchenStateNow())} />;
}
