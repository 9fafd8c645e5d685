import type { Metadata } from 'next';
import { kitchenStateNow } from '@/server/kitchenNow';
import { packKitchen } from '@/ui/kitchen/packed';
import { LarderPage } from '@/ui/larder/LarderPage';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Larder' };

export default async function Larder({ searchParams }: { searchParams: Promise<{ find?: string | string[] }> }) {
  const { find } = await searchParams;
  const word = typeof find === 'string' ? find.slice(0, 100) : '';
  return <LarderPage key={word} kitchen={packKitchen(await kitchenStateNow())} find={word} />;
}
