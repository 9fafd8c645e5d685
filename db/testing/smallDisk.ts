import { execFileSync } from 'node:child_process';
import { mkdirSync } from 'node:fs';

/** A disk of so many bytes mounted at a new folder, while `work` is done; false where nothing may be mounted here. */
export async function onSmallDisk(place: string, bytes: number, work: () => Promise<void>): Promise<boolean> {
  mkdirSync(place);
  try {
    execFileSync('mount', ['-t', 'tmpfs', '-o', `size=${Math.ceil(bytes / 1024)}k`, 'tmpfs', place], {
      stdio: 'ignore',
    });
  } catch {
    return false;
  }
  try {
    await work();
  } finally {
    execFileSync('umount', ['-l', place]);
  }
  return true;
}
