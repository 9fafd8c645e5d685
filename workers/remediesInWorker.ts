import * as Comlink from 'comlink';
import type { Kitchen } from '@/core/kitchen';
import type { Plan } from '@/core/plan';
import type { Remedy } from '@/core/remedies';
import type { RemediesWorker } from './remedies.worker';

let hand: Comlink.Remote<RemediesWorker> | undefined;

/** Computes cooling remedies in a worker that is kept for the next time. */
export async function remediesInWorker(plan: Plan, kitchen: Kitchen): Promise<readonly Remedy[]> {
  hand ??= Comlink.wrap<RemediesWorker>(
    new Worker(new URL('./remedies.worker.ts', import.meta.url), { type: 'module' }),
  );
  return hand.remedies(plan, kitchen);
}
