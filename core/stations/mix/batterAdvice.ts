import { sayGrams, type Band } from '../../units';
import { named, type Advice, type Change } from './advice.types';
import { countsAs } from './bandsFor';
import { BEANS, change, scaled, sumOf, type BatterSeen } from './batterSeen';
import { outside, sayBand } from './outside';

/** Surplus liquid beyond this share of the wanted is something to mind. */
const FAR_OVER = 0.25;

/** Flours outside their shares, with the grams of each that would be inside. */
export function blendAdvice(b: BatterSeen): readonly Advice[] {
  const { dryBlendG, shares } = b.balance;
  if (dryBlendG <= 0) return [];
  const by = new Map<string, number>();
  for (const [id, share] of Object.entries(shares)) by.set(countsAs(id), (by.get(countsAs(id)) ?? 0) + 100 * share);
  const bandOf = (id: string): Band => b.bands.blend[id] ?? [0, 0];
  const ids = [...new Set([...Object.keys(b.bands.blend), ...by.keys()])];
  const off = ids.flatMap((id) => {
    const share = by.get(id) ?? 0;
    const [low, high] = bandOf(id);
    const by100 = share < low - 1 ? low - share : share > high + 1 ? share - high : 0;
    return by100 > 0 ? [{ id, share, band: [low, high] as const, by100 }] : [];
  });
  if (off.length === 0) return [];
  const worst = off.reduce((a, x) => (x.by100 > a.by100 ? x : a));
  const wanted = inBands(ids, (id) => by.get(id) ?? 0, bandOf);
  const kept = b.lines.some((l) => l.flours.length > 1);
  const changes: Change[] = [];
  const said: string[] = [];
  for (const id of ids) {
    const lines = b.lines.filter((l) => l.dry && countsAs(l.ingredient) === id);
    const toG = ((wanted.get(id) ?? 0) / 100) * dryBlendG;
    const by1 = toG - sumOf(lines);
    if (Math.abs(by1) < 0.05) continue;
    changes.push(...(lines.length === 0 && toG <= 0 ? [] : scaled(b, lines, toG, id)));
    said.push(`${by1 > 0 ? '+' : '−'}${sayGrams(Math.abs(by1))} ${b.nameOf(id).toLowerCase()}`);
  }
  const usual = worst.band[1] > 0 ? `${sayBand(worst.band)} % is usual` : 'none is usual here';
  const words = said.join(', ');
  return [
    {
      ...named('blend', b.balance.id),
      grade: worst.by100 > 15 ? 'spoils' : 'better',
      sentence: `${b.named}${Math.round(worst.share)} % of the dry blend is ${b.nameOf(worst.id).toLowerCase()}; ${usual}: ${words}.`,
      fixes: kept || changes.length === 0 ? [] : [{ words, changes }],
    },
  ];
}

/** The nearest shares inside all bands that add up to 100: clamped, then what is over or short spread over what can still give or take. */
function inBands(
  ids: readonly string[],
  now: (id: string) => number,
  bandOf: (id: string) => Band,
): Map<string, number> {
  const inner = (id: string): Band => {
    const [low, high] = bandOf(id);
    const inward = Math.min(0.5, (high - low) / 4);
    return [low + (low > 0 ? inward : 0), high - inward];
  };
  const out = new Map(ids.map((id) => [id, Math.min(inner(id)[1], Math.max(inner(id)[0], now(id)))]));
  for (let round = 0; round < 8; round++) {
    const open = 100 - [...out.values()].reduce((a, x) => a + x, 0);
    if (Math.abs(open) < 1e-9) break;
    const used = ids.filter((id) => now(id) > 0);
    const room = (id: string) => (open > 0 ? inner(id)[1] - (out.get(id) ?? 0) : (out.get(id) ?? 0) - inner(id)[0]);
    // What is there already gives and takes first; only then another flour of the family.
    const able = used.some((id) => room(id) > 1e-9) ? used : ids;
    const all = able.reduce((a, id) => a + Math.max(0, room(id)), 0);
    if (all < 1e-9) break;
    const part = Math.min(1, Math.abs(open) / all) * Math.sign(open);
    for (const id of able) out.set(id, (out.get(id) ?? 0) + part * Math.max(0, room(id)));
  }
  return out;
}

