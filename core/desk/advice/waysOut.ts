import type { Advice } from '../../stations/mix';
import type { Kitchen } from '../../kitchen';
import type { ConcernCode } from '../../units';
import type { Look } from './look.types';
import { mixWays } from './mix';
import { planWays } from './plan';
import { restWays } from './rest';
import { searWays } from './sear';
import { serveWays } from './serve';
import { steamWays } from './steam';
import { vesselWays } from './vessel';
import type { Row, Way } from './way.types';

const WAYS: Readonly<Record<ConcernCode, Way>> = {
  ...planWays,
  ...mixWays,
  ...vesselWays,
  ...steamWays,
  ...restWays,
  ...searWays,
  ...serveWays,
};

/** Ways that may lead out of something to mind, best first; only trying one tells. None for what the bands propose fixes for themselves. */
export const waysOut = (look: Look, { code, about }: Advice, kitchen: Kitchen): readonly Row[] =>
  WAYS[code]({ look, kitchen, about });
