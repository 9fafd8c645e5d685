import { sayDuration } from '../../units';
import type { SteamTimes } from './times';

/** The three figures in words, the same wherever they are said: "29 min of steam, 5 min standing, 34 min in all". */
export const sayTimes = (t: Pick<SteamTimes, 'planForS' | 'standS' | 'totalS'>): string =>
  t.standS > 0
    ? `${sayDuration(t.planForS)} of steam, ${sayDuration(t.standS)} standing, ${sayDuration(t.totalS)} in all`
    : `${sayDuration(t.planForS)} of steam`;
