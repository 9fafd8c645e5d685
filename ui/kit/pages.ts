import type { Place } from '@/db';

/** Address of a page of a list: what is looked for, and where the page begins. */
export function pageAddress(path: string, word: string, after: Place | undefined): string {
  const query = new URLSearchParams();
  if (word !== '') query.set('word', word);
  if (after) query.set('after', `${after.at}~${after.id}`);
  const said = query.toString();
  return said === '' ? path : `${path}?${said}`;
}
