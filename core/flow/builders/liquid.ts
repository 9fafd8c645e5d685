import { isHandle, type Handle, type Input } from '../builder';
import type { Take } from '../flow';
import { BOWL, massOfTakes, RING, type Kit, type Ready } from './kit';

/** Roux: grams of liquid a gram of its flour takes. */
const ROUX_TAKES = 7;
/** Share of the last liquid that the sugar is melted in. */
const MELTS_IN = 0.6;
/** Bloom: grams of warm water a gram of yeast, and the pinch of sugar. */
const BLOOM_TAKES = 10;
const PINCH_G = 3;
const BLOOM_C = 38;

/** All that is liquid and cold, topped up with water where the plan wants a total. Undefined: there is none. */
export function gatherLiquid(k: Kit, r: Ready): Input[] {
  const { b } = k;
  const inputs: Input[] = [...r.cold, ...r.juice];
  r.cold.length = 0;
  r.juice.length = 0;
  const wanted = r.batter.wantedLiquidG;
  if (wanted === undefined) return inputs;
  const besides = [...r.boiling, ...r.syrup, ...r.last].filter((t) => k.lines[t.line].liquid).map((t) => t.line);
  return b.node('top-up', r.batter.id, { wantedG: wanted, besides }, inputs, ['liquid'], { resources: BOWL });
}

/** A share of the liquid taken off for another use: a share of its water line, else of the topped-up liquid. */
function someLiquid(
  k: Kit,
  liquid: Input[],
  wantedG: number,
  tempC?: number,
): { readonly part: Input[]; readonly rest: Input[] } {
  const at = liquid.findIndex((x) => !isHandle(x) && k.lines[x.line].ingredient === 'water');
  if (at >= 0) {
    const water = liquid[at] as Take;
    const mass = k.lines[water.line].massG * water.share;
    const x = mass > 0 ? Math.min(0.9, wantedG / mass) : 0;
    if (x <= 0) return { part: [], rest: liquid };
    return {
      part: [{ ...water, share: water.share * x, ...(tempC === undefined ? {} : { tempC }) }],
      rest: liquid.map((y, i) => (i === at ? { ...water, share: water.share * (1 - x) } : y)),
    };
  }
  return { part: [], rest: liquid };
}

/** Sugar and hot liquid melted to a syrup. */
export function syrupOf(k: Kit, r: Ready, more: readonly Take[] = []): Handle | undefined {
  const takes = [...r.syrup, ...more];
  r.syrup.length = 0;
  // Sugar melts in liquid: where none is written for it, most of what goes in last does it.
  if (takes.length > 0 && !takes.some((t) => k.lines[t.line].liquid)) {
    if (r.last.length === 0) {
      r.season.push(...takes);
      return undefined;
    }
    const last = [...r.last];
    r.last.length = 0;
    for (const t of last) {
      takes.push({ ...t, share: t.share * MELTS_IN });
      r.last.push({ ...t, share: t.share * (1 - MELTS_IN) });
    }
  }
  if (takes.length === 0) return undefined;
  const toC = takes.reduce((a, t) => Math.max(a, t.tempC ?? 0), 0) || 60;
  return k.b.node(
    'melt',
    r.batter.id,
    { toC },
    takes.map((t) => ({ ...t, tempC: undefined })),
    ['syrup'],
    { resources: ['ring'] },
  )[0];
}

/** Yeast in warm water with a pinch of sugar, where the school blooms it and there is water to bloom it in. */
export function yeastOf(k: Kit, r: Ready, liquid: Input[]): { readonly yeast: Input[]; readonly rest: Input[] } {
  if (r.yeast.length === 0) return { yeast: [], rest: liquid };
  const yeast = [...r.yeast];
  r.yeast.length = 0;
  if (k.school('yeast') === 'straight') return { yeast, rest: liquid };
  const { part, rest } = someLiquid(k, liquid, BLOOM_TAKES * massOfTakes(k, yeast), BLOOM_C);
  if (part.length === 0) return { yeast, rest: liquid };
  const sugarAt = r.season.findIndex(
    (t) => k.lines[t.line].kind === 'sugar' && k.lines[t.line].massG * t.share > 2 * PINCH_G,
  );
  const pinch: Take[] = [];
  if (sugarAt >= 0) {
    const t = r.season[sugarAt];
    const x = PINCH_G / (k.lines[t.line].massG * t.share);
    pinch.push({ ...t, share: t.share * x });
    r.season[sugarAt] = { ...t, share: t.share * (1 - x) };
  }
  return {
    yeast: k.b.node('bloom', r.batter.id, { forS: 600 }, [...yeast, ...part, ...pinch], ['foaming yeast'], {
      resources: ['bowl'],
    }),
    rest,
  };
}

/** Part of the flour cooked to a paste with seven times its weight of the water. */
export function rouxOf(k: Kit, r: Ready, liquid: Input[]): { readonly roux: Input[]; readonly rest: Input[] } {
  if (r.roux.length === 0) return { roux: [], rest: liquid };
  const flour = [...r.roux];
  r.roux.length = 0;
  const wanted = ROUX_TAKES * massOfTakes(k, flour);
  const { part, rest } = someLiquid(k, liquid, wanted);
  if (part.length > 0)
    return {
      roux: k.b.node('roux', r.batter.id, {}, [...flour, ...part], ['cooked paste'], { resources: RING }),
      rest,
    };
  const handle = rest.find(isHandle);
  if (!handle || r.batter.wantedLiquidG === undefined || r.batter.wantedLiquidG <= 0) return { roux: flour, rest };
  const share = Math.min(0.9, wanted / r.batter.wantedLiquidG);
  const [remains, mine] = k.b.node(
    'keep-back',
    `${r.batter.id}-paste`,
    { share },
    [handle],
    ['liquid', 'liquid for the paste'],
    {
      resources: BOWL,
    },
  );
  return {
    roux: k.b.node('roux', r.batter.id, {}, [...flour, mine], ['cooked paste'], { resources: RING }),
    rest: rest.map((x) => (x === handle ? remains : x)),
  };
}

/** Part of the liquid set aside and brought to the boil in a pot. */
export function boiledShare(
  k: Kit,
  r: Ready,
  liquid: Input[],
  share: number,
): { readonly cold: Input[]; readonly hot: Handle | undefined } {
  if (share <= 0 || liquid.length === 0) return { cold: liquid, hot: undefined };
  const about = `${r.batter.id}-liquid`;
  const [stays, goes] = k.b.node('keep-back', about, { share }, liquid, ['liquid for the slurry', 'liquid to boil'], {
    resources: BOWL,
  });
  const [hot] = k.b.node('melt', about, { toC: 98 }, [goes], ['simmering liquid'], { resources: ['ring'] });
  return { cold: [stays], hot };
}
