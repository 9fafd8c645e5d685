import { forecastLight, DEPTH_SD, type HeatForecast, type LightForecast } from '../../forecast';
import { POWER_SD, type Kitchen } from '../../kitchen';
import { withReading, type Plan, type ReadingPlace } from '../../plan';
import { figure, inSentence, type Figure, shortName, Z80 } from '../../units';
import { overWater } from '../../stations/steam';

/** How a measuring is done from where it is told: a reading of a step, a kettle test, a drain test, a cup weighed. */
export type MeasureBy =
  | {
      readonly by: 'reading';
      readonly place: ReadingPlace;
      readonly unit: 'g' | 'mm' | '°C';
      readonly expected: number;
    }
  | { readonly by: 'kettle' }
  | { readonly by: 'drain' }
  | { readonly by: 'cup'; readonly ingredient: string };

/** Half of the 10 to 90 % interval of a figure, before and after. */
export interface Narrowed {
  readonly from: number;
  readonly to: number;
}
export interface Measuring {
  readonly id: string;
  /** What to do, as a cook would say it: "weigh the juice of the white radish". */
  readonly words: string;
  readonly how: MeasureBy;
  /** Time of the first clean pick, s. */
  readonly minutes?: Narrowed;
  /** Salt, % of the whole cake. */
  readonly salt?: Narrowed;
  /** Liquid ÷ dry blend. */
  readonly hydration?: Narrowed;
  /** Thickness as it is poured, as a share of itself. */
  readonly thickness?: Narrowed;
}

/** From one standard deviation to half of the 10–90 % interval. */
/** What a cup poured the same way weighs from one time to the next, as a share: taken from a table, and weighed once. */
const CUP_SD = { default: 0.08, measured: 0.025 } as const;
/** A flour's thickness from the table, and after a drain test, as a share. */
const THICK_SD = { default: 0.4, measured: 0.12 } as const;
/** Read with a probe or a scale: °C, and as a share. */
const PROBE_C = 1;
const SCALE = 0.005;
/** Salt and hydration move a cake as much as a tenth of its minutes where they move by so much, % and as a share. */
const SALT_WEIGHS = 0.1;
const HYDRATION_WEIGHS = 0.05;
const THICKNESS_WEIGHS = 8;
/** Narrower by less than this share of the minutes is not worth the trouble. */
const WORTH = 0.0012;

const narrowed = (all: number, part: number, left: number): Narrowed => ({
  from: Z80 * all,
  to: Z80 * Math.sqrt(Math.max(0, all ** 2 - part ** 2 + (part * left) ** 2)),
});

interface Seen {
  readonly light: LightForecast;
  readonly plan: Plan;
  readonly kitchen: Kitchen;
  readonly likelyS: number;
  /** One standard deviation of the log of the time, all told. */
  readonly sigma: number;
  /** Log-time for a log of the depth. */
  readonly byDepth: number;
}

/** Minutes narrowed where a part of their spread shrinks to a share of itself. */
const minutesBy = ({ likelyS, sigma }: Seen, part: number, left: number): Narrowed | undefined => {
  if (!(likelyS > 0) || part <= 0) return undefined;
  const n = narrowed(sigma, part, left);
  return { from: likelyS * n.from, to: likelyS * n.to };
};

/** What salt, hydration and depth make of another reading, or of another plan. */
function against(seen: Seen, other: Plan) {
  const l = forecastLight(other, seen.kitchen);
  if (!l.ok || !(l.value.fill.depthM > 0) || !(seen.light.fill.depthM > 0)) return undefined;
  const { light } = seen;
  return {
    salt: Math.abs(l.value.balance.salt.pctOfTotal - light.balance.salt.pctOfTotal),
    hydration: Math.abs((l.value.balance.batters[0]?.liquidToDry ?? 0) - (light.balance.batters[0]?.liquidToDry ?? 0)),
    time: Math.abs(Math.log(l.value.fill.depthM / light.fill.depthM)) * seen.byDepth,
  };
}
const shown = (part: number, left: number, least: number): Narrowed | undefined =>
  part * Z80 < least ? undefined : { from: Z80 * part, to: Z80 * part * left };

const READ: Readonly<Record<string, (name: string) => string>> = {
  juiceG: (name) => `weigh the juice of the ${name}`,
  yieldG: (name) => `weigh what the ${name} gives`,
  uptakeG: (name) => `weigh the ${name} before and after its soak`,
};

