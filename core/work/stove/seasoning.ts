import type { LightForecast } from '../../forecast/forecast.types';
import { SALT } from '../../flow';
import { sayGrams, there } from '../../units';
import { operationOf, traitsOf } from '../../flow';

/** A cake that tastes flat is lifted by this share of its salt; one that tastes salty is thinned by it (a house figure). */
const STEP = 0.15;
/** With no salt in it yet, this much of the cake, %. */
const FIRST_PCT = 0.3;

export type Taste = 'flat' | 'right' | 'salty';
export interface Seasoning {
  readonly sentence: string;
  /** What to put in, by line: salt where it is flat, flour and water where it is salty. Empty: nothing, or no line for it. */
  readonly add: readonly {
    readonly line: string;
    readonly name: string;
    readonly massG: number;
    readonly ofG?: number;
  }[];
}

const pct = (v: number): string => `${v.toFixed(2)} %`;
const tenth = (g: number): number => Math.round(g * 10) / 10;
/**
 * What to put in where it tastes flat or salty: salt towards the family's band, or plain batter in this one's own shares; of a sauce its own
 * saltiest line, or water.
 * @param stepId where it was tasted: the batter or sauce that is made there; poured already, it is for the next time
 */
export function seasoningFor(light: LightForecast, tastes: Taste, stepId: string): Seasoning {
  const about = stepId.slice(stepId.indexOf(':') + 1);
  if (light.resolved.plan.accompaniments.some((a) => a.id === about)) return sauceFor(light, tastes, about);
  const { balance, family, flow } = light;
  const poured = traitsOf(operationOf(stepId)).cooked === true;
  const { batters } = light.resolved.plan;
  // Of several bowls the one that was tasted; of one bowl the whole cake, with what is folded in yet.
  const bowl = batters.length > 1 ? balance.batters.find((b) => b.id === about) : undefined;
  const [now, massG] = bowl ? [bowl.saltPct, bowl.massG] : [balance.salt.pctOfTotal, balance.massG];
  if (tastes === 'right') return { sentence: `Right at ${pct(now)} salt.`, add: [] };
  const inBatter = flow.lines.filter(
    (l) => l.role === 'batter' && l.massG > 0 && !l.id.includes('/') && l.group === (bowl?.id ?? there(batters[0]).id),
  );
  const salt = inBatter.find((l) => l.kind === 'salt');
  if (tastes === 'flat') {
    const least = family.saltPct?.[0] ?? 0;
    const aim = now > 0 ? Math.max(now * (1 + STEP), least) : Math.max(least, FIRST_PCT);
    const moreG = tenth(((aim - now) / 100) * massG);
    const words = `Flat at ${pct(now)} salt: ${sayGrams(moreG)} more brings it to ${pct(aim)}`;
    if (poured) return { sentence: `${words}, next time; now salt the sauce.`, add: [] };
    return {
      sentence: `${words}. Stir it in well and taste again.`,
      add: salt ? [{ line: salt.id, name: salt.name, massG: moreG }] : [],
    };
  }
  const aim = now * (1 - STEP);
  const moreG = massG * (now / Math.max(aim, 1e-9) - 1);
  const flour = inBatter.filter((l) => l.dry).sort((a, b) => b.massG - a.massG)[0];
  const wet = inBatter.filter((l) => l.liquid).sort((a, b) => b.massG - a.massG);
  const water = wet.find((l) => l.ingredient === 'water') ?? wet[0];
  if (poured || !flour)
    return {
      sentence: `Salty at ${pct(now)}: it cannot come out again. Serve it without its salt sauce, and take ${sayGrams(tenth((STEP * now * massG) / 100))} less next time.`,
      add: [],
    };
  const ratio = there(bowl ?? balance.batters[0]).liquidToDry;
  const flourG = Math.round(moreG / (1 + ratio));
  const waterG = Math.round(moreG - flourG);
  return {
    sentence: `Salty at ${pct(now)}: ${sayGrams(flourG)} of ${flour.name.toLowerCase()} and ${sayGrams(waterG)} of ${water ? water.name.toLowerCase() : 'water'} more bring it to ${pct(aim)}.`,
    add: [
      { line: flour.id, name: flour.name, massG: flourG },
      ...(water ? [{ line: water.id, name: water.name, massG: waterG }] : []),
    ],
  };
}

/** A sauce: a seventh more of what salts it most, or of its water. */
function sauceFor(light: LightForecast, tastes: Taste, about: string): Seasoning {
  if (tastes === 'right') return { sentence: 'Right: cover it until it is served.', add: [] };
  const lines = light.flow.lines.filter((l) => l.role === 'accompaniment' && l.group === about && l.massG > 0);
  const saltG = (l: (typeof lines)[number]) => l.massG * there(l.perGram[SALT]);
  const allG = lines.reduce((a, l) => a + saltG(l), 0);
  const salty = [...lines].sort((a, b) => saltG(b) - saltG(a))[0];
  if (tastes === 'flat') {
    if (!salty || saltG(salty) <= 0) return { sentence: 'Flat: salt it by the pinch and taste again.', add: [] };
    const massG = tenth((STEP * allG) / there(salty.perGram[SALT]));
    return {
      sentence: `Flat: ${sayGrams(massG)} more of the ${salty.name.toLowerCase()}, then taste again.`,
      add: [{ line: salty.id, name: salty.name, massG, ofG: salty.massG }],
    };
  }
  const sumG = lines.reduce((a, l) => a + l.massG, 0);
  const massG = Math.round(sumG * (1 / (1 - STEP) - 1));
  const water = lines.find((l) => l.ingredient === 'water');
  return {
    sentence: `Salty: ${sayGrams(massG)} of water thins it by ${Math.round(100 * STEP)} %.`,
    add: water ? [{ line: water.id, name: water.name, massG, ofG: water.massG }] : [],
  };
}
