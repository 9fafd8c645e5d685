const saidKey = (id: string) => `idle-ladle/started/${id}`;

/** Keeps what was chosen for a plan when it was started, for as long as the window is open. */
export function keepStarted(id: string, words: string): void {
  try {
    sessionStorage.setItem(saidKey(id), words);
  } catch {
    /* barred storage: the plan is made all the same */
  }
}
/** What was chosen when this plan was started, until it is put away. */
export function startedWords(id: string): string | undefined {
  try {
    return sessionStorage.getItem(saidKey(id)) ?? undefined;
  } catch {
    return undefined;
  }
}
export function forgetStarted(id: string): void {
  try {
    sessionStorage.removeItem(saidKey(id));
  } catch {
    /* barred storage: there was nothing to forget */
  }
}
