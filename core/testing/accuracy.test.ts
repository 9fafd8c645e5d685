import { CASES, caseAccuracy, formulaAccuracy, off, STEAMED_FAMILIES } from './accuracy';
import { someOf } from './runs';

describe('time of steaming as shipped', () => {
  test.each(STEAMED_FAMILIES)('%s: half a percent of the same grid in steps of three seconds', (id) => {
    expect(Math.abs(off(formulaAccuracy(id)))).toBeLessThan(0.005);
  });
  // A third of a third a day: each takes up to a second.
  test.each(someOf(someOf(CASES), 1))(
    '%s, %s, %s m: one percent of a finer grid in steps of five seconds',
    (...one) => {
      expect(Math.abs(off(caseAccuracy(one)))).toBeLessThan(0.01);
    },
  );
});
