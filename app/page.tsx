import { galleyPage } from '@/server/firstPages';
import { idSchema } from '@/server/http';
import { kitchenNow } from '@/server/kitchenNow';
import { store } from '@/server/store';
import { Galley } from '@/ui/home/Galley';

export const dynamic = 'force-dynamic';

export default async function HomePage({ searchParams }: { searchParams: Promise<{ deleted?: string | string[] }> }) {
  const kitchen = await kitchenNow();
  const open = await store();
  const page = await galleyPage(open);
  const deleted = idSchema.safeParse((await searchParams).deleted);
  return (
    <Galley
      kitchenName={kitchen.name}
      {...page}
      nowMs={open.clock.now()}
      damaged={open.damage.found().length}
      uncopied={await open.copies.overdue()}
      deleted={deleted.success ? deleted.data : null}
    />
  );
}
