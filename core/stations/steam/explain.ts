import type { Law } from '../../units';
import { FILM_LAWS } from './films';
import { LOADS_LAWS } from './loads';
import { POT_LAWS } from './pot';
import { WATER_LAWS } from './pour';
import { POWER_LAWS } from './setting';
import { POUR_LAWS } from './single';
import { STACK_LAWS } from './stack';

/** Why each figure of cooking is what it is; the first that fits a figure counts. */
export const STEAM_LAWS: readonly Law[] = [
  ...WATER_LAWS,
  ...POUR_LAWS,
  ...STACK_LAWS,
  ...LOADS_LAWS,
  ...FILM_LAWS,
  ...POT_LAWS,
  ...POWER_LAWS,
];
