import { FAMILIES } from '@/core/families';
import { idSchema } from '@/server/http';
import { kitchenNow } from '@/server/kitchenNow';
import { planCards } from '@/server/planCards';
import { store } from '@/server/store';
import { Galley } from '@/ui/home/Galley';

export const dynamic = 'force-dynamic';

const LATELY = 6;

export default async function HomePage({ searchParams }: { searchParams: Promise<{ deleted?: string | string[] }> }) {
  const open = await store();
  const kitchen = await kitchenNow();
  const deleted = idSchema.safeParse((await searchParams).deleted);
  return (
    <Galley
      kitchenName={kitchen.name}
      plans={await planCards(open, kitchen, {})}
      batches={(await open.batches.page({ limit: LATELY })).rows}
      families={FAMILIES.map((f) => ({ id: f.id, name: f.name, about: f.about }))}
      deleted={deleted.success ? deleted.data : null}
    />
  );
}
