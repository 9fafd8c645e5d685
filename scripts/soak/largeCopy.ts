import { spawn } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { openDatabase, sumOf } from '@/db';
import { sayBytes } from '@/core/units';
import { seedKitchen } from '../seed';
import { option } from './kit';

/**
 * A large kitchen saved and opened in an empty one by the built program: `--batches` and `--photos` MB of them. Prints time and the most memory that
 * each took, which is not to grow with the kitchen.
 */
const BATCHES = option('batches', 10_000);
const PHOTOS_MB = option('photos', 2000);
const PHOTO = 400_000;
/** The most memory that either may take, bytes. */
const MOST = 700e6;

const folder = mkdtempSync(join(tmpdir(), 'idle-ladle-large-'));
const file = join(folder, 'large.sqlite');
await seedKitchen(file, 1000, BATCHES);
const db = await openDatabase(file, { durable: false });
const ids = (await db.sequelize.query('SELECT id FROM batches'))[0] as { id: string }[];
const photos = Math.round((PHOTOS_MB * 1e6) / PHOTO);
for (let n = 0; n < photos; n += 50)
  await db.write(async (transaction) => {
    for (let i = n; i < Math.min(photos, n + 50); i++) {
      const jpeg = randomBytes(PHOTO);
      await db.models.batchPhotos.create(
        {
          id: `photo-${i}`,
          batchId: ids[i % ids.length].id,
          jpeg,
          sum: sumOf(jpeg),
          createdAt: new Date().toISOString(),
        },
        { transaction },
      );
    }
  });
await db.close();
console.log(`${BATCHES} batches, ${photos} photos: ${sayBytes(statSync(file).size)}`);

let failed = false;
const run = (what: string, args: readonly string[], database: string): Promise<void> =>
  new Promise((done) => {
    const from = Date.now();
    let most = 0;
    const child = spawn(process.execPath, ['dist/idle-ladle.mjs', ...args], {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...process.env, IDLE_LADLE_DB: database },
    });
    const look = setInterval(() => {
      try {
        most = Math.max(
          most,
          1024 * Number(/VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${child.pid}/status`, 'utf8'))?.[1] ?? 0),
        );
      } catch {
        // It has ended.
      }
    }, 100);
    child.on('exit', (code) => {
      clearInterval(look);
      failed ||= code !== 0 || most > MOST;
      console.log(
        `${what}: ${Math.round((Date.now() - from) / 1000)} s, at most ${sayBytes(most)} of memory${code === 0 ? '' : `, failed with ${code}`}`,
      );
      done();
    });
  });
const copy = join(folder, 'large.zip');
await run('saved', ['backup', copy], file);
console.log(`the copy: ${sayBytes(statSync(copy).size)}`);
await run('opened in an empty kitchen', ['restore', copy, '--take', 'all', '--yes'], join(folder, 'other.sqlite'));
await run('undone', ['restore', '--undo'], join(folder, 'other.sqlite'));
rmSync(folder, { recursive: true, force: true });
process.exit(failed ? 1 : 0);
