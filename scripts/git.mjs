import { spawnSync } from 'node:child_process';

/** What git says, a line each; nothing where it cannot be asked. */
export const git = (...args) => spawnSync('git', args, { encoding: 'utf8' }).stdout?.split('\n').filter(Boolean) ?? [];
