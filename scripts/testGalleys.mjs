import { spawn } from 'node:child_process';
import { copyFileSync, rmSync } from 'node:fs';
import { createServer } from 'node:http';
import { join } from 'node:path';
import { IDLE_LADLE } from './ready.mjs';

/**
 * The kitchens of the browser tests, all at once: an empty one and copies of the demo galley, each on a database file of its own. The
 * first port answers when all of them do. Arguments: folder of the databases, that port, then a port for each kitchen, `empty` before the
 * port of the empty one.
 */
const [folder, readyPort, ...kitchens] = process.argv.slice(2);
const file = (name) => join(folder, `${name}.sqlite`);
const migrated = (name, ...flags) =>
  new Promise((done, fail) => {
    const made = spawn(process.execPath, [...IDLE_LADLE, 'migrate', ...flags], {
      stdio: 'inherit',
      env: { ...process.env, IDLE_LADLE_DB: file(name) },
    });
    made.on('exit', (code) => (code === 0 ? done(name) : fail(new Error(`${name}: the database could not be made`))));
  });

const empty = kitchens.indexOf('empty');
const ports = kitchens.filter((k) => k !== 'empty');
const emptyPort = empty >= 0 ? kitchens[empty + 1] : undefined;
await Promise.all([migrated('demo', '--demo'), ...(emptyPort ? [migrated(emptyPort)] : [])]);
const servers = ports.map((port) => {
  if (port !== emptyPort) {
    // A log of an earlier kitchen belongs to no copy.
    for (const end of ['', '-wal', '-shm']) rmSync(file(port) + end, { force: true });
    copyFileSync(file('demo'), file(port));
  }
  return spawn(process.execPath, [...IDLE_LADLE, 'start', '--port', port], {
    stdio: ['ignore', 'ignore', 'inherit'],
    env: {
      ...process.env,
      NODE_ENV: 'production',
      IDLE_LADLE_PRACTICE: '1',
      IDLE_LADLE_DB: file(port),
      // The copy of the night would come in the middle of what is timed.
      IDLE_LADLE_COPIES: 'none',
    },
  });
});
const end = () => {
  servers.forEach((s) => s.kill());
  process.exit();
};
process.on('SIGTERM', end);
process.on('SIGINT', end);
servers.forEach((s) => s.on('exit', end));

const answers = (port) =>
  fetch(`http://127.0.0.1:${port}/notebook`).then(
    (r) => r.ok,
    () => false,
  );
for (const port of ports) while (!(await answers(port))) await new Promise((then) => setTimeout(then, 150));
createServer((_, response) => response.end('ready')).listen(Number(readyPort), '127.0.0.1');
