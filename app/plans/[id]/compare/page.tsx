import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { besideChoices, besideOf } from '@/server/beside';
import { kitchenStateNow } from '@/server/kitchenNow';
import { pageId } from '@/server/pageParams';
import { store } from '@/server/store';
import { ComparePage } from '@/ui/compare/ComparePage';
import { packKitchen } from '@/ui/kitchen/packed';

export const dynamic = 'force-dynamic';
export const metadata: Metadata = { title: 'Side by side' };

export default async function Compare({
  params,
  searchParams,
}: {
  params: Promise<{ id: string }>;
  searchParams: Promise<{ with?: string | string[] }>;
}) {
  const id = await pageId(params);
  const open = await store();
  const found = await open.plans.get(id);
  if (!found.ok) notFound();
  const { plan } = found.value;
  const choices = await besideChoices(open, id, plan);
  const asked = (await searchParams).with;
  const value = typeof asked === 'string' ? asked : (choices[0]?.value ?? '');
  return (
    <ComparePage
      key={value}
      id={id}
      plan={plan}
      choices={choices}
      asked={value}
      beside={(await besideOf(open, id, value, choices)) ?? null}
      kitchen={packKitchen(await kitchenStateNow())}
    />
  );
}
