import type { LightForecast } from '../forecast.types';
import { sayGrams } from '../units';

/** A cake that tastes flat is lifted by this share of its salt; one that tastes salty is thinned by it (a house figure). */
const STEP = 0.15;
/** With no salt in it yet, this much of the cake, %. */
const FIRST_PCT = 0.3;

export interface Seasoning {
  readonly sentence: string;
  /** What to put in, by line: salt where it is flat, flour and water where it is salty. Empty: nothing, or no line for it. */
  readonly add: readonly { readonly line: string; readonly name: string; readonly massG: number }[];
}

const pct = (v: number): string => `${v.toFixed(2)} %`;
const tenth = (g: number): number => Math.round(g * 10) / 10;

/**
 * What to put in where a batter tastes flat or salty: salt towards the family's band, or plain batter in this one's own shares.
 * @param poured true once it is in the pan: then it is for the sauce and the next time
 */
export function seasoningFor(light: LightForecast, tastes: 'flat' | 'right' | 'salty', poured = false): Seasoning {
  const { balance, family, flow } = light;
  const now = balance.salt.pctOfTotal;
  if (tastes === 'right') return { sentence: `Right at ${pct(now)} salt.`, add: [] };
  const inBatter = flow.lines.filter((l) => l.role === 'batter' && l.massG > 0 && !l.id.includes('/'));
  const salt = inBatter.find((l) => l.kind === 'salt');
  if (tastes === 'flat') {
    const least = family.saltPct?.[0] ?? 0;
    const aim = now > 0 ? Math.max(now * (1 + STEP), least) : Math.max(least, FIRST_PCT);
    const massG = tenth(((aim - now) / 100) * balance.massG);
    const words = `Flat at ${pct(now)} salt: ${sayGrams(massG)} more brings it to ${pct(aim)}`;
    if (poured) return { sentence: `${words}, next time; now salt the sauce.`, add: [] };
    return {
      sentence: `${words}. Stir it in well and taste again.`,
      add: salt ? [{ line: salt.id, name: salt.name, massG }] : [],
    };
  }
  const aim = now * (1 - STEP);
  const moreG = balance.massG * (now / Math.max(aim, 1e-9) - 1);
  const flour = inBatter.filter((l) => l.dry).sort((a, b) => b.massG - a.massG)[0];
  const water = inBatter.filter((l) => l.liquid).sort((a, b) => b.massG - a.massG)[0];
  if (poured || !flour)
    return {
      sentence: `Salty at ${pct(now)}: it cannot come out again. Serve it without its salt sauce, and take ${sayGrams(tenth((STEP * now * balance.massG) / 100))} less next time.`,
      add: [],
    };
  const ratio = balance.batters[0].liquidToDry;
  const flourG = Math.round(moreG / (1 + ratio));
  const waterG = Math.round(moreG - flourG);
  return {
    sentence: `Salty at ${pct(now)}: ${sayGrams(flourG)} of ${flour.name.toLowerCase()} and ${sayGrams(waterG)} of water more bring it to ${pct(aim)}.`,
    add: [
      { line: flour.id, name: flour.name, massG: flourG },
      ...(water ? [{ line: water.id, name: water.name, massG: waterG }] : []),
    ],
  };
}
