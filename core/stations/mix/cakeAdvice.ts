import { massOf } from '../../model/batter';
import { type Family, wayOf } from '../../families';
import { panNeed } from './panNeed';
import { isLimed, type FlowLine, type PlanBalance } from '../../flow';
import { isEatenByLime, kindsOf } from '../../kitchen';
import type { LinePlace, PlanInForce, ResolvedPlan } from '../../plan';
import { plural, sayGrams, sayMm, type Band, shortName, there } from '../../units';
import { choosePans, depthForVolume, volumeAtDepth, type Fill } from '../../model/vessel';
import { named, type Advice, type Change, type Fix } from './advice.types';
import { outside, sayBand } from './outside';

/** A whole cake as the bands see it. */
export interface CakeSeen {
  readonly family: Family;
  readonly resolved: ResolvedPlan;
  readonly balance: PlanBalance;
  readonly lines: readonly FlowLine[];
  readonly fill: Fill;
}

const inCake = (l: FlowLine): boolean => (l.role === 'batter' || l.role === 'add-in') && !l.id.includes('/');
/** Where a line of the flow stands in the plan. */
const placeOf = (plan: PlanInForce, l: FlowLine): LinePlace =>
  l.role === 'add-in' ? 'addIns' : plan.batters.findIndex((b) => b.id === l.group);

/** A plate saltier than this tastes of salt whatever the family, %. */
const PLATE_SALT_MOST = 1.5;
/** Sweet cakes ask for no salt; more than this tastes of it, %. */
const SWEET_SALT: Band = [0, 0.6];

/** Salt, judged on the plate: cake, topping and sauce together. */
export function saltAdvice({ family, balance, resolved: { plan }, lines }: CakeSeen): readonly Advice[] {
  if (balance.massG <= 0) return [];
  const [least, usual] = family.saltPct ?? SWEET_SALT;
  const most = Math.max(usual * 1.15, family.saltPct ? PLATE_SALT_MOST : usual);
  const { saltPct } = balance.plate;
  const cake = balance.salt.pctOfTotal;
  const low = saltPct < least * 0.85;
  const high = cake > usual * (family.saltPct ? 1.6 : 1.15) || (saltPct > most && cake > usual);
  if (!low && !high) return [];
  const beside = balance.beside.length > 0 ? `, ${saltPct.toFixed(2)} % with what it is eaten with` : '';
  const aim = (least + usual) / 2;
  const by = ((aim - cake) / 100) * balance.massG;
  if (low && by <= 0) return [];
  const salts = lines.filter((l) => l.kind === 'salt' && l.role === 'batter' && !l.id.includes('/'));
  const now = salts.reduce((a, l) => a + l.massG, 0);
  const to = Math.max(0, now + by);
  const changes: Change[] =
    now > 0
      ? salts.map((l) => ({ what: 'line', place: placeOf(plan, l), id: l.id, massG: (l.massG * to) / now }))
      : [{ what: 'add', place: 0, ingredient: 'fine-salt', massG: to }];
  const can = now + by >= -0.05;
  return [
    {
      ...named('salt'),
      grade: cake > 2 * usual || saltPct < least * 0.5 ? 'spoils' : 'better',
      sentence: `Salt is ${cake.toFixed(2)} % of the cake${beside}; ${family.saltPct ? `${sayBand([least, usual])} %` : `at most ${usual} %`} is usual: ${by > 0 ? `add ${sayGrams(by)}` : `take out ${sayGrams(-by)}`}.`,
      fixes: can ? [{ words: `${by > 0 ? '+' : '−'}${sayGrams(Math.abs(by))} salt`, changes }] : [],
    },
  ];
}

/** Short of so much of its flour, a cake crumbles when it is cut, share of the dry blend. */
const CRUMBLES = 0.02;

