import { deviceStore } from '../kit/deviceStore';

const kept = (id: string) => deviceStore(`idle-ladle/started/${id}`, 'sessionStorage');

/** Keeps what was chosen for a plan when it was started, for as long as the window is open. */
export const keepStarted = (id: string, words: string): void => void kept(id).set(words);
/** What was chosen when this plan was started, until it is put away. */
export const startedWords = (id: string): string | undefined => kept(id).get() ?? undefined;
export const forgetStarted = (id: string): void => void kept(id).set(null);
