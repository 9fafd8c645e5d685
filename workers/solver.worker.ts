import * as Comlink from 'comlink';
import { solveBlend, type SolverInput } from '@/core/mix';

/** The blend solver, off the page's thread. */
const api = { solve: (input: SolverInput) => solveBlend(input) };
export type SolverWorker = typeof api;

Comlink.expose(api);
