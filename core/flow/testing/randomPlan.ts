import fc from 'fast-check';
import { FAMILIES, formulaOf } from '../../families';
import { INGREDIENT_TABLE } from '../../larder';
import { chooseSchool, TREATMENTS, type Line, type Plan, type SchoolQuestion } from '../../plan';

const ids = INGREDIENT_TABLE.map((i) => i.id);
const grams = fc.double({ min: 0, max: 1500, noNaN: true });

const someLine = fc.record({
  ingredient: fc.constantFrom(...ids),
  massG: grams,
  treatment: fc.constantFrom(...TREATMENTS),
  keptBack: fc.option(fc.double({ min: 0, max: 0.6, noNaN: true }), { nil: undefined }),
  drawSaltG: fc.option(fc.double({ min: 0, max: 40, noNaN: true }), { nil: undefined }),
  frySaltG: fc.option(fc.double({ min: 0, max: 5, noNaN: true }), { nil: undefined }),
  share: fc.option(fc.double({ min: 0, max: 1, noNaN: true }), { nil: undefined }),
  tempC: fc.option(fc.double({ min: 0, max: 100, noNaN: true }), { nil: undefined }),
});

/** For tests: a plan of any family, in any school, with lines changed, added and treated as no cook would. */
export const randomPlan: fc.Arbitrary<Plan> = fc
  .record({
    family: fc.constantFrom(...FAMILIES),
    picks: fc.array(fc.tuple(fc.nat(9), fc.nat(9)), { maxLength: 4 }),
    treatments: fc.array(fc.tuple(fc.nat(30), fc.constantFrom(...TREATMENTS)), { maxLength: 5 }),
    batterLines: fc.array(someLine, { maxLength: 4 }),
    addIns: fc.array(someLine, { maxLength: 4 }),
    filling: fc.array(someLine, { maxLength: 3 }),
    colour: fc.array(someLine, { maxLength: 2 }),
    wanted: fc.option(fc.double({ min: 0, max: 2500, noNaN: true }), { nil: undefined }),
    keepWanted: fc.boolean(),
    poured: fc.option(fc.double({ min: 0, max: 900, noNaN: true }), { nil: undefined }),
  })
  .map((r) => {
    let plan = formulaOf(r.family);
    const questions = Object.entries(r.family.schools);
    for (const [a, b] of r.picks) {
      if (questions.length === 0) break;
      const [q, school] = questions[a % questions.length];
      plan = chooseSchool(plan, q as SchoolQuestion, school.options[b % school.options.length].id);
    }
    let n = 0;
    const named = (l: object): Line => ({ ...l, id: `extra-${n++}` }) as Line;
    const all = plan.batters[0].lines.length + plan.addIns.length;
    const treated = (l: Line, i: number): Line => {
      const t = r.treatments.find(([at]) => at % all === i);
      return t ? { ...l, treatment: t[1] } : l;
    };
    const many = plan.batters[0].lines.length;
    return {
      ...plan,
      batters: plan.batters.map((b, i) =>
        i > 0
          ? b
          : {
              ...b,
              lines: [...b.lines.map(treated), ...r.batterLines.map(named)],
              wantedLiquidG: r.keepWanted ? b.wantedLiquidG : r.wanted,
              pouredOffG: r.poured,
            },
      ),
      addIns: [...plan.addIns.map((l, i) => treated(l, many + i)), ...r.addIns.map(named)],
      fillings:
        r.family.cooked === 'sheets' || r.family.cooked === 'pan-film'
          ? [{ id: 'f', name: 'F', doneness: 'ready' as const, lines: r.filling.map(named) }]
          : [],
      colours: plan.colours.map((c, i) =>
        i === 0 && r.family.cooked === 'layers' ? { ...c, lines: r.colour.map(named) } : c,
      ),
    };
  });
