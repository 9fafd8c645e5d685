import type { ThicknessWord } from '../../mix';
import type { Handle, Input } from '../builder';
import type { FlowResource, Take } from '../flow';
import { massOfTakes, type Kit, type Ready } from './kit';
import { isHandle } from './ready';

const BOWL: readonly FlowResource[] = ['hands', 'bowl'];
const RING: readonly FlowResource[] = ['hands', 'ring'];

/** Share of the liquid stirred in first, against lumps. */
const FIRST = 0.4;
/** Roux: grams of liquid a gram of its flour takes. */
const ROUX_TAKES = 7;
/** Share of the last liquid that the sugar is melted in. */
const MELTS_IN = 0.6;
/** Bloom: grams of warm water a gram of yeast, and the pinch of sugar. */
const BLOOM_TAKES = 10;
const PINCH_G = 3;
const BLOOM_C = 38;
const BOWL_G = { steel: 300, ceramic: 800 } as const;

export interface MixOptions {
  /** Soaked grain is ground with its liquid instead of stirred in. */
  readonly grind?: boolean;
  /** The yeast goes in here; false: the family adds it at a later step. */
  readonly yeast?: boolean;
  /** The syrup is mixed in with the rest; false: the caller streams the batter into it. */
  readonly syrup?: boolean;
  /** The boiling liquid is streamed in after mixing; false: the caller uses it. */
  readonly scald?: boolean;
  /** Poured through a sieve once it is mixed. */
  readonly sieve?: boolean;
  /** Juice goes in with the pieces, not with the liquid. */
  readonly juiceLater?: boolean;
  /** The baking powder is kept for later. */
  readonly powderLater?: boolean;
  /** Share of the liquid brought to the boil, for the batter to be streamed into. */
  readonly boiled?: number;
  /** Done between mixing and the ring: sauces made, the steamer and the pan made ready. */
  readonly meanwhile?: () => void;
  /** Word that the last liquid is worked in to. */
  readonly mark?: ThicknessWord;
}

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
    { forS: 300, toC },
    takes.map((t) => ({ ...t, tempC: undefined })),
    ['syrup'],
    { resources: ['ring'] },
  )[0];
}

