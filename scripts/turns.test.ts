import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { testsOfTurn, TURNS } from './turns';

test('in as many days as there are turns every browser test is run, and those of one story are run together', () => {
  const turns = Array.from({ length: TURNS }, (_, i) => testsOfTurn('e2e', 20_000 + i));
  const titles = readdirSync('e2e')
    .filter((f) => f.endsWith('.spec.ts') && !f.startsWith('soak.'))
    .flatMap((f) =>
      [...readFileSync(join('e2e', f), 'utf8').matchAll(/^\s*test\(\s*(['"`])((?:(?!\1).)*)\1/gms)].map((m) => ({
        file: f,
        title: m[2].replace(/\$\{[^}]*\}/g, 'something'),
      })),
    );
  expect(titles.length).toBeGreaterThan(80);
  for (const { title } of titles) expect([title, turns.some((t) => t.test(title))]).toEqual([title, true]);
  const stove = titles.filter((t) => t.file === 'galley.stove.spec.ts');
  const days = turns.filter((t) => stove.every((s) => t.test(s.title)));
  expect(days.length).toBeGreaterThan(0);
  for (const t of turns.filter((x) => !days.includes(x)))
    expect(stove.filter((s) => t.test(s.title)).length).toBeLessThan(stove.length);
});
