import type { Bounds } from './seen';
import { sayDuration } from '../../units';

/** What the checks of a batch say beside the model: "Ready between 22 min and 28 min, 0.91 to 1.16 times the model's 24 min." */
export function saySeen({ notBeforeS, notAfterS }: Bounds, modelS: number): string {
  const model = `the model’s ${sayDuration(modelS)}`;
  const times = (s: number) => (s / modelS).toFixed(2);
  if (notBeforeS <= 0)
    return Number.isFinite(notAfterS)
      ? `Ready by ${sayDuration(notAfterS)}, at most ${times(notAfterS)} times ${model}.`
      : 'Nothing was seen of when it was ready.';
  return Number.isFinite(notAfterS)
    ? `Ready between ${sayDuration(notBeforeS)} and ${sayDuration(notAfterS)}, ${times(notBeforeS)} to ${times(notAfterS)} times ${model}.`
    : `Not ready at ${sayDuration(notBeforeS)}, more than ${times(notBeforeS)} times ${model}.`;
}
