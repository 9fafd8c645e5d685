import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { createHash } from 'node:crypto';
import { spawn, spawnSync } from 'node:child_process';

/** Runs a command with the terminal's own output; ends the process when it fails, unless told otherwise. */
export function run(command, args, { env = {}, orGoOn = false, quiet = false } = {}) {
  const done = spawnSync(command, args, {
    stdio: quiet ? 'pipe' : 'inherit',
    env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', ...env },
    encoding: 'utf8',
  });
  if (done.status !== 0 && !orGoOn) process.exit(done.status ?? 1);
  return done;
}

/** Runs a command beside others; answers with its exit code and all that it printed. */
export const runBeside = (command, args, env = {}) =>
  new Promise((done) => {
    const made = spawn(command, args, { env: { ...process.env, NEXT_TELEMETRY_DISABLED: '1', ...env } });
    let output = '';
    const keep = (text) => (output += text);
    made.stdout.on('data', keep);
    made.stderr.on('data', keep);
    made.on('error', (e) => done({ status: 1, output: `${output}${e.message}` }));
    made.on('close', (status) => done({ status: status ?? 1, output }));
  });

/**
 * Installs the packages of the lock file when they are missing or older than it. SQLite is built from source, which takes minutes: what
 * needs no database can be done meanwhile, the rest awaits the answer. Ends the process, with what was printed, when the build fails.
 */
export async function installPackages() {
  const wanted = createHash('sha256').update(readFileSync('package-lock.json')).digest('hex');
  const stamp = 'node_modules/.installed-lock';
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  console.log('Installing packages (SQLite is built from source; this takes a few minutes the first time).');
  run('npm', ['ci', '--no-audit', '--no-fund', '--ignore-scripts']);
  const built = await runBeside('npm', ['rebuild', 'sqlite3', '--foreground-scripts'], { JOBS: 'max' });
  if (built.status !== 0) {
    console.error(built.output);
    process.exit(built.status);
  }
  writeFileSync(stamp, wanted);
}

/** Installs Debian's Chromium when it is missing and this runs as root. */
export function installChromium() {
  if (existsSync('/usr/bin/chromium')) return;
  if (process.getuid?.() !== 0) {
    console.error(
      'The browser tests need Chromium at /usr/bin/chromium; install it with: sudo apt-get install chromium',
    );
    process.exit(1);
  }
  run('apt-get', ['update', '-qq']);
  run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium'], {
    env: { DEBIAN_FRONTEND: 'noninteractive' },
  });
}

/** How the built kitchen is run: what it may take of the memory, MB, and its file. */
export const IDLE_LADLE = ['--max-old-space-size=512', 'dist/idle-ladle.mjs'];

/** The locally installed command of a package. */
export const bin = (name) => `node_modules/.bin/${name}`;
