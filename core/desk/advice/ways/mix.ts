import type { Fix } from '../../../stations/mix';
import { forecastLight } from '../../../forecast';
import { familyOf, formulaOf } from '../../../families';
import {
  freshLineId,
  lineIds,
  linesAt,
  placeOfPath,
  scalePlan,
  withLines,
  withReading,
  type Plan,
} from '../../../plan';
import { withWait } from '../../../flow';
import { sayC, sayDuration, sayGrams, RAW_FILLING_C } from '../../../units';
import { isDryBlend } from '../../../larder';
import { becoming, setting } from '../becoming';
import { larderIn, lessLiquid, moreLiquid } from './amounts';
import type { Around, Row, Ways } from './ways.types';

/** The line that a problem is about, taken out. */
function withoutIt({ look: { plan }, about }: Around, path = about): readonly Fix[] {
  const at = placeOfPath(path.replace(/\.ingredient$/, ''));
  if (!at) return [];
  const line = linesAt(plan, at.place)[at.index];
  if (!line) return [];
  return [
    becoming(
      `Leave out ${sayGrams(line.massG)} of “${line.ingredient}”`,
      plan,
      withLines(plan, at.place, (lines) => lines.filter((_, i) => i !== at.index)),
    ),
  ];
}

/** The flour and starch of the family's own formula, where a batter has none. */
function familysFlour(x: Around): Row {
  const { plan, light } = x.look;
  const family = familyOf(plan.family);
  if (!family.ok) return [];
  const shipped = formulaOf(family.value);
  const larder = larderIn(x);
  let next = plan;
  plan.batters.forEach((b, i) => {
    if ((light?.balance.batters[i]?.dryBlendG ?? 0) > 0) return;
    const from = shipped.batters[Math.min(i, shipped.batters.length - 1)];
    const kinds = from.lines.filter((l) => {
      const i = larder.get(l.ingredient);
      return i !== undefined && isDryBlend(i);
    });
    const batterG = b.lines.reduce((a, l) => a + l.massG, 0) + (b.wantedLiquidG ?? 0);
    const shippedG = from.lines.reduce((a, l) => a + l.massG, 0) + (from.wantedLiquidG ?? 0);
    const by = batterG > 0 && shippedG > 0 ? Math.min(4, Math.max(0.1, batterG / shippedG)) : 1;
    next = withLines(next, i, (lines) => [
      ...lines.filter((l) => !kinds.some((k) => k.ingredient === l.ingredient)),
      ...kinds.map((k) => ({ ...k, id: freshLineId(lineIds(next), k.ingredient), massG: Math.round(k.massG * by) })),
    ]);
  });
  return next === plan ? [] : [becoming('Add this family’s own flours', plan, next)];
}

/** Somewhere that yeast works. */
const warmer = (): Row => [setting('Prove it at 30 °C in a warm box', { proving: { where: 'warm-box', tempC: 30 } })];
/** A wait as usual again. */
function asUsual({ look: { plan, light }, about }: Around): Row {
  if (!light) return [];
  const usual = withWait(plan, about, undefined, light.resolved.larder);
  const { timeS: _t, ...proving } = plan.proving ?? { where: 'room' as const };
  return [
    becoming('As long as usual', plan, about.startsWith('ferment:') ? { ...usual, proving } : usual),
    ...(about.startsWith('ferment:')
      ? [setting('Prove it in the fridge', { proving: { ...proving, where: 'fridge', tempC: undefined } })]
      : []),
  ];
}
/** Another school, each in turn. */
const schools = ({ look: { light } }: Around, question: 'yeast' | 'intoPan'): Row => {
  const school = light?.family.schools[question];
  const now = light?.resolved.plan.schools[question];
  return (school?.options ?? [])
    .filter((o) => o.id !== now)
    .map((o) => ({ words: o.words, changes: [{ what: 'school', question, option: o.id }] }));
};
/** Longer waits before what is hot meets the yeast. */
function cooler(x: Around): Row {
  const { plan, light } = x.look;
  const node = light?.evaluated.nodes.find((n) => n.node.id === x.about);
  const before = light?.evaluated.nodes.filter((n) => n.node.op === 'wait' || n.node.op === 'melt') ?? [];
  return !node
    ? []
    : before.flatMap((n) =>
        [600, 1200, 1800, 2700, 3600, 5400].map((s) =>
          becoming(`Let it cool for ${sayDuration(s)} first`, plan, {
            ...plan,
            waits: { ...plan.waits, [n.node.id]: s },
          }),
        ),
      );
}
/** What was read hot at a step is let cool to what is reckoned there. */
const notAsRead = ({ look: { plan }, kitchen }: Around): Row =>
  Object.entries(plan.readings).flatMap(([node, { tempC: readC }]) => {
    if (readC === undefined) return [];
    const cooled = withReading(plan, { node, slot: 'tempC' }, undefined);
    const light = forecastLight(cooled, kitchen);
    const reckonedC = light.ok ? light.value.evaluated.byId.get(node)?.outs[0]?.tempC : undefined;
    return reckonedC === undefined || reckonedC >= readC
      ? []
      : [becoming(`Let it cool from ${sayC(readC)} to the ${sayC(reckonedC)} that are reckoned`, plan, cooled)];
  });