/** The main add-in and the fried bits, by the first batter's dry blend. */
export function addInAdvice({ family, balance, lines, resolved: { plan } }: CakeSeen): readonly Advice[] {
  const dry = there(balance.batters[0]).dryBlendG;
  if (dry <= 0) return [];
  const out: Advice[] = [];
  const addIns = lines.filter((l) => l.role === 'add-in' && !l.id.includes('/'));
  const change = (list: readonly FlowLine[], toG: number): Change[] => {
    const now = list.reduce((a, l) => a + l.massG, 0);
    return now > 0
      ? list.map((l) => ({ what: 'line', place: placeOf(plan, l), id: l.id, massG: (l.massG * toG) / now }))
      : [{ what: 'add', place: 'addIns', ingredient: family.addIn?.ingredients[0] ?? 'radish', massG: toG }];
  };
  if (family.addIn) {
    const { ingredients, ofDry } = family.addIn;
    // Mashed into the batter or in pieces: wherever it stands.
    const main = lines.filter((l) => inCake(l) && ingredients.includes(l.ingredient));
    const mainG = main.reduce((a, l) => a + l.massG, 0);
    const off = outside(mainG / dry, ofDry);
    if (off) {
      const by = off.aim * dry - mainG;
      const name = shortName(main[0]?.name ?? there(ingredients[0]).replaceAll('-', ' ')).toLowerCase();
      out.push({
        ...named('add-in'),
        grade: off.grade,
        sentence: `There is ${(mainG / dry).toFixed(1)} times the dry blend of ${name}; ${sayBand(ofDry)} times is usual: ${by > 0 ? 'add' : 'take out'} ${sayGrams(Math.abs(by))}.`,
        fixes: [
          { words: `${by > 0 ? '+' : '−'}${sayGrams(Math.abs(by))} ${name}`, changes: change(main, off.aim * dry) },
        ],
      });
    }
  }
  if (family.bitsOfDry !== undefined) {
    const bits = addIns.filter(
      (l) => !family.addIn?.ingredients.includes(l.ingredient) && l.kind !== 'salt' && l.kind !== 'fat',
    );
    const bitsG = bits.reduce((a, l) => a + l.massG, 0);
    const off = outside(bitsG / dry, [0, family.bitsOfDry]);
    if (off)
      out.push({
        ...named('bits'),
        grade: off.grade,
        sentence: `The other add-ins are ${(bitsG / dry).toFixed(1)} times the dry blend; more than ${family.bitsOfDry} times crowds it: take out ${sayGrams(bitsG - off.aim * dry)}.`,
        fixes: [{ words: `−${sayGrams(bitsG - off.aim * dry)} add-ins`, changes: change(bits, off.aim * dry) }],
      });
  }
  const pieces = massOf(balance.pieces);
  if (family.binderMin && pieces > 0 && balance.pieceVolumeShare > 0.45) {
    const need = family.binderMin * pieces - dry;
    if (need > 1) {
      const by = (dry + 1.02 * need) / dry;
      const first = lines.filter(
        (l) => l.role === 'batter' && l.group === there(balance.batters[0]).id && !l.id.includes('/'),
      );
      out.push({
        ...named('binder'),
        grade: need > CRUMBLES * dry ? 'spoils' : 'better',
        sentence: `Too many pieces to hold a cut: ${sayGrams(need)} more flour would bind them, with its liquid.`,
        fixes: [
          {
            words: `+${sayGrams(1.02 * need)} flour, with its liquid`,
            changes: [
              ...first.map((l): Change => ({ what: 'line', place: 0, id: l.id, massG: l.massG * by })),
              { what: 'liquid', batter: 0, wantedG: by * there(balance.batters[0]).liquidG },
            ],
          },
        ],
      });
    }
  }
  return out;
}

/** How deep it lies: another count of the same vessel, another vessel of the rack, or another amount. */
export function depthAdvice({ family, resolved, balance, fill }: CakeSeen): readonly Advice[] {
  const { plan, vessel } = resolved;
  const mm = fill.depthM * 1000;
  const off = fill.depthM > 0 ? outside(mm, family.depthMm) : undefined;
  const out: Advice[] = [];
  if (off) {
    const wantedEach = volumeAtDepth(vessel, off.aim / 1000);
    const by = wantedEach / Math.max(fill.volumeEachMl, 1e-9);
    const counts = [Math.floor, Math.ceil]
      .map((f) => Math.max(1, f((fill.volumeEachMl * plan.vesselCount) / Math.max(wantedEach, 1e-9))))
      .filter((n) => n !== plan.vesselCount && n <= 60);
    const { into: what } = wayOf(family);
    const inBand = (n: number) =>
      n <= (what === 'pan' ? vessel.count : 60) &&
      outside(mmAt(vessel, (fill.volumeEachMl * plan.vesselCount) / n), family.depthMm, 0) === undefined;
    const sameVessel = counts.filter(inBand).map((count) => ({
      words: plural(count, what),
      changes: [{ what: 'plan' as const, set: { vesselCount: count } }],
    }));
    const scaled = {
      words: `${by > 1 ? '+' : '−'}${sayGrams(Math.abs(by - 1) * balance.massG)} of everything`,
      changes: [{ what: 'scale' as const, by }],
    };
    out.push({
      ...named('depth'),
      grade: off.grade,
      sentence: `${off.side === 'low' ? 'Shallow' : 'Deep'}: ${sayMm(fill.depthM)} where this family runs ${sayBand(family.depthMm)} mm${off.side === 'high' ? '; it will take long' : ''}.`,
      fixes: [...sameVessel.slice(0, 1), ...otherPans(resolved, family, balance.volumeMl), scaled],
    });
  }
  const layers = wayOf(family).stacked ? plan.layers : undefined;
  if (family.layerMm && layers && fill.depthM > 0) {
    const each = mm / layers;
    const layerOff = outside(each, family.layerMm);
    const [least, most] = family.layers ?? [1, 30];
    // Whole layers: the count nearest to the middle of the band that still lies in it.
    const able = Array.from({ length: most - least + 1 }, (_, i) => least + i).filter(
      (n) => outside(mm / n, family.layerMm ?? [0, 99], 0) === undefined,
    );
    const n = able.sort((a, b) => Math.abs(a - layers) - Math.abs(b - layers))[0];
    if (layerOff && layerOff.grade !== undefined && each >= 1)
      out.push({
        ...named('layer-depth'),
        grade: layerOff.grade,
        sentence: `Each layer is ${each.toFixed(1)} mm; ${sayBand(family.layerMm)} mm is usual${n === undefined ? '' : `: pour ${n}`}.`,
        fixes: n === undefined ? [] : [{ words: `${n} layers`, changes: [{ what: 'plan', set: { layers: n } }] }],
      });
  }
  return out;
}

