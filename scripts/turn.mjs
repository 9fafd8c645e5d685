import { git } from './git.mjs';
import { WHOLE } from './whole.mjs';

const days = () => Math.floor(Date.now() / 86_400_000);
/** Of the commit that stands here: looked at again, it has the same turn. */
const ofCommit = () => Number.parseInt(git('rev-parse', 'HEAD')[0]?.slice(0, 8) ?? '', 16);

/**
 * Whose turn it is of what comes round by turns: another each day, and in continuous integration, which runs several times a day, by the commit.
 * IDLE_LADLE_TURN names another.
 */
export const turnNow = () => Number(process.env.IDLE_LADLE_TURN ?? ((WHOLE && ofCommit()) || days()));

/** Files of the last so many commits, and what is not committed; none where there is no history to ask. */
export function lateFiles(commits) {
  if (git('rev-parse', '--is-shallow-repository')[0] !== 'false') return new Set();
  return new Set([...git('diff', '--name-only', 'HEAD'), ...git('log', `-${commits}`, '--name-only', '--format=')]);
}
