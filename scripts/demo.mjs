import { spawn } from 'node:child_process';
import { existsSync, statSync } from 'node:fs';
import { execFileSync } from 'node:child_process';
import { IDLE_LADLE, installPackages, run } from './ready.mjs';

/** One command from a fresh clone to a running demo: install, build, migrate, load the demo galley, start on 127.0.0.1. */
const port = process.env.PORT ?? '3000';
const host = process.env.HOST ?? '127.0.0.1';
const env = { IDLE_LADLE_PRACTICE: '1', IDLE_LADLE_DB: process.env.IDLE_LADLE_DB ?? 'data/demo.sqlite' };

await installPackages();

const builtAt =
  existsSync('.next/BUILD_ID') && existsSync('dist/idle-ladle.mjs') ? statSync('.next/BUILD_ID').mtimeMs : 0;
const changed = execFileSync(
  'git',
  ['ls-files', 'app', 'core', 'db', 'scripts', 'server', 'ui', 'workers', 'next.config.ts', 'package-lock.json'],
  { encoding: 'utf8' },
)
  .split('\n')
  .some((f) => f !== '' && existsSync(f) && statSync(f).mtimeMs > builtAt);
if (changed) run('node', ['scripts/build.mjs']);
run(process.execPath, [...IDLE_LADLE, 'migrate', '--demo'], { env });

const server = spawn(process.execPath, [...IDLE_LADLE, 'start'], {
  stdio: ['ignore', 'pipe', 'inherit'],
  env: { ...process.env, ...env, NODE_ENV: 'production', HOST: host, PORT: port },
});
server.stdout.on('data', (chunk) => {
  if (String(chunk).includes('Ready')) console.log(`\nIdle Ladle is at http://${host}:${port}\nStop it with Ctrl C.`);
});
server.on('exit', (code) => process.exit(code ?? 0));
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
