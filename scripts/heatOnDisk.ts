import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { deserialize, serialize } from 'node:v8';
import type { HeatKeeper } from '@/core/forecast/heat';

/**
 * Heat of the tests, kept on the disk of this machine from run to run. It is named by the hash of the records it is worked
 * out from, and the grid; its folder by the source of the core itself. Tests of the physics call the
 * solver and are not touched by it. IDLE_LADLE_HEAT=off works everything out.
 */

/** More than this of one plan is not kept, bytes. */
const MOST = 4e6;
const folder = process.env.IDLE_LADLE_HEAT;
const made = new Set<string>();

const keeper: HeatKeeper = ({ jobs, size }, work) => {
  const name = createHash('sha256')
    .update(JSON.stringify([jobs, size]))
    .digest('hex');
  const at = join(folder ?? '', name.slice(0, 2));
  const file = join(at, name.slice(2));
  if (existsSync(file)) {
    try {
      return deserialize(readFileSync(file)) as ReturnType<typeof work>;
    } catch {
      // Torn: it is worked out, and written anew.
    }
  }
  const heat = work();
  const bytes = serialize(heat);
  if (bytes.length < MOST) {
    if (!made.has(at)) mkdirSync(at, { recursive: true });
    made.add(at);
    // Another worker may write the same: the name is given to a whole file only.
    writeFileSync(`${file}.${process.pid}`, bytes);
    renameSync(`${file}.${process.pid}`, file);
  }
  return heat;
};

if (folder && folder !== 'off') Object.assign(globalThis, { idleLadleHeat: keeper });
