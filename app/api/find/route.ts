import { findables } from '@/server/findables';
import { endpoint, json } from '@/server/http';
import { store } from '@/server/store';

export const GET = endpoint({ work: async () => json(await findables(await store())) });
