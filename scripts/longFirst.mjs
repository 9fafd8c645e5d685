import Sequencer from '@jest/test-sequencer';

/**
 * What takes long and is seldom touched, each fourth of them together about as long: the solver against its oracles, properties over many generated
 * plans, and hundreds of writes. In `npm test` a quarter of them is run, another each day; all of them in continuous integration and the soak, and by
 * `npm run check` where what they look at was changed.
 */
export const LONG = [
  'db/trust.test.ts',
  'core/mind/mind.test.ts',
  'core/mind/ways.test.ts',
  'server/learn.test.ts',
  'core/fuzz.test.ts',
  'core/truth/truth.test.ts',
  'core/start/newPlan.test.ts',
  'core/physics.test.ts',
  'core/notebook/kitchenFor.test.ts',
  'core/clock.test.ts',
  'core/steam/steam.test.ts',
  'scripts/forecast.test.ts',
  'core/start/offer.test.ts',
  'core/rest/rest.test.ts',
  'core/steam/layers.test.ts',
  'core/heat/conduct.test.ts',
  'core/stove/probe.test.ts',
  'core/flow/laws.test.ts',
  'core/notebook/kitchens.test.ts',
  'db/copy/copy.test.ts',
  'server/copies/copies.test.ts',
  'scripts/emptyLeft.test.ts',
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
