import { connect } from 'node:net';
import { lstatSync, rmSync } from 'node:fs';

/** True where somebody listens at a socket. */
const answers = (path: string): Promise<boolean> =>
  new Promise((done) => {
    const tried = connect(path);
    tried.on('connect', () => {
      tried.destroy();
      done(true);
    });
    tried.on('error', () => done(false));
  });

/**
 * Makes a place free for a socket: one that a bridge of before has left goes; anything else that is there stays.
 * Answers with why it cannot be, in a sentence; undefined where it is free.
 */
export async function freeForSocket(path: string): Promise<string | undefined> {
  const there = lstatSync(path, { throwIfNoEntry: false });
  if (!there) return undefined;
  if (!there.isSocket())
    return `${path} is there already and no socket; it was left as it is. Name another place in --socket.`;
  if (await answers(path))
    return `Another bridge listens at ${path}; stop that one, or name another place in --socket.`;
  rmSync(path, { force: true });
  return undefined;
}
