import fc from 'fast-check';
import { FAMILIES, formulaOf } from '../families';
import { mergePlans } from './mergePlans';
import { planSchema, type Plan } from './schema';

const base = formulaOf(FAMILIES[1]);
const grams = (p: Plan, line: string, massG: number): Plan => ({
  ...p,
  batters: p.batters.map((b) => ({ ...b, lines: b.lines.map((l) => (l.id === line ? { ...l, massG } : l)) })),
});
const massOf = (p: Plan, line: string) => p.batters[0].lines.find((l) => l.id === line)?.massG;
const [rice, salt] = base.batters[0].lines.map((l) => l.id);

test('what does not touch is kept of both, whoever is preferred', () => {
  const mine = { ...grams(base, rice, 333), notes: 'mine' };
  const theirs = { ...grams(base, salt, 7.5), guests: 31, cooling: [] };
  for (const prefer of ['mine', 'theirs'] as const) {
    const { plan, clashes } = mergePlans(base, mine, theirs, prefer);
    expect(clashes).toEqual([]);
    expect([massOf(plan, rice), massOf(plan, salt), plan.guests, plan.notes, plan.cooling]).toEqual([
      333,
      7.5,
      31,
      'mine',
      [],
    ]);
  }
});
test('where both touched the same thing only that is chosen, and told', () => {
  const mine = { ...grams(base, rice, 333), guests: 12 };
  const theirs = { ...grams(base, rice, 444), notes: 'theirs' };
  const by = (prefer: 'mine' | 'theirs') => mergePlans(base, mine, theirs, prefer);
  expect(by('mine').clashes).toEqual([`batters.${base.batters[0].id}.lines.${rice}.massG`]);
  expect([massOf(by('mine').plan, rice), by('mine').plan.guests, by('mine').plan.notes]).toEqual([333, 12, 'theirs']);
  expect([massOf(by('theirs').plan, rice), by('theirs').plan.guests]).toEqual([444, 12]);
});
test('lines that each added are both there; one taken out by one and untouched by the other is out; touched, it is asked about', () => {
  const add = (p: Plan, id: string): Plan => ({
    ...p,
    batters: p.batters.map((b) => ({ ...b, lines: [...b.lines, { ...b.lines[0], id, ingredient: 'tapioca' }] })),
  });
  const drop = (p: Plan, id: string): Plan => ({
    ...p,
    batters: p.batters.map((b) => ({ ...b, lines: b.lines.filter((l) => l.id !== id) })),
  });
  const both = mergePlans(base, drop(add(base, 'x'), rice), add(base, 'y'), 'mine');
  expect(both.clashes).toEqual([]);
  const ids = both.plan.batters[0].lines.map((l) => l.id);
  expect([ids.includes('x'), ids.includes('y'), ids.includes(rice)]).toEqual([true, true, false]);
  expect(mergePlans(base, drop(base, rice), grams(base, rice, 5), 'theirs')).toMatchObject({
    clashes: [expect.any(String)],
  });
});
test('of any two changes: one alone is that change, two alike are one, and what comes out is a plan', () => {
  const change = fc.record(
    {
      guests: fc.integer({ min: 1, max: 400 }),
      notes: fc.string({ maxLength: 20 }),
      heat: fc.constantFrom('gentle' as const, 'medium' as const, 'strong' as const),
      layers: fc.integer({ min: 1, max: 12 }),
      rice: fc.integer({ min: 1, max: 900 }),
      salt: fc.integer({ min: 0, max: 30 }),
      cut: fc.constantFrom(undefined, base.cut),
    },
    { requiredKeys: [] },
  );
  const made = ({
    rice: r,
    salt: s,
    ...rest
  }: Partial<Plan> & { readonly rice?: number; readonly salt?: number }): Plan => {
    let p: Plan = { ...base, ...rest };
    if (r !== undefined) p = grams(p, rice, r);
    if (s !== undefined) p = grams(p, salt, s);
    return p;
  };
  const plain = (p: Plan) => JSON.parse(JSON.stringify(p)) as unknown;
  fc.assert(
    fc.property(change, change, fc.constantFrom('mine' as const, 'theirs' as const), (a, b, prefer) => {
      const [mine, theirs] = [made(a), made(b)];
      expect(plain(mergePlans(base, mine, base, prefer).plan)).toEqual(plain(mine));
      expect(plain(mergePlans(base, base, theirs, prefer).plan)).toEqual(plain(theirs));
      expect(plain(mergePlans(base, mine, mine, prefer).plan)).toEqual(plain(mine));
      const { plan, clashes } = mergePlans(base, mine, theirs, prefer);
      expect(planSchema.safeParse(plan).success).toBe(true);
      if (clashes.length === 0) expect(plain(mergePlans(base, theirs, mine, prefer).plan)).toEqual(plain(plan));
    }),
    { seed: 5, numRuns: 200 },
  );
});
