import { yeastStrength } from '../../larder';
import type { ThicknessWord } from '../../model/batter';
import type { Handle, Input } from '../builder';
import { BOWL, RING, type Kit, type Ready } from './kit';
import { boiledShare, gatherLiquid, rouxOf, syrupOf, yeastOf } from './liquid';

/** Share of the liquid stirred in first, against lumps. */
const FIRST = 0.4;

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
  if (hot) [out] = b.node('stream-in', id, {}, [hot, out], ['thin hot batter'], { resources: RING });
  return out;
}

const mixSettings = (bowl: Kit['plan']['bowl'], firstShare: number) => ({
  firstShare,
  bowl: bowl.material,
  bowlG: bowl.massG,
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
  const school = k.school('rest') ?? (r.batter.pouredOffG > 0 ? 'pour-off' : 'no');
  if (school === 'no') return batter;
  const { b } = k;
  const id = r.batter.id;
  const [rested] = b.node('rest', id, { leastS: 3600, usualS: 5400, mostS: 10_800 }, [batter], ['rested batter'], {
    resources: ['bowl'],
  });
  const poured = r.batter.pouredOffG;
  if (school !== 'pour-off' || poured <= 0) return rested;
  const [fresh] = b.node('pour-off', id, { pouredG: poured }, [rested], ['topped-up batter'], { resources: BOWL });
  return b.node('season', id, {}, [fresh], ['seasoned batter'], { resources: BOWL })[0];
}

/** Yeast batter kept until it has risen, and its baking powder folded through at the end. */
export function raise(k: Kit, r: Ready, batter: Handle, rise: number, groundGrain = false): Handle {
  const { b, plan } = k;
  const id = r.batter.id;
  let out = batter;
  const yeasted =
    plan.batters.some((x) => x.lines.some((l) => yeastStrength(l.ingredient) > 0)) ||
    plan.addIns.some((l) => yeastStrength(l.ingredient) > 0);
  if (yeasted)
    [out] = b.node(
      'ferment',
      id,
      {
        where: plan.proving.where,
        placeC: plan.proving.tempC,
        forS: plan.proving.timeS,
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
