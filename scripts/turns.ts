import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

/** In `npm test` each browser test comes round once in so many days; CI and the soak run all of them. */
export const TURNS = 14;
/** Jobs that every change must pass. */
const ALWAYS = [
  'from an empty kitchen to a finished batch in the notebook',
  'a lost answer is no conflict with oneself',
  'a plan is copied, deleted, and brought back',
];

/** A number of a text, the same on every machine. */
const numberOf = (text: string): number => [...text].reduce((n, c) => (n * 31 + c.charCodeAt(0)) >>> 0, 7);
const escaped = (text: string): string => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
/** A title as it stands in the source: what is filled in when it runs may be anything. */
const patternOf = (title: string): string =>
  title
    .split(/\$\{[^}]*\}/)
    .map(escaped)
    .join('.*');

/** The titles of a file of tests. */
const titlesOf = (source: string): readonly string[] =>
  [...source.matchAll(/^\s*test\(\s*(['"`])((?:(?!\1).)*)\1/gms)].map((m) => m[2]);

/**
 * Which browser tests are run today, as a pattern of their titles. Those of a file whose tests follow upon one another come together.
 * @param turn which of the turns it is
 */
export function testsOfTurn(folder: string, turn: number): RegExp {
  const chosen = readdirSync(folder)
    .filter((f) => f.endsWith('.spec.ts') && !f.startsWith('soak.'))
    .flatMap((f) => {
      const source = readFileSync(join(folder, f), 'utf8');
      const together = source.includes("mode: 'serial'");
      return titlesOf(source).filter(
        (t) => ALWAYS.includes(t) || numberOf(together ? f : t) % TURNS === ((turn % TURNS) + TURNS) % TURNS,
      );
    });
  return new RegExp(`(?:${chosen.map(patternOf).join('|')})`);
}
