import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { census } from './testing/census.mjs';

describe('the project', () => {
  let project: ReturnType<typeof census>;
  beforeAll(() => {
    project = census(process.cwd());
  }, 60_000);

  test('no default stands where nothing can be missing', () => {
    expect(project.emptyLeft()).toEqual([]);
  }, 120_000);

  /** What reckons over arrays of numbers that it made itself, and the account of grams; programs of this machine. */
  const KERNELS =
    /^(core\/(model|flow)|scripts)\/|^core\/work\/(notebook\/learnTimes|stove\/probe)\.ts$|^ui\/section\/fieldImage\.ts$/;
  test('outside of the kernels nothing is taken for there that a list or a record may not hold', () => {
    expect(project.unchecked((file) => KERNELS.test(file))).toEqual([]);
  }, 240_000);

  test('a first look at a plan brings no validator, no solver and nothing of the library’s components', () => {
    const brought = project.brought('ui/bench/PlanBench.tsx');
    expect(brought.size).toBeGreaterThan(200);
    const not =
      /[sS]chema\.ts$|readPlan|^core\/model\/heat\/(conduct|sweep)\.ts$|^ui\/kit\/(Ground|FormDialog|Toast)\.tsx$/;
    expect([...brought].filter(([file]) => not.test(file)).map(([, way]) => way)).toEqual([]);
  }, 120_000);

  /** Of a format and its version it is enough that they are there. */
  const NAMED = ['planFields.format', 'planFields.version', 'kitchenFields.format', 'kitchenFields.version'];
  /** Waits for what reads it: a second cut of a line and its share, and the tool that it is cut with; a colour that colours. */
  const TO_COME = ['lineCutSchema.also', 'optional.form', 'optional.share', 'grate.tool', 'colour.name'];
  test('what a document’s schema has is read', () => {
    const found = project.unread((file) => /^core\/(plan|larder|kitchen)\/\w*[sS]chema\.ts$/.test(file));
    expect(found.filter((f) => !NAMED.includes(f) && !TO_COME.includes(f))).toEqual([]);
  }, 120_000);
  /** How a soak goes is handed on as a whole. */
  const HANDED = ['soak.uptake', 'soak.tauS', 'slake.uptake', 'slake.tauS'];
  test('what an operation is told, it is asked for', () => {
    const found = project.unread((file, of) => file === 'core/flow/operations.ts' && of === 'Settings');
    // The operations themselves are the keys of their tables.
    const own = found.filter((f) => !f.startsWith('Settings.'));
    expect(own.filter((f) => !HANDED.includes(f) && !TO_COME.includes(f))).toEqual([]);
  }, 120_000);
});

/** A small project of one file. */
function small<T>(text: string, of: (c: ReturnType<typeof census>) => T): T {
  const folder = mkdtempSync(join(tmpdir(), 'idle-ladle-'));
  try {
    writeFileSync(join(folder, 'tsconfig.json'), '{"compilerOptions":{"strict":true,"lib":["ES2023"],"types":[]}}');
    writeFileSync(join(folder, 'a.ts'), text);
    return of(census(folder));
  } finally {
    rmSync(folder, { recursive: true });
  }
}

test('a default of what is always there is found; of what may be missing, in a list or a record, it is not', () => {
  const text = `export const f = (p: { n: number; m?: number; of: { [k: string]: number }; list: number[] }) => [
    p.m ?? 1,
    p.of.x ?? 2,
    p.list[3] ?? 3,
    p.n ?? 4,
  ];`;
  expect(small(text, (c) => c.emptyLeft())).toEqual(['a.ts:5 p.n ?? 4']);
});
test('a field that nothing reads is found, however others are read: by name, taken apart, or below another', () => {
  const text = `interface Cake { a: number; b: number; c: { d: number; e: number } }
    export const f = ({ b, ...rest }: Cake) => b + rest.c.d;
    export const made: Cake = { a: 1, b: 2, c: { d: 3, e: 4 } };`;
  expect(small(text, (c) => c.unread((_, of) => of === 'Cake'))).toEqual(['Cake.a', 'c.e']);
});

test('a place of a list that may be empty is found where it is used as if it were not', () => {
  const text = `const a: readonly string[] = [];
export const [long, safe] = [a[0].length, a[0]?.length];`;
  expect(small(text, (c) => c.unchecked(() => false))).toEqual([expect.stringMatching(/^a\.ts:2 .*undefined/)]);
  expect(small(text, (c) => c.unchecked(() => true))).toEqual([]);
});