/** The rack's other pans that hold it in its band, best first. */
export function otherPans(
  { plan, also, kitchen, steamer, vessel }: ResolvedPlan,
  family: Family,
  volumeMl: number,
  most = 2,
): readonly Fix[] {
  const need = panNeed(family, steamer, volumeMl);
  if (!need || also.length > 0) return [];
  return choosePans(kitchen.vessels, need)
    .filter((c) => c.inBand && c.also === undefined && !(c.vessel.id === vessel.id && c.count === plan.vesselCount))
    .slice(0, most)
    .map((c) => ({
      words: `${c.count > 1 ? `${c.count} × ` : ''}${c.vessel.name}, ${sayMm(c.fill.depthM)}`,
      changes: [{ what: 'plan', set: { vessel: c.vessel.id, vesselCount: c.count } }],
    }));
}

const mmAt = (vessel: ResolvedPlan['vessel'], ml: number): number => 1000 * depthForVolume(vessel, ml);

/** Fillings of rolls, g a roll. */
export function fillingAdvice({ family, resolved: { plan }, lines }: CakeSeen): readonly Advice[] {
  const band = family.fillingG;
  if (!band) return [];
  return plan.fillings.flatMap((f, i) => {
    const grams = lines.filter((l) => l.role === 'filling' && l.group === f.id).reduce((a, l) => a + l.massG, 0);
    const { count } = f;
    if (grams <= 0 || count < 1) return [];
    const off = outside(grams / count, band);
    if (!off) return [];
    const by = off.aim * count - grams;
    return [
      {
        ...named('filling', f.id),
        grade: off.grade,
        sentence: `${f.name}: ${sayGrams(grams / count)} a roll where ${sayBand(band)} g is usual: ${by > 0 ? 'make' : 'leave out'} ${sayGrams(Math.abs(by))}${by > 0 ? ' more' : ''}.`,
        fixes: [
          {
            words: `${by > 0 ? '+' : '−'}${sayGrams(Math.abs(by))} ${f.name.toLowerCase()}`,
            changes: [{ what: 'filling', filling: i, by: (off.aim * count) / grams }],
          },
        ],
      },
    ];
  });
}

/** Lime against the aluminium of the vessel it is set in; the pots and blenders that it is kept out of are said at its step. */
export function alkaliAdvice(cake: CakeSeen): readonly Advice[] {
  const { resolved, lines, family } = cake;
  const { vessel, kitchen } = resolved;
  if (!isLimed(lines) || !isEatenByLime(vessel.material)) return [];
  const others = kindsOf(kitchen.vessels).filter((v) => !isEatenByLime(v.material));
  return [
    {
      ...named('alkali-vessel'),
      grade: 'unsafe',
      sentence: `${vessel.name} is ${vessel.material}: lime eats it. Set ${family.name.toLowerCase()} in steel, glass or ceramic.`,
      fixes: [
        ...otherPans(resolved, family, cake.balance.volumeMl),
        ...others.slice(0, 4).map((v): Fix => ({
          words: v.name,
          changes: [{ what: 'plan', set: { vessel: v.id, vesselCount: Math.min(v.count, resolved.plan.vesselCount) } }],
        })),
      ],
    },
  ];
}
