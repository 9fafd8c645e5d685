import type { solveBlend, SolverInput } from '@/core/mix';
import { handOf, keptHand } from './hand';
import type { SolverWorker } from './solver.worker';

const withHand = keptHand(() =>
  handOf<SolverWorker>(new Worker(new URL('./solver.worker.ts', import.meta.url), { type: 'module' })),
);

/** Solves a blend in a worker. Fails where it cannot, with a new worker too. */
export const solveInWorker = (input: SolverInput): Promise<ReturnType<typeof solveBlend>> =>
  withHand((api) => api.solve(input) as Promise<ReturnType<typeof solveBlend>>);
