import type { Kitchen } from '@/core/kitchen';
import type { Plan } from '@/core/plan';
import type { Remedy } from '@/core/remedies';
import { handOf, keptHand } from './hand';
import type { RemediesWorker } from './remedies.worker';

const withHand = keptHand(() =>
  handOf<RemediesWorker>(new Worker(new URL('./remedies.worker.ts', import.meta.url), { type: 'module' })),
);

/** Computes cooling remedies in a worker. Fails where it cannot, with a new worker too. */
export const remediesInWorker = (plan: Plan, kitchen: Kitchen): Promise<readonly Remedy[]> =>
  withHand((api) => api.remedies(plan, kitchen));
