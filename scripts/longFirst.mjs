import Sequencer from '@jest/test-sequencer';

/**
 * What takes long and is seldom touched, the longest first, and each fourth of them together about as long: the solver against its oracles, and properties
 * over many generated plans. In `npm test` a quarter of them is run, another each day; all of them in continuous integration and the soak, and by
 * `npm run check` where what they look at was changed.
 */
export const LONG = [
  'core/mind/ways.test.ts',
  'core/mind/mind.test.ts',
  'core/physics.test.ts',
  'core/fuzz.test.ts',
  'core/flow/laws.test.ts',
  'core/steam/steam.test.ts',
  'core/start/newPlan.test.ts',
  'core/notebook/kitchenFor.test.ts',
  'core/notebook/kitchens.test.ts',
  'core/start/offer.test.ts',
  'core/clock.test.ts',
  'core/heat/conduct.test.ts',
  'core/rest/rest.test.ts',
  'core/stove/probe.test.ts',
  'core/steam/layers.test.ts',
  'scripts/forecast.test.ts',
  'core/truth/truth.test.ts',
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
