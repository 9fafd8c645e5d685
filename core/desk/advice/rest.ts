import type { CoolingStage, Plan } from '../../plan';
import { sayC, sayDuration } from '../../units';
import { setting } from './becoming';
import { morePans } from './vessel';
import type { Around, Row, Ways } from './way.types';
import type { HeatForecast, LightForecast } from '../../forecast';
import type { Advice } from '../../stations/mix';
import { said } from './said';

export function restSees({ rest }: HeatForecast, { family }: LightForecast): readonly Advice[] {
  if (!rest) return [];
  const { check } = rest;
  if (!check.safe) return [said('cools-slow', 'unsafe', check.sentence)];
  if (check.rule === 'room' && check.eatByS !== undefined && rest.stagesEndS > check.eatByS)
    return [
      said(
        'left-out',
        'unsafe',
        `Left out for ${sayDuration(rest.stagesEndS)}, and ${sayDuration(check.eatByS)} after the steam is the limit: eat it sooner, or chill it. Local food codes rule.`,
      ),
    ];
  return rest.cutReadyAtS === undefined
    ? [
        said(
          'never-firm',
          'spoils',
          `As it is cooled its middle comes down to ${sayC(Math.min(...rest.curve.map((p) => p.centreC)))}, and it cuts clean at ${sayC(family.cutC)}.`,
        ),
      ]
    : [];
}

const ICE_STEPS_S = [2700, 5400, 8100, 10_800] as const;
const COUNTER_AT_MOST_S = 600;
const LEAST_CHILL_S = 7200;
/** Before it can be cut at all, s, and into how many portions. */
const FIRM_S = 1800;
const PORTIONS = [4, 8, 12, 16] as const;

const counter = (timeS: number): CoolingStage => ({ where: 'counter', timeS });
/** As long in the fridge as planned, two hours at least. */
const chill = (plan: Plan, more: Partial<CoolingStage> = {}): CoolingStage => ({
  where: 'fridge',
  timeS: Math.max(
    LEAST_CHILL_S,
    plan.cooling.reduce((a, s) => a + (s.where === 'fridge' ? s.timeS : 0), 0),
  ),
  ...more,
});
const early = (plan: Plan): CoolingStage[] => [counter(COUNTER_AT_MOST_S), chill(plan)];
const iced = (plan: Plan, s: number): CoolingStage[] => [
  counter(COUNTER_AT_MOST_S),
  { where: 'ice-bath', timeS: s },
  chill(plan),
];

/**
 * What cools a cake sooner: straight into the fridge, an ice bath of the fewest minutes that passes, portions laid apart, one pan more so that
 * it lies shallower, and both.
 */
function sooner(x: Around): readonly Row[] {
  const { plan } = x.look;
  const [another] = morePans(x);
  const count = another?.changes[0]?.what === 'plan' ? another.changes[0].set.vesselCount : undefined;
  return [
    [setting('Into the fridge after ten minutes', { cooling: early(plan) })],
    ICE_STEPS_S.map((s) => setting(`Ice bath for ${sayDuration(s)}, then the fridge`, { cooling: iced(plan, s) })),
    PORTIONS.map((n) =>
      setting(`Cut into ${n} portions once it is firm, laid apart in the fridge`, {
        cooling: [counter(FIRM_S), chill(plan, { pieces: n })],
      }),
    ),
    ...(count === undefined
      ? []
      : [
          [
            setting('One pan more, so that it lies shallower, then the fridge', {
              vesselCount: count,
              cooling: early(plan),
            }),
          ],
          ICE_STEPS_S.map((s) =>
            setting(`One pan more and an ice bath for ${sayDuration(s)}`, {
              vesselCount: count,
              cooling: iced(plan, s),
            }),
          ),
        ]),
  ];
}

/** Ways out of a cooling that is too slow, too long or too warm. */
export const restWays: Ways<'rest'> = {
  'cools-slow': sooner,
  'never-firm': sooner,
  'left-out': (x) => [
    [setting('Two hours on the counter, no more', { cooling: [counter(7200)] })],
    [setting('Into the fridge after an hour', { cooling: [counter(3600), chill(x.look.plan)] })],
    ...sooner(x),
  ],
};
