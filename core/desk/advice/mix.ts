import { type LightForecast, forecastLight } from '../../forecast';
import { familyOf } from '../../families';
import { type Plan, freshLineId, lineIds, scalePlan, withLines, withReading } from '../../plan';
import { withWait } from '../../flow';
import { RAW_FILLING_C, SHRIMP_C, WET_WARM, sayC, sayDuration, there } from '../../units';
import { isDryBlend } from '../../larder';
import { becoming, setting } from './becoming';
import { larderIn, lessLiquid, moreLiquid } from './amounts';
import type { Around, Row, Ways } from './way.types';
import type { Advice } from '../../stations/mix';
import { said } from './said';
import { none } from './way.types';
import { sheetForecast } from '../../stations/mix/sheet';

/** Rice and grain stand wet and warm at most so many times what is planned. */
const OVERLONG = 1.5;

/** What stands too long wet and warm: a soak, and a rise beyond what it needs. */
function standsWarm(light: LightForecast): readonly Advice[] {
  const { kitchen, plan } = light.resolved;
  return light.evaluated.nodes.flatMap((n) => {
    const [op, about] = [n.node.op, n.node.id.slice(n.node.id.indexOf(':') + 1)];
    if (op !== 'soak' && op !== 'ferment') return [];
    const placeC = op === 'ferment' ? (n.figures.placeC?.value ?? kitchen.roomC) : kitchen.roomC;
    const needsS = op === 'ferment' ? (n.figures.needsS?.value ?? 0) : 0;
    const mostS = Math.max(WET_WARM.mostS, OVERLONG * needsS);
    const waitS = Math.max(n.waitS, plan.waits[n.node.id] ?? 0);
    if (placeC < WET_WARM.fromC || waitS <= mostS) return [];
    const name =
      light.flow.lines
        .find((l) => l.id === about)
        ?.name.toLowerCase()
        .replace(/[,(].*/s, '')
        .trim() ?? 'batter';
    return [
      said(
        ['stands-warm', n.node.id],
        'unsafe',
        `The ${name} stands wet at ${Math.round(placeC)} °C for ${sayDuration(waitS)}: over ${sayDuration(mostS)} a poison can form that no cooking destroys. Chill it, or keep to what is planned; throw out what smells musty.`,
      ),
    ];
  });
}

/** Fillings that go in raw and are called done too soon. */
const rawFillings = ({ resolved: { plan } }: LightForecast): readonly Advice[] =>
  plan.fillings
    .filter((f) => f.doneness === 'raw' && f.lines.length > 0 && f.safeC < SHRIMP_C)
    .map((f) =>
      said(
        ['raw-filling', f.id],
        'unsafe',
        `${f.name} goes in raw and counts as done at ${f.safeC} °C: minced meat and egg want ${RAW_FILLING_C} °C in the middle, shrimp ${SHRIMP_C} °C.`,
      ),
    );

function ofSheet(light: LightForecast): readonly Advice[] {
  const sheet = sheetForecast(light);
  if (!sheet || (sheet.rolls && sheet.lifts)) return [];
  return [said(sheet.rolls ? 'sheet-tears' : 'sheet-cracks', 'spoils', sheet.sentence)];
}

export const mixSees = (light: LightForecast): readonly Advice[] => [
  ...standsWarm(light),
  ...rawFillings(light),
  ...ofSheet(light),
];

/** The flour and starch of the family's own formula, where a batter has none. */
function familysFlour(x: Around): Row {
  const { plan, light } = x.look;
  const family = familyOf(plan.family);
  if (!family.ok) return [];
  // As it is written: the schema that fills it in is not sent to a page that only wants to know what to mind.
  const shipped = family.value.formula();
  const larder = larderIn(x);
  let next = plan;
  plan.batters.forEach((b, i) => {
    if ((light?.balance.batters[i]?.dryBlendG ?? 0) > 0) return;
    const from = there(shipped.batters[i] ?? shipped.batters.at(-1));
    const kinds = from.lines.filter((l) => {
      const i = larder.get(l.ingredient);
      return i !== undefined && isDryBlend(i);
    });
    const batterG = b.lines.reduce((a, l) => a + l.massG, 0) + (b.wantedLiquidG ?? 0);
    const shippedG = from.lines.reduce((a, l) => a + l.massG, 0) + (from.wantedLiquidG ?? 0);
    const by = batterG > 0 && shippedG > 0 ? Math.min(4, Math.max(0.1, batterG / shippedG)) : 1;
    next = withLines(next, i, (lines) => [
      ...lines.filter((l) => !kinds.some((k) => k.ingredient === l.ingredient)),
      ...kinds.map((k) => ({
        treatment: 'as-is' as const,
        ...k,
        id: freshLineId(lineIds(next), k.ingredient),
        massG: Math.round(k.massG * by),
      })),
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
export const mixWays: Ways<'mix'> = {
  // Proposed where they are seen.
  'no-dry': none,
  blend: none,
  liquid: none,
  surplus: none,
  coconut: none,
  bean: none,
  sugar: none,
  yeast: none,
  powder: none,
  oil: none,
  alkali: none,
  'alkali-vessel': none,
  salt: none,
  'add-in': none,
  bits: none,
  binder: none,
  filling: none,

  'empty-batter': (x) => [familysFlour(x)],
  'absurd-amount': ({ look: { plan, light } }) => {
    if (!light || light.balance.massG <= 0) return [];
    const by = light.serves.neededG / light.balance.massG;
    return [[becoming(`As much as ${plan.guests} eat`, plan, scalePlan(plan, by))]];
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
