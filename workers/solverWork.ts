import { solveBlend, type SolverInput } from '@/core/model/batter';

/** The blend solver, off the page's thread. */
export const solverWork = { solve: (input: SolverInput) => solveBlend(input) };
