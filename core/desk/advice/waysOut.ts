import type { Advice } from '../../stations/mix';
import type { Kitchen } from '../../kitchen';
import { cookWays } from './ways/cook';
import { cutWays } from './ways/cut';
import { restWays } from './ways/rest';
import { mixWays } from './ways/mix';
import { vesselWays } from './ways/vessel';
import type { Row, Ways } from './ways/ways.types';
import type { Look } from './lookAt';

const WAYS: Ways = { ...mixWays, ...vesselWays, ...cookWays, ...restWays, ...cutWays };

/** Ways that may lead out of something to mind, best first; only trying one tells. None for what the bands propose fixes for themselves. */
export function waysOut(look: Look, advice: Advice, kitchen: Kitchen): readonly Row[] {
  const colon = advice.id.indexOf(':');
  const [kind, about] = colon < 0 ? [advice.id, ''] : [advice.id.slice(0, colon), advice.id.slice(colon + 1)];
  return WAYS[kind]?.({ look, advice, kitchen, about }) ?? [];
}