/** Cool, as lines are written down: nothing hotter than a hand. */
function cooledLines({ look: { plan } }: Around): Row {
  const hot = plan.batters.some((b) => b.lines.some((l) => (l.tempC ?? 0) > 35));
  const next: Plan = {
    ...plan,
    batters: plan.batters.map((b) => ({
      ...b,
      lines: b.lines.map((l) => ((l.tempC ?? 0) > 35 ? { ...l, tempC: 32 } : l)),
    })),
  };
  return hot ? [becoming('Take the liquid at 32 °C', plan, next)] : [];
}
/** Boiled for less long. */
function shorterBoil(x: Around): Row {
  const { plan, light } = x.look;
  return light
    ? [600, 480, 300, 180].map((s) =>
        becoming(`Boil for ${sayDuration(s)}`, plan, withWait(plan, x.about, s, light.resolved.larder)),
      )
    : [];
}

/** Ways out of what is wrong in the mixing. */
export const mixWays: Ways = {
  'empty-batter': (x) => [familysFlour(x)],
  'unknown-ingredient': (x) => [withoutIt(x, x.about || pathOf(x))],
  'absurd-amount': ({ look: { plan, light } }) => {
    if (!light || light.balance.massG <= 0) return [];
    const by = light.serves.neededG / light.balance.massG;
    return [[becoming(`As much as ${plan.guests} eat`, plan, scalePlan(plan, by))]];
  },
  'too-little': ({ look: { plan, light } }) => {
    if (!light) return [];
    const by = light.serves.neededG / light.balance.massG;
    const heads = Math.floor(light.balance.massG / light.serves.gramsAHead);
    return [
      [becoming(`+${sayGrams((by - 1) * light.balance.massG)} of everything`, plan, scalePlan(plan, by))],
      [
        becoming(
          `+${sayGrams((by - 1) * light.balance.massG)} of everything, in more of them`,
          plan,
          scalePlan({ ...plan, vesselCount: Math.min(60, Math.ceil(plan.vesselCount * by)) }, by),
        ),
      ],
      heads >= 1 ? [setting(`For ${heads}`, { guests: heads })] : [],
    ];
  },
  'yeast-too-hot': (x) => [cooledLines(x), cooler(x), notAsRead(x), schools(x, 'yeast')],
  'no-rise': (x) => [warmer(), notAsRead(x), cooledLines(x)],
  'never-thick': (x) => [lessLiquid(x), schools(x, 'intoPan')],
  'parboils-dry': (x) => [shorterBoil(x)],
  'stands-warm': (x) => [asUsual(x)],
  'raw-filling': ({ look: { plan }, about }) => [
    [
      setting(`Cook it to ${RAW_FILLING_C} °C`, {
        fillings: plan.fillings.map((f) => (f.id === about ? { ...f, safeC: RAW_FILLING_C } : f)),
      }),
    ],
  ],
  'sheet-tears': (x) => [sheets(x, -1)],
  'sheet-cracks': (x) => [sheets(x, 1), moreLiquid(x)],
};

/** More sheets of the same batter are thinner, fewer are thicker. */
function sheets({ look: { plan } }: Around, dir: 1 | -1): Row {
  return [0.1, 0.2, 0.35, 0.5, 0.8].flatMap((by) => {
    const n = Math.max(1, Math.round(plan.vesselCount * (1 + dir * by)));
    return n === plan.vesselCount || n > 60 ? [] : [setting(`${n} sheets of it`, { vesselCount: n })];
  });
}
/** Where the only one of its kind stands: a problem of which there is but one has no place in its name. */
function pathOf(x: Around): string {
  const { plan } = x.look;
  const larder = larderIn(x);
  const lists = [
    ...plan.batters.map((b, i) => [`batters.${i}.lines`, b.lines] as const),
    ['addIns', plan.addIns] as const,
    ...plan.fillings.map((f, i) => [`fillings.${i}.lines`, f.lines] as const),
  ];
  for (const [path, lines] of lists) {
    const i = lines.findIndex((l) => !larder.has(l.ingredient));
    if (i >= 0) return `${path}.${i}`;
  }
  return '';
}
