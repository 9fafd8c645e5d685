import type { StampedEvent } from '../notebook';

import { COOLING, sayC, sayDuration, sentenceCase } from '../../units';
import { operationOf } from '../../flow';
import { steamingOf } from './steaming';

export interface CoolingReading {
  readonly at: string;
  readonly tempC: number;
  /** Since it came out of the steam, s. */
  readonly sinceS: number;
}
export interface CoolingRecord {
  /** When it came out of the heat: the clean pick, else the first cooling. */
  readonly outAt: string;
  readonly readings: readonly CoolingReading[];
  /** Within the two stages, as far as it was read; undefined: not read far enough to say. */
  readonly safe: boolean | undefined;
  readonly sentence: string;
}

/** The warmest it can have been at a moment is what was read before it; that decides. */
const reached = (readings: readonly CoolingReading[], tempC: number): CoolingReading | undefined =>
  readings.find((r) => r.tempC <= tempC);

/** What was read of a batch while it cooled; undefined before it came out of the steam. @param events those that count */
export function coolingRecord(events: readonly StampedEvent[]): CoolingRecord | undefined {
  const steaming = steamingOf(events);
  // What is cooked in the pot, or was not checked, cools from when its first cooling was begun.
  const out =
    events.findLast((e) => e.kind === 'checked' && e.state === 'clean') ??
    events.find((e) => (e.kind === 'begun' || e.kind === 'ticked') && operationOf(e.stepId) === 'cool');
  if (!out || (steaming && Date.parse(out.at) < steaming.beganMs)) return undefined;
  const outMs = Date.parse(out.at);
  const readings = events.flatMap((e): CoolingReading[] =>
    e.kind === 'probed' && Date.parse(e.at) > outMs
      ? [{ at: e.at, tempC: e.tempC, sinceS: (Date.parse(e.at) - outMs) / 1000 }]
      : [],
  );
  const start = readings.find((r) => r.tempC <= COOLING.fromC)?.sinceS ?? 0;
  // It passed 60 °C somewhere before the first reading under it: reckoned from the last one above, or from the steam.
  const from = readings.findLast((r) => r.tempC > COOLING.fromC && r.sinceS <= start)?.sinceS ?? 0;
  const first = reached(readings, COOLING.firstC);
  const last = reached(readings, COOLING.lastC);
  const lateS = readings.at(-1)?.sinceS ?? 0;
  const tooSlow =
    (first ? first.sinceS : lateS) - from > COOLING.firstS || (last ? last.sinceS : lateS) - from > COOLING.lastS;
  const safe = tooSlow ? false : last ? true : undefined;
  const rule = 'Local food codes rule.';
  const sentence =
    readings.length === 0
      ? `Nothing was read while it cooled. ${rule}`
      : safe === false
        ? `Too slow: ${first ? `${sayC(COOLING.firstC)} after ${sayDuration(first.sinceS - from)}` : `still over ${sayC(COOLING.firstC)} after ${sayDuration(lateS - from)}`}. Throw out what stood warm for longer than the code allows. ${rule}`
        : safe
          ? `Cooled in time: ${sayC(COOLING.firstC)} within ${sayDuration((first?.sinceS ?? 0) - from)}, ${sayC(COOLING.lastC)} within ${sayDuration((last?.sinceS ?? 0) - from)}. ${rule}`
          : `${first ? `${sayC(COOLING.firstC)} within ${sayDuration(first.sinceS - from)}; ` : ''}not read down to ${sayC(first ? COOLING.lastC : COOLING.firstC)} yet: it must be by ${sayDuration((first ? COOLING.lastS : COOLING.firstS) + from)} off the heat. ${rule}`;
  return { outAt: out.at, readings, safe, sentence: sentenceCase(sentence) };
}

/** What a reading just taken means. */
export function coolingNow(events: readonly StampedEvent[], tempC: number, nowMs: number): string {
  const now: StampedEvent = {
    kind: 'probed',
    tempC,
    id: Number.MAX_SAFE_INTEGER,
    key: 'now',
    at: new Date(nowMs).toISOString(),
  };
  return coolingRecord([...events, now])?.sentence ?? `${sayC(tempC)} written down.`;
}