/** Readings of steps before the pan: juice, yield, water taken up. */
function weighings(seen: Seen): readonly Measuring[] {
  const { light, plan } = seen;
  return light.evaluated.nodes.flatMap(({ node, figures }) =>
    Object.entries(figures).flatMap(([slot, f]): Measuring[] => {
      const say = READ[slot];
      if (!say || f.source !== 'default' || f.sd <= 0) return [];
      const place = { node: node.id, slot };
      const moved = against(seen, withReading(plan, place, f.value + f.sd));
      if (!moved) return [];
      const left = (SCALE * f.value) / f.sd;
      const about = light.flow.lines.find((l) => l.id === node.id.slice(node.id.indexOf(':') + 1))?.name ?? 'batter';
      return [
        {
          id: `${node.id}.${slot}`,
          words: say(inSentence(about.replace(/[,(].*/s, '').trim())),
          how: { by: 'reading', place, unit: 'g', expected: f.value },
          minutes: minutesBy({ ...seen, sigma: Math.hypot(seen.sigma, moved.time) }, moved.time, left),
          salt: shown(moved.salt, left, 0.03),
          hydration: shown(moved.hydration, left, 0.02),
        },
      ];
    }),
  );
}

/** The depth by a ruler and the batter by a probe, as it is in the pan. */
function atThePan(seen: Seen, heat: HeatForecast | undefined): readonly Measuring[] {
  const parts = overWater(heat)?.spread?.parts;
  const { light } = seen;
  if (!parts) return [];
  const { node, startC } = light.pour;
  const ruled = /^(pour|fill):/.test(node) && !light.fill.measured;
  return [
    ...(ruled
      ? [
          {
            id: 'depth',
            words: 'put a ruler in the batter in its pan',
            how: {
              by: 'reading' as const,
              place: { node, slot: 'depthMm' },
              unit: 'mm' as const,
              expected: light.fill.depthM * 1000,
            },
            minutes: minutesBy(seen, parts.depth, DEPTH_SD.measured / DEPTH_SD.default),
          },
        ]
      : []),
    ...(startC.source === 'default' && startC.sd > PROBE_C && node.startsWith('pour:')
      ? [
          {
            id: 'temp',
            words: 'put a probe in the batter as it is poured',
            how: {
              by: 'reading' as const,
              place: { node, slot: 'tempC' },
              unit: '°C' as const,
              expected: startC.value,
            },
            minutes: minutesBy(seen, parts.temp, PROBE_C / startC.sd),
          },
        ]
      : []),
  ];
}

/** The ring by a kettle. */
function ring(seen: Seen, heat: HeatForecast | undefined): readonly Measuring[] {
  const parts = overWater(heat)?.spread?.parts;
  if (!heat || !parts || heat.powerW.source !== 'default') return [];
  return [
    {
      id: 'power',
      words: `time a kettle on the ${inSentence(seen.light.resolved.ring.name).replace(/^the /, '')}`,
      how: { by: 'kettle' },
      minutes: minutesBy(seen, parts.power, POWER_SD.measured / POWER_SD.default),
    },
  ];
}

/** The main flour: its cup, where a cook measures by cups, and how thick it makes a batter. */
function flour(seen: Seen, byCups: boolean): readonly Measuring[] {
  const { light, plan, kitchen } = seen;
  const [main] = light.flow.lines
    .filter((l) => l.dry && l.role === 'batter' && l.massG > 0)
    .toSorted((a, b) => b.massG - a.massG);
  const ingredient = main && light.resolved.larder.get(main.ingredient);
  if (!main || !ingredient) return [];
  const name = inSentence(shortName(ingredient.name));
  const out: Measuring[] = [];
  if (byCups && kitchen.myCups[ingredient.id] === undefined) {
    const heavier: Plan = {
      ...plan,
      batters: plan.batters.map((b) => ({
        ...b,
        lines: b.lines.map((l) => (l.id === main.id ? { ...l, massG: l.massG * (1 + CUP_SD.default) } : l)),
      })),
    };
    const moved = against(seen, heavier);
    const left = CUP_SD.measured / CUP_SD.default;
    if (moved)
      out.push({
        id: `cup.${ingredient.id}`,
        words: `weigh one cup of your ${name}`,
        how: { by: 'cup', ingredient: ingredient.id },
        minutes: minutesBy({ ...seen, sigma: Math.hypot(seen.sigma, moved.time) }, moved.time, left),
        salt: shown(moved.salt, left, 0.03),
        hydration: shown(moved.hydration, left, 0.02),
      });
  }
  if (light.consistency[0]?.viscosityMPas !== undefined && ingredient.characterised?.drainTest !== true)
    out.push({
      id: 'drain',
      words: `let a spoon of the batter drain, for your ${name}`,
      how: { by: 'drain' },
      thickness: { from: Z80 * THICK_SD.default, to: Z80 * THICK_SD.measured },
    });
  return out;
}

/** How much a measuring is worth, in logs of the minutes. */
function worth(m: Measuring, likelyS: number): number {
  const by = (n: Narrowed | undefined) => (n ? n.from - n.to : 0);
  return Math.max(
    likelyS > 0 ? by(m.minutes) / likelyS : 0,
    (0.1 * by(m.salt)) / SALT_WEIGHS,
    (0.1 * by(m.hydration)) / HYDRATION_WEIGHS / 5,
    (0.1 * by(m.thickness)) / THICKNESS_WEIGHS,
  );
}

/**
 * Weighings and tests that narrow the forecast of a plan, the one that narrows it most first. Each figure that is not known moves by one standard
 * deviation through the models; measured, what it added to the spread shrinks to what the instrument leaves.
 * @param byCups the cook measures by cups
 */
export function measurings(
  light: LightForecast,
  heat: HeatForecast | undefined,
  kitchen: Kitchen,
  byCups = false,
): readonly Measuring[] {
  const spread = overWater(heat)?.spread;
  const clean: Figure = overWater(heat)?.times?.firstCleanPickS ?? figure(0);
  const seen: Seen = {
    light,
    plan: light.resolved.document,
    kitchen,
    likelyS: clean.value,
    sigma: clean.value > 0 ? clean.sd / clean.value : 0,
    byDepth: spread
      ? spread.parts.depth / Math.log(1 + (light.fill.measured ? DEPTH_SD.measured : DEPTH_SD.default))
      : 0,
  };
  return [...weighings(seen), ...atThePan(seen, heat), ...ring(seen, heat), ...flour(seen, byCups)]
    .map((m) => ({ m, w: worth(m, seen.likelyS) }))
    .filter(({ w }) => w > WORTH)
    .toSorted((a, b) => b.w - a.w)
    .map(({ m }) => m);
}
