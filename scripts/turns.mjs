import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

/** In `npm test` each browser test comes round once in so many days. */
export const TURNS = 21;
/**
 * In continuous integration a long one comes with one commit in so many on average (a commit's number is as good as drawn), the others each time. The
 * soak runs all of them.
 */
export const LONG_TURNS = 4;
/** Behind the title of a test that takes long; the core of it has unit tests. */
export const LONG = '@long';
/** Jobs that every change must pass. */
const ALWAYS = [
  'from an empty kitchen to a finished batch in the notebook',
  'a lost answer is no conflict with oneself',
  'a plan is copied, deleted, and brought back',
];

/** A number of a text, the same on every machine. */
const numberOf = (text) => [...text].reduce((n, c) => (n * 31 + c.charCodeAt(0)) >>> 0, 7);
const escaped = (text) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
/** A title as it stands in the source: what is filled in when it runs may be anything. */
const patternOf = (title) =>
  title
    .split(/\$\{[^}]*\}/)
    .map(escaped)
    .join('.*');

/** The titles of a file of tests. */
const titlesOf = (source) => [...source.matchAll(/^\s*test\(\s*(['"`])((?:(?!\1).)*)\1/gms)].map((m) => m[2]);

/** The tests that are kept, as a pattern of their titles. @param keeps by name and turn; those of a file whose tests follow upon one another have one */
function patternOfKept(folder, turns, keeps) {
  const kept = readdirSync(folder)
    .filter((f) => f.endsWith('.spec.ts') && !f.startsWith('soak.'))
    .flatMap((f) => {
      const source = readFileSync(join(folder, f), 'utf8');
      const together = source.includes("mode: 'serial'");
      return titlesOf(source).filter((t) => keeps(t, numberOf(together ? f : t) % turns, f));
    });
  return kept.length > 0 ? `(?:${kept.map(patternOf).join('|')})` : '(?!)';
}
const among = (turn, turns) => ((turn % turns) + turns) % turns;

/** Which browser tests `npm test` runs. @param turn which of the turns it is */
export const testsOfTurn = (folder, turn) =>
  new RegExp(patternOfKept(folder, TURNS, (title, its) => ALWAYS.includes(title) || its === among(turn, TURNS)));

/** Which long browser tests continuous integration leaves to another turn: never those of a file that was changed lately. */
export const longOfOtherTurns = (folder, turn, late) => {
  const others = patternOfKept(
    folder,
    LONG_TURNS,
    (_, its, file) => its !== among(turn, LONG_TURNS) && !late.has(`${folder}/${file}`),
  );
  return new RegExp(`${others}.*${LONG}`);
};

/** Whether `npm test` runs any test of a file. @param turn which of the turns it is */
export const hasTurn = (folder, file, turn) => {
  const its = testsOfTurn(folder, turn);
  return titlesOf(readFileSync(join(folder, file), 'utf8')).some((t) => its.test(t));
};