/** Yeast in warm water with a pinch of sugar, where the school blooms it and there is water to bloom it in. */
function yeastOf(k: Kit, r: Ready, liquid: Input[]): { readonly yeast: Input[]; readonly rest: Input[] } {
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
function rouxOf(k: Kit, r: Ready, liquid: Input[]): { readonly roux: Input[]; readonly rest: Input[] } {
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

/**
 * The batter of one list of lines: liquid topped up, paste cooked, yeast bloomed, dry blend stirred into the first share of the liquid
 * and then the rest, boiling liquid streamed in, the last liquid to the mark. The result is a stream without pieces.
 */
export function mixBatter(k: Kit, r: Ready, o: MixOptions = {}): Handle {
  const { b } = k;
  const id = r.batter.id;
  if (o.juiceLater) {
    r.pieces.push(...r.juice);
    r.juice.length = 0;
  }
  // The liquid is reckoned first: what stands in the syrup and the kettle counts towards what is wanted.
  const gathered = gatherLiquid(k, r);
  const syrup = o.syrup === false ? undefined : syrupOf(k, r);
  const { cold: liquid, hot } = boiledShare(k, r, gathered, o.boiled ?? 0);
  const { roux, rest: afterRoux } = rouxOf(k, r, liquid);
  const { yeast, rest } = o.yeast === false ? { yeast: [], rest: afterRoux } : yeastOf(k, r, afterRoux);
  const bowl = k.plan.bowl;
  const dry = [...r.dry, ...r.roux];
  const season = [...r.season];
  const powder = o.powderLater ? [] : [...r.powder];
  if (!o.powderLater) r.powder.length = 0;
  r.dry.length = 0;
  r.season.length = 0;
  const wet = rest.length + r.grain.length + r.pulp.length + roux.length > 0 || syrup !== undefined;
  let out: Handle;
  if (o.grind && r.grain.length > 0) {
    const pulp = [...r.pulp];
    r.pulp.length = 0;
    [out] = b.node('grind', id, {}, [...r.grain, ...pulp, ...rest, ...roux, ...dry], ['ground batter'], {
      resources: ['hands', 'counter'],
    });
    r.grain.length = 0;
    const more = [...season, ...powder, ...yeast, ...(syrup ? [syrup] : [])];
    if (more.length > 0)
      [out] = b.node('mix', id, mixSettings(bowl, 1), [out, ...more], [slurryName(k, r)], { resources: BOWL });
  } else {
    [out] = b.node(
      'mix',
      id,
      mixSettings(bowl, FIRST),
      [...dry, ...season, ...rest, ...r.grain, ...r.pulp, ...roux, ...(syrup ? [syrup] : []), ...yeast, ...powder],
      [wet ? slurryName(k, r) : 'dry mix'],
      { resources: BOWL },
    );
    r.grain.length = 0;
    r.pulp.length = 0;
  }
  if (r.boiling.length > 0 && o.scald !== false) {
    const boiling = [...r.boiling];
    r.boiling.length = 0;
    [out] = b.node('scald', id, { forS: 60 }, [out, ...boiling], ['scalded batter'], {
      resources: ['hands', 'bowl', 'ring'],
    });
  }
  if (r.last.length > 0) {
    const last = [...r.last];
    r.last.length = 0;
    [out] = b.node('to-the-mark', id, { to: o.mark ?? 'double cream' }, [out, ...last], ['batter'], {
      resources: BOWL,
    });
  }
  if (o.sieve) [out] = b.node('sieve', id, {}, [out], [slurryName(k, r)], { resources: BOWL });
  b.mark(`slurry:${id}`, out);
  o.meanwhile?.();
  if (hot) [out] = b.node('stream-in', id, { liquidC: 98 }, [hot, out], ['thin hot batter'], { resources: RING });
  return out;
}

/** Part of the liquid set aside and brought to the boil in a pot. */
function boiledShare(
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
  const [hot] = k.b.node('melt', about, { forS: 0, toC: 98 }, [goes], ['simmering liquid'], { resources: ['ring'] });
  return { cold: [stays], hot };
}

const mixSettings = (bowl: Kit['plan']['bowl'], firstShare: number) => ({
  firstShare,
  bowl: bowl?.material ?? ('none' as const),
  bowlG: bowl ? (bowl.massG ?? BOWL_G[bowl.material]) : 0,
});

const slurryName = (k: Kit, r: Ready): string =>
  k.plan.batters.length > 1 ? `${r.batter.name.toLowerCase()} batter` : 'batter';

/** Several batters of a plan that is poured as one, stirred together. */
export const joined = (k: Kit, batters: readonly Handle[]): Handle =>
  batters.length === 1 ? batters[0] : k.b.node('fold-in', 'all', {}, batters, ['batter'], { resources: BOWL })[0];

/** Batter stirred over the ring until it is as thick as wanted. */
export const thicken = (k: Kit, about: string, to: ThicknessWord, batter: Handle): Handle =>
  k.b.node('thicken', about, { to }, [batter], ['hot paste'], { resources: RING })[0];

/** Pieces folded in; the batter as it is where there are none. */
export function foldIn(k: Kit, r: Ready, batter: Handle, more: readonly Input[] = []): Handle {
  k.b.mark(`batter:${r.batter.id}`, batter);
  const pieces = [...r.pieces, ...more];
  r.pieces.length = 0;
  return pieces.length === 0
    ? batter
    : k.b.node('fold-in', r.batter.id, {}, [batter, ...pieces], ['batter with its pieces'], { resources: BOWL })[0];
}

/** The batter rested, and where the school asks it, its clear liquid poured off, topped up and seasoned again. */
export function restBatter(k: Kit, r: Ready, batter: Handle): Handle {
  // A family that has no such school still rests what the plan says is poured off.
  const school = k.school('rest') ?? ((r.batter.pouredOffG ?? 0) > 0 ? 'pour-off' : 'no');
  if (school === 'no') return batter;
  const { b } = k;
  const id = r.batter.id;
  const [rested] = b.node(
    'rest',
    id,
    { leastS: 3600, usualS: 5400, mostS: 10_800, sets: false },
    [batter],
    ['rested batter'],
    { resources: ['bowl'] },
  );
  const poured = r.batter.pouredOffG;
  if (school !== 'pour-off' || poured === undefined) return rested;
  const [fresh] = b.node('pour-off', id, { pouredG: poured }, [rested], ['topped-up batter'], { resources: BOWL });
  return b.node('season', id, {}, [fresh], ['seasoned batter'], { resources: BOWL })[0];
}

/** Yeast batter kept until it has risen, and its baking powder folded through at the end. */
export function raise(k: Kit, r: Ready, batter: Handle, rise: number, groundGrain = false): Handle {
  const { b, plan } = k;
  const id = r.batter.id;
  let out = batter;
  const yeasted =
    plan.batters.some((x) => x.lines.some((l) => l.ingredient === 'dry-yeast')) ||
    plan.addIns.some((l) => l.ingredient === 'dry-yeast');
  if (yeasted)
    [out] = b.node(
      'ferment',
      id,
      {
        where: plan.proving?.where ?? 'room',
        placeC: plan.proving?.tempC,
        forS: plan.proving?.timeS,
        groundGrain,
        rise,
      },
      [out],
      ['risen batter'],
      { resources: ['bowl'] },
    );
  if (r.powder.length > 0) {
    const powder = [...r.powder];
    r.powder.length = 0;
    if (yeasted) [out] = b.node('knock-back', id, {}, [out], ['batter knocked back'], { resources: BOWL });
    [out] = b.node('add-powder', id, { standS: 0 }, [out, ...powder], ['light batter'], { resources: BOWL });
  }
  return out;
}
