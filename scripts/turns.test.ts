import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { hasTurn, LONG, LONG_TURNS, longOfOtherTurns, testsOfTurn, TURNS } from './turns.mjs';

const titles = readdirSync('e2e')
  .filter((f) => f.endsWith('.spec.ts') && !f.startsWith('soak.'))
  .flatMap((f) =>
    [...readFileSync(join('e2e', f), 'utf8').matchAll(/^\s*test\(\s*(['"`])((?:(?!\1).)*)\1/gms)].map((m) => ({
      file: f,
      title: m[2].replace(/\$\{[^}]*\}/g, 'something'),
    })),
  );

test('in as many days as there are turns every browser test is run, and those of one story are run together', () => {
  const turns = Array.from({ length: TURNS }, (_, i) => testsOfTurn('e2e', 20_000 + i));
  expect(titles.length).toBeGreaterThan(80);
  const ofFile = (f: string) => titles.filter((t) => t.file === f);
  for (const f of new Set(titles.map((t) => t.file)))
    expect([f, turns.map((_, i) => hasTurn('e2e', f, 20_000 + i))]).toEqual([
      f,
      turns.map((t) => ofFile(f).some(({ title }) => t.test(title))),
    ]);
  for (const { title } of titles) expect([title, turns.some((t) => t.test(title))]).toEqual([title, true]);
  const stove = titles.filter((t) => t.file === 'galley.stove.spec.ts');
  const days = turns.filter((t) => stove.every((s) => t.test(s.title)));
  expect(days.length).toBeGreaterThan(0);
  for (const t of turns.filter((x) => !days.includes(x)))
    expect(stove.filter((s) => t.test(s.title)).length).toBeLessThan(stove.length);
});

test('of four turns in a row each long browser test is left out by three, one that is not long by none, and none of a file that was changed lately', () => {
  const turns = Array.from({ length: LONG_TURNS }, (_, i) => 3_000_000_000 + i);
  const left = turns.map((t) => longOfOtherTurns('e2e', t, new Set()));
  for (const { title } of titles) {
    expect([title, left.filter((l) => l.test(`${title} ${LONG}`)).length]).toEqual([title, LONG_TURNS - 1]);
    expect([title, left.some((l) => l.test(title))]).toEqual([title, false]);
  }
  const late = turns.map((t) => longOfOtherTurns('e2e', t, new Set(['e2e/galley.mix.spec.ts'])));
  for (const { file, title } of titles)
    expect([title, late.filter((l) => l.test(`${title} ${LONG}`)).length]).toEqual([
      title,
      file === 'galley.mix.spec.ts' ? 0 : LONG_TURNS - 1,
    ]);
  const all = longOfOtherTurns('e2e', turns[0], new Set(titles.map((t) => `e2e/${t.file}`)));
  expect(titles.some((t) => all.test(`${t.title} ${LONG}`))).toBe(false);
});
