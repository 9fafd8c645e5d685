import { whole } from '../../units';
import { applyFix, gradeRank, type Advice } from '../../stations/mix';
import { rack } from './testing/faulty';
import { lookerIn } from './lookAt';
import { mindOf } from './mindOf';
import { movesOf, opposed } from './moves';
import { movedPlan } from './testing/movedPlan';
import { runs } from '../../testing/runs';
import fc from 'fast-check';

/** Each takes a second or more: the soak looks at five hundred. */
const PLANS = process.env.SOAK === '1' ? 500 : runs(15);

describe('over generated plans', () => {
  const rank = (a: Pick<Advice, 'grade'>) => gradeRank(a.grade);
  test('every way out clears its advice, raises nothing as grave, and none of two undoes the other', () => {
    let found = 0;
    let answered = 0;
    fc.assert(
      fc.property(movedPlan, (plan) => {
        const look = lookerIn(rack);
        const before = whole(look(plan));
        const ranks = before.concerns.map(rank);
        expect(ranks).toEqual(ranks.toSorted((x, y) => y - x));
        const minded = whole(mindOf(before, rack, look));
        for (const { advice, ways } of minded) {
          found++;
          if (ways.length > 0) answered++;
          for (const t of ways) {
            // What was shown is what comes: a new look at the plan as it then is says the same.
            const after = whole(lookerIn(rack)(applyFix(plan, t.fix)));
            expect(after.concerns).toEqual(t.look.concerns);
            expect(after.concerns.map((a) => a.id)).not.toContain(advice.id);
            const graver = after.concerns.filter(
              (x) => rank(x) >= rank(advice) && !before.concerns.some((y) => y.id === x.id && rank(y) >= rank(x)),
            );
            expect(graver.map((x) => `${advice.id} raised ${x.sentence}`)).toEqual([]);
          }
        }
        const moves = minded.map((m) => m.ways.map((t) => movesOf(plan, t.plan)));
        moves.forEach((mine, i) =>
          moves
            .slice(i + 1)
            .forEach((theirs) => mine.forEach((a) => theirs.forEach((b) => expect(opposed(a, b)).toBe(false)))),
        );
      }),
      { numRuns: PLANS, seed: 15 },
    );
    expect(found).toBeGreaterThan(PLANS / 2);
    // Most there is to mind has a way out at once; some wait for what is graver.
    expect(answered / found).toBeGreaterThan(0.8);
  });
});
