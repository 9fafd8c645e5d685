import type { BatchEvent, StampedEvent } from '@/core/work/notebook';
import { TEXTURE_AXES } from '@/core/model/batter';
import { readName, type Step } from '@/core/steps';
import { sayC, sayDuration, sayGrams, sayWater } from '@/core/units';
import { AXIS_WORDS } from '../kit/TextureBars';

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
  const verb = (id: string) => steps.find((s) => s.id === id)?.verb ?? id;
  switch (e.kind) {
    case 'ticked':
      return `${e.done ? (e.skipped ? 'Left out' : 'Done') : 'Taken back'}: ${verb(e.stepId)}`;
    case 'begun':
      return `Begun: ${verb(e.stepId)}`;
    case 'read':
      return `${verb(e.stepId)}: ${readingWords(e.slot, e.value)}`;
    case 'line-ticked':
      return `${e.done ? 'In' : 'Out again'}: ${lineName(e.line, steps)}`;
    case 'line-weighed':
      return `${lineName(e.line, steps)}: ${sayGrams(e.massG)} weighed`;
    case 'line-changed':
      return `${lineName(e.line, steps)}: ${e.byG < 0 ? `${sayGrams(-e.byG)} left over` : `${sayGrams(e.byG)} more`}`;
    case 'said':
      return `${verb(e.stepId)}: ${e.words}`;
    case 'turned':
      return e.heat === 'off' ? 'Fire off' : `Heat turned to ${e.heat}`;
    case 'timer-set':
      return `Timer: ${e.name}, ${sayDuration(e.forS)}`;
    case 'timer-ended':
      return 'Timer seen';
    case 'probe-checked':
      return `Probe in boiling water: ${sayC(e.readC)}, should be ${sayC(e.boilC)}`;
    case 'loaded':
      return 'Into the steamer';
    case 'checked':
      return `Pick came out ${e.state} at ${sayDuration(e.afterS)}`;
    case 'weighed':
      return `Weighed ${sayGrams(e.massG)}`;
    case 'topped-up':
      return `Topped up ${sayWater(e.massG)} of water`;
    case 'probed':
      return `Probe read ${e.tempC} °C`;
    case 'pulled':
      return 'Heat off';
    case 'tasted':
      return `Tasted: ${tastedWords(e)}`;
    case 'photographed':
      return 'Photographed';
    case 'noted':
      return e.note;
    case 'finished':
      return 'Finished';
    case 'vouched':
      return 'The time is right as it was seen';
    case 'eaten':
      return 'Eaten up';
    case 'taken-back':
      return 'Taken back';
  }
}

/** What a tasting came to: "4 of 5, chewy less, puddle on top, “soft”". */
export const tastedWords = (e: Extract<BatchEvent, { kind: 'tasted' }>): string =>
  [
    `${e.overall} of 5`,
    ...TEXTURE_AXES.flatMap((axis) => {
      const word = e.axes[axis];
      if (word === undefined || word === 'right') return [];
      return [axis === 'hardens' ? `hardens ${word} when cold` : `${word} ${AXIS_WORDS[axis]}`];
    }),
    ...(e.sign ? [e.sign] : []),
    ...(e.note ? [`“${e.note}”`] : []),
  ].join(', ');

/** A value that was read, by its slot. */
function readingWords(slot: string, value: number): string {
  if (slot === 'waitedS') return `waited ${sayDuration(value)}`;
  const name = readName(slot);
  return name ? `${name.words.toLowerCase()} ${Number(value.toFixed(1))} ${name.unit}` : `${slot} ${value}`;
}

const lineName = (line: string, steps: readonly Step[]): string =>
  steps.flatMap((s) => s.amounts).find((a) => a.line === line)?.name ?? line.replaceAll('-', ' ');
