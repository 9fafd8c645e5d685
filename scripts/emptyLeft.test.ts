import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { emptyLeft } from './emptyLeft.mjs';

test('no default stands where nothing can be missing', () => {
  expect(emptyLeft(process.cwd())).toEqual([]);
}, 120_000);

test('a default of what is always there is found; of what may be missing, in a list or a record, it is not', () => {
  const folder = mkdtempSync(join(tmpdir(), 'idle-ladle-'));
  try {
    writeFileSync(join(folder, 'tsconfig.json'), '{"compilerOptions":{"strict":true,"lib":["ES2023"],"types":[]}}');
    writeFileSync(
      join(folder, 'a.ts'),
      `export const f = (p: { n: number; m?: number; of: { [k: string]: number }; list: number[] }) => [
         p.m ?? 1,
         p.of.x ?? 2,
         p.list[3] ?? 3,
         p.n ?? 4,
       ];`,
    );
    expect(emptyLeft(folder)).toEqual(['a.ts:5 p.n ?? 4']);
  } finally {
    rmSync(folder, { recursive: true });
  }
});
