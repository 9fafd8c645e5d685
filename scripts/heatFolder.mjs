import { createHash } from 'node:crypto';
import { mkdirSync, readdirSync, readFileSync, rmSync, statSync } from 'node:fs';
import { homedir } from 'node:os';
import { join } from 'node:path';

/** Heat of so many states of the sources is kept: the one at hand, and those it is gone back to. */
const KEPT = 4;

const sources = (folder) =>
  readdirSync(folder, { withFileTypes: true })
    .flatMap((f) => (f.isDirectory() ? sources(join(folder, f.name)) : [join(folder, f.name)]))
    .filter((f) => /\.ts$/.test(f) && !/\.test\.ts$/.test(f) && !/[\\/]testing[\\/]/.test(f))
    .sort();

/** The folder where heat of the core as it stands is kept on this machine; heat of other states of it goes with time. */
export function heatFolder() {
  const all = join(process.env.XDG_CACHE_HOME ?? join(homedir(), '.cache'), 'idle-ladle', 'heat');
  const hash = createHash('sha256').update(process.version);
  for (const file of sources('core')) hash.update(file).update(readFileSync(file));
  const folder = join(all, hash.digest('hex').slice(0, 24));
  mkdirSync(folder, { recursive: true });
  const others = readdirSync(all)
    .map((f) => ({ f: join(all, f), at: statSync(join(all, f)).mtimeMs }))
    .filter(({ f }) => f !== folder)
    .sort((a, b) => b.at - a.at);
  for (const { f } of others.slice(KEPT - 1)) rmSync(f, { recursive: true, force: true });
  return folder;
}
