import { answer, route } from '@/server/http';
import { store } from '@/server/store';

export const POST = (request: Request, { params }: { params: Promise<{ id: string }> }) =>
  route(request, async () => answer(await (await store()).plans.restore((await params).id)));
