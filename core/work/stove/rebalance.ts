import type { LightForecast } from '../../forecast/forecast.types';
import { leversTo } from '../../flow';
import { sayGrams } from '../../units';

/** A scoop more or less changes nothing worth a word: this share of a line, or a gram where that is little of it. */
const EVEN_SHARE = 0.01;
const EVEN_G = 1;
const LITTLE = 0.05;
const evenG = (massG: number): number => Math.max(EVEN_SHARE * massG, Math.min(EVEN_G, LITTLE * massG));
/** Of salt and raising, this share more is tasted. */
const TASTED = 0.1;

/**
 * How to put right what was poured over or under: the other side of liquid : dry, so that the batter stays what it was.
 * @param before and after the line was weighed
 */
export function rebalanceWords(before: LightForecast, after: LightForecast, lineId: string): string {
  const was = before.flow.lines.find((l) => l.id === lineId);
  const is = after.flow.lines.find((l) => l.id === lineId);
  if (!was || !is) return '';
  const byG = is.massG - was.massG;
  if (Math.abs(byG) <= evenG(was.massG)) return '';
  const said = byG > 0 ? `${sayGrams(byG)} over` : `${sayGrams(-byG)} short`;
  if (is.role === 'accompaniment') return `${said}: taste it before it is served.`;
  const i = before.resolved.plan.batters.findIndex((b) => b.id === is.group);
  const [old, now] = [before.balance.batters[i], after.balance.batters[i]];
  if (old && now && (is.dry || is.liquid)) {
    const lever = leversTo(now, old.liquidToDry).find((l) => l.what === (is.dry ? 'water' : 'flour'));
    if (lever && Math.abs(lever.grams) >= EVEN_G) {
      const less = lever.grams < 0;
      return `${said}: ${sayGrams(Math.abs(lever.grams))} ${less ? 'less' : 'more'} ${is.dry ? 'water' : 'flour'} keeps the batter as it was.`;
    }
  }
  const share = was.massG > 0 ? byG / was.massG : 1;
  if (byG > 0 && Math.abs(share) > TASTED)
    return `${said}: take it out again, it is ${Math.round(100 * share)} % more than planned.`;
  return byG > 0 ? `${said}: it does no harm.` : `${said}: add it, or go on with less.`;
}
