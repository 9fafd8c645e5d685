import type { solveBlend, SolverInput } from '@/core/model/batter';
import { coreHand } from './coreHand';
import { keptHand } from './hand';

const withHand = keptHand(coreHand);

/** Solves a blend in a worker. Fails where it cannot, with a new worker too. */
export const solveInWorker = (input: SolverInput): Promise<ReturnType<typeof solveBlend>> =>
  withHand((api) => api.solve(input) as Promise<ReturnType<typeof solveBlend>>);
