import * as Comlink from 'comlink';
import type { solveBlend, SolverInput } from '@/core/mix';
import type { SolverWorker } from './solver.worker';

let hand: Comlink.Remote<SolverWorker> | undefined;

/** Solves a blend in a worker that is kept for the next time. */
export async function solveInWorker(input: SolverInput): Promise<ReturnType<typeof solveBlend>> {
  hand ??= Comlink.wrap<SolverWorker>(new Worker(new URL('./solver.worker.ts', import.meta.url), { type: 'module' }));
  return hand.solve(input);
}