/** Liquid : dry outside its band: liquids (coconut too, so that its share stays) or, where juice is too much already, flour. */
export function liquidAdvice(b: BatterSeen): readonly Advice[] {
  const { liquidToDry, liquidG, dryBlendG, topUpG } = b.balance;
  const off = liquidToDry > 0 ? outside(liquidToDry, b.bands.liquidToDry) : undefined;
  if (!off) return [];
  const usual = `${liquidToDry.toFixed(2)} where ${sayBand(b.bands.liquidToDry)} is usual`;
  const word = off.side === 'low' ? 'Stiffer' : 'Looser';
  const by = off.aim * dryBlendG - liquidG;
  const own = b.lines.filter((l) => l.kind === 'liquid');
  const ownG = sumOf(own) + topUpG;
  const flour = liquidG / off.aim - dryBlendG;
  const flourWords = `${sayGrams(flour)} more dry blend`;
  const flourChanges = b.lines
    .filter((l) => l.dry)
    .map((l) => change(b.index, l, (l.massG * off.aim ** -1 * liquidG) / dryBlendG));
  const factor = ownG > 0 ? (ownG + by) / ownG : 0;
  const liquidChanges: Change[] =
    ownG <= 0
      ? [{ what: 'add', place: b.index, ingredient: 'water', massG: by }]
      : [
          ...own.map((l) => change(b.index, l, l.massG * factor)),
          ...(b.wantedG === undefined ? [] : [{ what: 'liquid' as const, batter: b.index, wantedG: b.wantedG + by }]),
        ];
  if (off.side === 'low')
    return [
      {
        ...named('liquid', b.balance.id),
        grade: off.grade,
        sentence: `${b.named}${b.named ? word.toLowerCase() : word} than this family runs (${usual}): ${sayGrams(by)} more liquid is inside the band.`,
        fixes: [{ words: `+${sayGrams(by)} liquid`, changes: liquidChanges }],
      },
    ];
  const enough = ownG + by > 0;
  return [
    {
      ...named('liquid', b.balance.id),
      grade: off.grade,
      sentence: `${b.named}${b.named ? word.toLowerCase() : word} than this family runs (${usual}): ${enough ? `${sayGrams(-by)} less liquid, or ${flourWords}, is` : `${flourWords} is`} inside the band.`,
      fixes: [
        ...(enough ? [{ words: `−${sayGrams(-by)} liquid`, changes: liquidChanges }] : []),
        { words: `+${sayGrams(flour)} dry blend`, changes: flourChanges },
      ],
    },
  ];
}

/** More liquid than the plan wants, from juice and what is written down: it stops nothing, it is a softer batter than was asked for. */
export function surplusAdvice(b: BatterSeen): readonly Advice[] {
  const { liquidG, dryBlendG } = b.balance;
  const over = b.wantedG === undefined ? 0 : liquidG - b.wantedG;
  if (b.wantedG === undefined || over < 0.5) return [];
  const dry = (over / Math.max(b.wantedG, 1)) * dryBlendG;
  return [
    {
      ...named('surplus', b.balance.id),
      grade: over > FAR_OVER * b.wantedG ? 'spoils' : 'better',
      sentence: `${b.named}There is already ${sayGrams(over)} more liquid than wanted: leave that much out, or add ${sayGrams(dry)} of dry blend.`,
      fixes: [
        {
          words: `${sayGrams(liquidG)} of liquid wanted`,
          changes: [{ what: 'liquid', batter: b.index, wantedG: liquidG }],
        },
        {
          words: `+${sayGrams(dry)} dry blend`,
          changes: [
            ...b.lines.filter((l) => l.dry).map((l) => change(b.index, l, (l.massG * (dryBlendG + dry)) / dryBlendG)),
            { what: 'liquid', batter: b.index, wantedG: liquidG },
          ],
        },
      ],
    },
  ];
}

/** Coconut milk as a share of the liquid: more of it takes the place of water, and the liquid stays what it is. */
export function coconutAdvice(b: BatterSeen): readonly Advice[] {
  const { liquidG, topUpG } = b.balance;
  const band = b.bands.coconutOfLiquid;
  if (!band || liquidG <= 0) return [];
  const milk = b.lines.filter((l) => /^coconut-(milk|cream)/.test(l.ingredient));
  const pct = (100 * sumOf(milk)) / liquidG;
  const off = outside(pct, band);
  if (!off) return [];
  const toG = (off.aim / 100) * liquidG;
  const by = toG - sumOf(milk);
  const water = b.lines.filter((l) => l.ingredient === 'water');
  const changes: Change[] = [
    ...scaled(b, milk, toG, 'coconut-milk'),
    // Without a top-up to give way, the water written down does.
    ...(b.wantedG === undefined ? scaled(b, water, Math.max(0, sumOf(water) - by), 'water') : []),
  ];
  const can = b.wantedG === undefined ? sumOf(water) - by >= 0 : topUpG - by >= -1e-6;
  const words = `${by > 0 ? '+' : '−'}${sayGrams(Math.abs(by))} coconut milk, ${by > 0 ? 'less' : 'more'} water`;
  return [
    {
      ...named('coconut', b.balance.id),
      grade: off.grade,
      sentence: `${b.named}${b.named ? 'coconut' : 'Coconut'} milk is ${Math.round(pct)} % of the liquid; ${sayBand(band)} % is usual: ${sayGrams(Math.abs(by))} ${by > 0 ? 'more of it and as much less water' : 'less of it and as much more water'}.`,
      fixes: can ? [{ words, changes }] : [],
    },
  ];
}

/** Bean mash ÷ dry blend, for a bean batter. */
export function beanAdvice(b: BatterSeen): readonly Advice[] {
  const band = b.bands.beanOfDry;
  const dry = b.balance.dryBlendG;
  if (!band || dry <= 0) return [];
  const lines = b.lines.filter((l) => BEANS.has(l.ingredient));
  const ratio = sumOf(lines) / dry;
  const off = outside(ratio, band);
  if (!off) return [];
  const by = off.aim * dry - sumOf(lines);
  return [
    {
      ...named('bean', b.balance.id),
      grade: off.grade,
      sentence: `${b.named}${ratio.toFixed(1)} times the dry blend is bean; ${sayBand(band)} times is usual: ${by > 0 ? 'add' : 'take out'} ${sayGrams(Math.abs(by))}.`,
      fixes: [
        {
          words: `${by > 0 ? '+' : '−'}${sayGrams(Math.abs(by))} cooked beans`,
          changes: scaled(b, lines, off.aim * dry, 'mung-beans-cooked'),
        },
      ],
    },
  ];
}
