import { yeastStrength } from '../../larder';
import { sayDuration, sayGrams } from '../../units';
import { coldWaterToReach, waitToReachS, YEAST_C } from '../../model/batter';
import type { LawInput } from '../law';
import type { Operation } from '../operations';
import { capacityOf, streamMass, WIDTH, type Stream } from '../stream';

type Any = LawInput<Operation>;

/** Yeast must not be scalded: told at whichever step it enters, with the wait or the cold water that would mend it. */
export function guardYeast(x: Any, s: Stream): void {
  if (s.tempC <= YEAST_C.never || !yeastEnters(x)) return;
  const wait = waitToReachS(s.tempC, YEAST_C.high, x.env.roomC, streamMass(s), false);
  const cold = coldWaterToReach(capacityOf(s), s.tempC, Math.min(x.env.roomC, 18), YEAST_C.high);
  x.warn(
    'yeast-too-hot',
    `The yeast goes in at ${Math.round(s.tempC)} °C, and above ${YEAST_C.never} °C it dies: ${wait === undefined ? 'let it cool' : `wait ${sayDuration(wait)}`}${cold === undefined ? '' : `, or hold back ${sayGrams(cold)} of the water cold`}.`,
  );
}

/** Cold water to hold back so that the rest lands where yeast likes it; undefined where no yeast enters or nothing is hot. */
export function coldBack(x: Any): number | undefined {
  if (!yeastEnters(x)) return undefined;
  const warm = [...x.carried, ...x.fresh.filter((_, i) => x.lines[x.node.takes[i].line].ingredient !== 'water')];
  if (warm.length === 0) return undefined;
  const hot = x.merge(warm);
  return coldWaterToReach(capacityOf(hot), hot.tempC, Math.min(x.env.roomC, 18), (YEAST_C.low + YEAST_C.high) / 2);
}

const yeastEnters = (x: Any): boolean =>
  x.node.takes.some((t) => yeastStrength(x.lines[t.line].ingredient) > 0) || x.carried.some((c) => yeastIn(x, c) > 0);

export const yeastIn = (x: Any, s: Stream): number => {
  let m = 0;
  for (let l = s.from; l < s.to; l++) {
    const strength = yeastStrength(x.lines[l].ingredient);
    if (strength > 0) for (let k = 0; k < 6; k++) m += strength * s.g[l * WIDTH + k];
  }
  return m;
};
