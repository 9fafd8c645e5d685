import Sequencer from '@jest/test-sequencer';

/**
 * What takes long and is seldom touched, each fourth of them together about as long: the solver against its oracles, properties over many generated
 * plans, and hundreds of writes. In `npm test` a quarter of them is run, another each day; all of them in continuous integration and the soak, and by
 * `npm run check` where what they look at was changed.
 */
export const LONG = [
  'db/trust.test.ts',
  'core/desk/advice/mind.test.ts',
  'core/desk/advice/ways.test.ts',
  'server/learn.test.ts',
  'core/forecast/fuzz.test.ts',
  'core/testing/truth/truth.test.ts',
  'core/desk/newPlan/newPlan.test.ts',
  'core/forecast/physics.test.ts',
  'core/work/notebook/kitchenFor.test.ts',
  'core/forecast/clock.test.ts',
  'core/model/steam/steam.test.ts',
  'scripts/forecast.test.ts',
  'core/desk/newPlan/offer.test.ts',
  'core/model/rest/rest.test.ts',
  'core/model/steam/layers.test.ts',
  'core/model/heat/conduct.test.ts',
  'core/work/stove/probe.test.ts',
  'core/flow/laws.test.ts',
  'core/work/notebook/kitchens.test.ts',
  'db/copy/copy.test.ts',
  'server/copies/copies.test.ts',
  'scripts/census.test.ts',
];
const rank = ({ path }) => {
  const at = LONG.findIndex((f) => path.endsWith(`/${f}`));
  return at < 0 ? LONG.length : at;
};

/** What takes longest begins first, so that nothing is waited for alone at the end; the rest goes by what it took the last time. */
export default class LongFirst extends Sequencer {
  async sort(tests) {
    return [...(await super.sort(tests))].sort((a, b) => rank(a) - rank(b));
  }
}
