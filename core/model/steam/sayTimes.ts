import { sayDuration } from '../../units';
import type { SteamTimes } from './times';

/** The three figures in words, the same wherever they are said: "29 min of steam (76 % sure to be clean by then), 5 min standing, 34 min in all". */
export const sayTimes = (t: Pick<SteamTimes, 'planForS' | 'planChance' | 'standS' | 'totalS'>): string => {
  const steam = `${sayDuration(t.planForS)} of steam (${Math.round(100 * t.planChance)} % sure to be clean by then)`;
  return t.standS > 0 ? `${steam}, ${sayDuration(t.standS)} standing, ${sayDuration(t.totalS)} in all` : steam;
};
