import { expect, test } from '@playwright/test';
import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { LONG } from './helpers';

const folder = mkdtempSync(join(tmpdir(), 'idle-ladle-start-'));
test.afterAll(() => rmSync(folder, { recursive: true, force: true }));

interface Started {
  readonly child: ChildProcess;
  readonly said: () => string;
  readonly ended: Promise<number | null>;
}
function start(db: string, port: number): Started {
  const child = spawn(process.execPath, ['dist/idle-ladle.mjs'], {
    stdio: ['ignore', 'pipe', 'pipe'],
    env: { ...process.env, NODE_ENV: 'production', IDLE_LADLE_DB: db, PORT: String(port), HOST: '127.0.0.1' },
  });
  let said = '';
  for (const out of [child.stdout, child.stderr]) out.on('data', (x) => (said += String(x)));
  return { child, said: () => said, ended: new Promise((done) => child.on('exit', done)) };
}

test('what stands in the way of a start is told in one sentence', { tag: LONG }, async ({ baseURL }) => {
  const text = join(folder, 'letter.sqlite');
  writeFileSync(text, 'This is a letter. '.repeat(500));
  const damaged = start(text, 3991);
  expect(await damaged.ended).toBe(1);
  expect(damaged.said()).toMatch(/The database .*letter\.sqlite is damaged or is not a database; it was left as it is/);
  expect(damaged.said()).not.toMatch(/\n\s+at /);
  // The kitchen of these tests listens there.
  const taken = start(join(folder, 'other.sqlite'), Number(new URL(baseURL ?? '').port));
  expect(await taken.ended).toBe(1);
  expect(taken.said()).toMatch(/Port \d+ of 127\.0\.0\.1 is in use, perhaps by another Idle Ladle/);
  expect(taken.said()).not.toMatch(/\n\s+at /);
});

test('it stops gracefully when asked, the terminal it was started from being gone', { tag: LONG }, async () => {
  const { child, said, ended } = start(join(folder, 'stops.sqlite'), 3992);
  await expect.poll(said).toContain('Ready');
  child.stdout?.destroy();
  child.stderr?.destroy();
  expect((await fetch('http://127.0.0.1:3992/')).status).toBe(200);
  child.kill('SIGTERM');
  expect(await ended).toBe(0);
});
