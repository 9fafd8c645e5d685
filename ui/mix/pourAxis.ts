import { there } from '@/core/units';
import type { LightForecast } from '@/core/forecast';
import { liquidToDryFor } from '@/core/flow';
import { LANDMARKS } from '@/core/model/batter';
import { drawn, logarithmic } from '../kit/scales';

/** As good as a dough, mPa·s. */
const STIFF = 40_000;

/** The scale from dough to water for one batter, by its liquid : dry. */
export interface PourAxis {
  readonly top: number;
  readonly bottom: number;
  readonly y: (liquidToDry: number) => number;
  /** Liquid : dry at a drawing height. */
  readonly at: (y: number) => number;
  readonly band: readonly [number, number];
  readonly marks: readonly { readonly words: string; readonly at: number }[];
}

/**
 * @param fromY drawing height of dough @param toY of water
 * @param apart least distance between words, drawing units
 */
export function pourAxis(light: LightForecast, index: number, fromY: number, toY: number, apart: number): PourAxis {
  const b = there(light.balance.batters[index]);
  const c = there(light.consistency[index]);
  const [lo, hi] = light.family.liquidToDry;
  const bottom = Math.max(hi * 1.3, b.liquidToDry * 1.25);
  const top = Math.min(
    liquidToDryFor(b, c.phi, c.serumMPas, STIFF) ?? lo / 3,
    lo * 0.8,
    Math.max(0.1, b.liquidToDry * 0.8),
  );
  const scale = logarithmic([top, bottom], [fromY, toY]);
  const y = (v: number) => drawn(scale(v));
  const marks = [...LANDMARKS]
    .reverse()
    .flatMap((m) => {
      const at = liquidToDryFor(b, c.phi, c.serumMPas, m.mPas);
      return at === undefined || at > bottom || at < top ? [] : [{ words: m.words, at }];
    })
    .reduce<{ words: string; at: number }[]>(
      (kept, m) => (kept.length > 0 && y(m.at) - y(there(kept[kept.length - 1]).at) < apart ? kept : [...kept, m]),
      [],
    );
  return { top, bottom, y, at: (at) => scale.invert(at), band: [lo, hi], marks };
}
