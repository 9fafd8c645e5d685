import * as Comlink from 'comlink';
import type { Kitchen } from '@/core/kitchen';
import type { Plan } from '@/core/plan';
import { coolingRemedies } from '@/core/remedies';

/** Cooling remedies, off the page's thread. */
const api = { remedies: (plan: Plan, kitchen: Kitchen) => coolingRemedies(plan, kitchen) };
export type RemediesWorker = typeof api;

Comlink.expose(api);
