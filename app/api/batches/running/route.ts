import { endpoint, json } from '@/server/http';
import { MOST_RUNNING } from '@/server/notebook';
import { store } from '@/server/store';

export const GET = endpoint({
  work: async () => json(await (await store()).batches.running(MOST_RUNNING)),
});
