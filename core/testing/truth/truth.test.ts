import { readFileSync } from 'node:fs';
import { ratioTable, truthPage, truthTable } from '.';

const rows = truthTable();
const ratios = ratioTable();

test.each(rows.map((r) => [`${r.row.cake}, ${r.row.depth} mm`, r] as const))(
  '%s: in its band widened by 1.2, or it is said why not',
  (_, { verdict, row }) => {
    // A row that is said to miss and does not is as stale as one that misses unsaid.
    expect(verdict === 'out').toBe(row.misses !== undefined);
  },
);
test('at most a third of the rows miss', () =>
  expect(rows.filter((r) => r.verdict === 'out').length).toBeLessThan(rows.length / 3));
test.each(ratios.map((r) => [r.what, r] as const))('%s', (_, r) => expect(r.verdict).not.toBe('out'));
test('the page in the docs is what is forecast now', () =>
  expect(readFileSync('docs/truth.md', 'utf8')).toBe(truthPage(rows, ratios)));
