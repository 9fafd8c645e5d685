import { answer, route } from '@/server/http';
import { store } from '@/server/store';

export const GET = (request: Request, { params }: { params: Promise<{ id: string }> }) =>
  route(request, async () => answer(await (await store()).batches.get((await params).id)));
