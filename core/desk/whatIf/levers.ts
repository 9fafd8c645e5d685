import { wayOf } from '../../families';
import { bandsFor } from '../../stations/mix';
import type { LightForecast } from '../../forecast';
import { steamPower, HEATS, type Hob } from '../../kitchen';
import { scalePlan, weighed, type Line, type Plan } from '../../plan';
import { type Band, there } from '../../units';
import { volumeAtDepth } from '../../model/vessel';

/** One quantity of a plan that can be turned up or down on its own. */
export const LEVERS = ['depth', 'hydration', 'tapioca', 'sugar', 'power'] as const;
export type LeverId = (typeof LEVERS)[number];

export interface Lever {
  readonly id: LeverId;
  readonly name: string;
  readonly unit: string;
  readonly decimals: number;
  /** As it stands. */
  readonly now: number;
  /** From where to where it is tried. */
  readonly range: Band;
  /** Where the family usually lies; undefined where it has no such band. */
  readonly band: Band | undefined;
}

/** Wider than the band by this share of it at either end, and always past where the plan stands. */
const BEYOND = 0.35;
/** And never under this share of its lower end. */
const LEAST = 0.5;
const rangeOf = (band: Band, now: number, most: number): Band => {
  const width = Math.max(band[1] - band[0], 0.1 * band[1]);
  return [
    Math.max(LEAST * band[0], Math.min(band[0] - BEYOND * width, now * 0.9)),
    Math.min(most, Math.max(band[1] + BEYOND * width, now * 1.1)),
  ];
};

const kindOf = (light: LightForecast, l: Pick<Line, 'ingredient'>) => light.resolved.larder.get(l.ingredient)?.kind;
/** Grams of the first batter's lines of a kind, as its flow has them. */
const gramsOf = (light: LightForecast, test: (l: LightForecast['flow']['lines'][number]) => boolean): number =>
  light.flow.lines
    .filter((l) => l.role === 'batter' && l.group === light.balance.batters[0]?.id && !l.id.includes('/') && test(l))
    .reduce((a, l) => a + l.massG, 0);

/** The value of a quantity in a plan; undefined where it has none. */
export function leverNow(light: LightForecast, id: LeverId): number | undefined {
  const first = there(light.balance.batters[0]);
  const { ring, plan } = light.resolved;
  switch (id) {
    case 'depth':
      return light.fill.depthM > 0 ? light.fill.depthM * 1000 : undefined;
    case 'hydration':
      return first.liquidToDry > 0 ? first.liquidToDry : undefined;
    case 'tapioca':
      return first.dryBlendG > 0 ? 100 * (first.shares.tapioca ?? 0) : undefined;
    case 'sugar':
      return first.dryBlendG > 0 ? (100 * gramsOf(light, (l) => l.kind === 'sugar')) / first.dryBlendG : undefined;
    case 'power':
      return plan.heatPhases.length === 0 ? steamPower(ring, plan.heat).value / 1000 : undefined;
  }
}

/** The quantities of a plan that can be tried, those that its family knows first. */
export function leversOf(light: LightForecast): readonly Lever[] {
  const { family, resolved, fill } = light;
  const bands = bandsFor(family, resolved.plan, 0);
  const lever = (id: LeverId, name: string, unit: string, decimals: number, band: Band | undefined, most: number) => {
    const now = leverNow(light, id);
    if (now === undefined) return [];
    const wide = band ?? [0.7 * now, 1.3 * now];
    return [{ id, name, unit, decimals, now, band, range: rangeOf(wide, now, most) }];
  };
  const steamed = wayOf(family).overSteam;
  return [
    ...lever(
      'depth',
      'depth',
      'mm',
      family.depthMm[1] < 12 ? 1 : 0,
      family.depthMm,
      ((fill.brimMl > 0 ? resolved.vessel.heightM : 1) * 970) / fill.rise,
    ),
    ...lever('hydration', 'hydration', ': 1', 2, bands.liquidToDry, 12),
    ...lever('tapioca', 'tapioca in the flours', '%', 0, bands.blend.tapioca ?? [0, 30], 100),
    ...(bands.sugarOfDry ? lever('sugar', 'sugar to flour', '%', 0, bands.sugarOfDry, 200) : []),
    ...(steamed
      ? lever(
          'power',
          'steam power',
          'kW',
          2,
          [steamPower(resolved.ring, 'gentle').value / 1000, steamPower(resolved.ring, 'strong').value / 1000],
          4,
        )
      : []),
  ];
}

