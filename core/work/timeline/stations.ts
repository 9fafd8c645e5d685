import type { Station } from '../../flow';

/** The stations of a plan, in working order. */
export const STATIONS = [
  'mix',
  'vessel',
  'steam',
  'rest',
  'cut',
  'sear',
  'serve',
] as const satisfies readonly Station[];
