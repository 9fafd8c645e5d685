import type { BatchEvent, StampedEvent } from '@/core/notebook';
import type { Step } from '@/core/steps';
import { sayDuration, sayGrams } from '@/core/units';

/** One event of a batch in words; one that takes another back says which. */
export function eventLine(e: StampedEvent, all: readonly StampedEvent[], steps: readonly Step[]): string {
  if (e.kind !== 'taken-back') return eventWords(e, steps);
  const of = all.find((x) => x.key === e.of);
  if (!of) return 'Taken back';
  if (of.kind !== 'taken-back') return `Taken back: ${eventWords(of, steps)}`;
  const first = all.find((x) => x.key === of.of);
  return first ? `Brought back: ${eventWords(first, steps)}` : 'Brought back';
}

/** One event in words. */
export function eventWords(e: BatchEvent, steps: readonly Step[]): string {
  switch (e.kind) {
    case 'ticked':
      return `${e.done ? 'Done' : 'Taken back'}: ${steps.find((s) => s.id === e.stepId)?.verb ?? e.stepId}`;
    case 'loaded':
      return 'Into the steamer';
    case 'checked':
      return `Pick came out ${e.state} at ${sayDuration(e.afterS)}`;
    case 'weighed':
      return `Weighed ${sayGrams(e.massG)}`;
    case 'topped-up':
      return `Topped up ${sayGrams(e.massG)} of water`;
    case 'probed':
      return `Probe read ${e.tempC} °C`;
    case 'pulled':
      return 'Heat off';
    case 'tasted':
      return `Tasted: ${e.overall} of 5${e.note ? `, “${e.note}”` : ''}`;
    case 'noted':
      return e.note;
    case 'finished':
      return 'Finished';
    case 'taken-back':
      return 'Taken back';
  }
}