const firstBatter = (plan: Plan, change: (b: Plan['batters'][number]) => Plan['batters'][number]): Plan => ({
  ...plan,
  batters: plan.batters.map((b, i) => (i === 0 ? change(b) : b)),
});
/** Lines that pass a test scaled by a factor. */
const scaledBy = (lines: readonly Line[], by: number, test: (l: Line) => boolean): Line[] =>
  lines.map((l) => (test(l) ? weighed(l, l.massG * by) : l));
const added = (lines: readonly Line[], ingredient: string, massG: number): Line[] =>
  massG > 0 ? [...lines, { id: `tried-${ingredient}`, ingredient, massG, treatment: 'as-is' }] : [...lines];

/**
 * A plan with one quantity as asked and the rest as it was: the depth by more or less of everything, hydration by its liquids, tapioca by what it
 * takes the place of, sugar by itself, power by the ring.
 * @param value in the lever's own unit
 */
export function withLever(light: LightForecast, id: LeverId, value: number): Plan {
  const { document: plan, vessel, ring, hob } = light.resolved;
  const first = there(light.balance.batters[0]);
  const now = leverNow(light, id);
  switch (id) {
    case 'depth': {
      const by = volumeAtDepth(vessel, value / 1000) / Math.max(light.fill.volumeEachMl, 1e-9);
      const { depthMm: _ruled, ...pour } = plan.readings['pour:cake'] ?? {};
      return { ...scalePlan(plan, by), readings: { ...plan.readings, 'pour:cake': pour } };
    }
    case 'hydration': {
      const own = gramsOf(light, (l) => l.kind === 'liquid') + first.topUpG;
      const by = own > 0 ? Math.max(0, own + (value - first.liquidToDry) * first.dryBlendG) / own : 1;
      const liquid = (l: Line) => kindOf(light, l) === 'liquid';
      return firstBatter(plan, (b) => ({
        ...b,
        lines: scaledBy(b.lines, by, liquid),
        ...(b.wantedLiquidG === undefined
          ? {}
          : { wantedLiquidG: Math.max(0, b.wantedLiquidG + (value - first.liquidToDry) * first.dryBlendG) }),
      }));
    }
    case 'tapioca': {
      const is = first.shares.tapioca ?? 0;
      const to = Math.min(0.999, Math.max(0, value / 100));
      const dry = (l: Line) => ['flour', 'starch', 'grain'].includes(kindOf(light, l) ?? '');
      const others = is < 0.999 ? (1 - to) / (1 - is) : 1;
      return firstBatter(plan, (b) => {
        const rest = scaledBy(b.lines, others, (l) => dry(l) && l.ingredient !== 'tapioca');
        return {
          ...b,
          lines:
            is > 0
              ? scaledBy(rest, to / is, (l) => l.ingredient === 'tapioca')
              : added(rest, 'tapioca', to * first.dryBlendG),
        };
      });
    }
    case 'sugar': {
      const sugar = (l: Line) => kindOf(light, l) === 'sugar';
      const toG = (value / 100) * first.dryBlendG;
      return firstBatter(plan, (b) => ({
        ...b,
        lines: (now ?? 0) > 0 ? scaledBy(b.lines, value / (now ?? value), sugar) : added(b.lines, 'white-sugar', toG),
      }));
    }
    case 'power': {
      const tried: Hob = {
        ...hob,
        rings: hob.rings.map((r) =>
          r.id === ring.id ? { ...r, measuredPowerW: { ...r.measuredPowerW, [plan.heat]: 1000 * value } } : r,
        ),
      };
      return { ...plan, hob: tried };
    }
  }
}

/** The same as a change that a cook can take: of power, the heat on the dial that comes nearest. */
export function takeLever(light: LightForecast, id: LeverId, value: number): Plan {
  if (id !== 'power') return withLever(light, id, value);
  const { ring, document: plan } = light.resolved;
  const off = (h: (typeof HEATS)[number]) => Math.abs(steamPower(ring, h).value - 1000 * value);
  return { ...plan, heat: HEATS.reduce((a, b) => (off(b) < off(a) ? b : a)) };
}
