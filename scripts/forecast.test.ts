import { spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buildSync } from 'esbuild';

const folder = mkdtempSync(join(tmpdir(), 'idle-ladle-cli-'));
const file = (name: string, text: string) => {
  const path = join(folder, name);
  writeFileSync(path, text);
  return path;
};
// Compiled once, not at every run.
const command = join(folder, 'forecast.mjs');
buildSync({
  entryPoints: ['scripts/forecast.ts'],
  bundle: true,
  platform: 'node',
  format: 'esm',
  outfile: command,
  logLevel: 'error',
});
const run = (...args: string[]) => {
  const done = spawnSync('node', [command, ...args], { encoding: 'utf8', maxBuffer: 1e8 });
  return {
    code: done.status,
    out: JSON.parse(done.stdout) as Record<string, unknown> & {
      problems?: { code: string; path: string; sentence: string }[];
    },
  };
};

test('a plan file gives the whole forecast as JSON and exit 0', () => {
  const { code, out } = run('examples/radish-loaf-drawn.json');
  expect(code).toBe(0);
  expect(Object.keys(out)).toEqual(
    expect.arrayContaining(['plan', 'balance', 'consistency', 'texture', 'fill', 'cut', 'heat', 'steps', 'cautions']),
  );
  expect(JSON.stringify(out)).not.toMatch(/undefined|NaN/);
});
test('a kitchen file changes the answer', () => {
  const high = run('examples/coconut-slab.json', '--no-fields', '--kitchen', file('k.json', '{"altitudeM": 3000}'));
  const low = run('examples/coconut-slab.json', '--no-fields');
  const t = (r: typeof low) => (r.out.heat as { steam: { times: { unlearnedS: number } } }).steam.times.unlearnedS;
  expect(t(high)).toBeGreaterThan(t(low));
});
test('a figure says why it is what it is; a path that names none is refused with what lies there', () => {
  const { code, out } = run('examples/coconut-slab.json', '--why', 'heat.steam.times.firstCleanPickS');
  expect(code).toBe(0);
  expect(out).toMatchObject({ path: 'heat.steam.times.firstCleanPickS', unit: 's', source: 'default' });
  expect(Object.keys(out)).toEqual(expect.arrayContaining(['law', 'inputs', 'spread']));
  expect(run('examples/coconut-slab.json', '--why', 'heat.steam.tmes')).toMatchObject({
    code: 2,
    out: { problems: [{ code: 'no-such-figure', path: 'heat.steam.tmes' }] },
  });
});
test('broken JSON, a missing file, a bad amount and a pan too small exit 2 with every problem', () => {
  expect(run(file('broken.json', '{"format": '))).toMatchObject({
    code: 2,
    out: { problems: [{ code: 'broken-json' }] },
  });
  expect(run('nowhere.json')).toMatchObject({ code: 2, out: { problems: [{ code: 'no-such-file' }] } });
  const plan = {
    format: 'idle-ladle/plan',
    version: 1,
    name: 'P',
    family: 'radish-slab',
    batters: [
      {
        id: 'a',
        name: 'A',
        lines: [
          { ingredient: 'rice-flour-fine', massG: 3000 },
          { ingredient: 'water', massG: 3000 },
        ],
      },
    ],
  };
  expect(run(file('big.json', JSON.stringify(plan)))).toMatchObject({
    code: 2,
    out: { problems: [{ code: 'pan-too-small', path: 'vessel' }] },
  });
  expect(run(file('bad.json', JSON.stringify({ ...plan, name: '', guests: 0 }))).out.problems).toHaveLength(2);
});
