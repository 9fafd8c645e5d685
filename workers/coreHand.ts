import type { CoreWorker } from './core.worker';
import { handOf, type Hand } from './hand';

export type CoreHand = Hand<CoreWorker>;
/** A new worker that knows the core. */
export const coreHand = (): CoreHand =>
  handOf<CoreWorker>(new Worker(new URL('./core.worker.ts', import.meta.url), { type: 'module' }));
