import { mkdirSync, mkdtempSync, readdirSync, rmSync, statSync } from 'node:fs';
import { statfs } from 'node:fs/promises';
import { basename, dirname, join } from 'node:path';

const DAY_MS = 86_400_000;
/** Where copies are made and unpacked: beside the database, on the same disk. */
export const workFolder = (db: string): string => `${db}-work`;

/** A new folder to work in, named by the process that works. */
export function newWork(db: string): string {
  const all = workFolder(db);
  mkdirSync(all, { recursive: true, mode: 0o700 });
  return mkdtempSync(join(all, `${process.pid}-`));
}
/** Takes away what was worked with; what cannot be, since its disk is gone, is no trouble of its own. */
export function endWork(path: string): void {
  try {
    rmSync(path, { recursive: true, force: true });
  } catch {
    // It is looked for again at the next start.
  }
}

function alive(pid: number): boolean {
  try {
    process.kill(pid, 0);
    return true;
  } catch (e) {
    return (e as NodeJS.ErrnoException).code === 'EPERM';
  }
}

/** Takes away what a process that was killed left half done: in the work folder, and half written archives of a folder of copies. */
export function cleanWork(db: string, copies?: string, nowMs = Date.now()): void {
  const left = (folder: string) => {
    try {
      return readdirSync(folder);
    } catch {
      return [];
    }
  };
  /** Nobody works on it any more: its process is gone, or it was not touched for a day. */
  const isLeft = (pid: number, path: string): boolean =>
    (pid !== process.pid && !alive(pid)) ||
    nowMs - (statSync(path, { throwIfNoEntry: false })?.mtimeMs ?? nowMs) > DAY_MS;
  for (const name of left(workFolder(db))) {
    const folder = join(workFolder(db), name);
    if (isLeft(Number(name.split('-', 1)[0]), folder)) endWork(folder);
  }
  if (copies !== undefined)
    for (const name of left(copies)) {
      const pid = /\.(\d+)\.part$/.exec(name)?.[1];
      if (pid !== undefined && isLeft(Number(pid), join(copies, name))) endWork(join(copies, name));
    }
}

/** The name under which an archive is written until it is proven, in the folder where it is to be. */
export const partOf = (file: string): string => join(dirname(file), `.${basename(file)}.${process.pid}.part`);

/** Free room of the disk a folder is on, bytes. */
export async function roomIn(folder: string): Promise<number> {
  const { bavail, bsize } = await statfs(folder);
  return bavail * bsize;
}
