/** @jest-environment jsdom */
import { BroadcastChannel as NodeChannel } from 'node:worker_threads';
import { FAMILIES, formulaOf } from '@/core/families';
import { dropDraft, keepDraft, leftDrafts, ownDraft, sayOpen } from './drafts';

const plan = formulaOf(FAMILIES[0]);
const draft = { unheard: ['s'], revision: 3, plan, at: 5 };
beforeAll(() => Object.assign(globalThis, { BroadcastChannel: NodeChannel }));
beforeEach(() => localStorage.clear());

test('a draft is this window’s own until it is dropped; another plan’s is another', async () => {
  keepDraft('p', draft);
  expect(await ownDraft('p')).toEqual(draft);
  expect(ownDraft('q')).toBeUndefined();
  dropDraft('p');
  expect(localStorage.length).toBe(0);
});
test('what a window that is open has not saved is its own; what a closed one left is offered, the newest first', async () => {
  keepDraft('p', draft);
  const [mine] = Object.keys(localStorage);
  for (const [window, at] of [
    ['open', 9],
    ['closed', 10],
    ['closed-before', 2],
  ] as const)
    localStorage.setItem(`idle-ladle/draft/p/${window}`, JSON.stringify({ ...draft, at }));
  localStorage.setItem('idle-ladle/draft/p/torn', '{"session":');
  localStorage.setItem('idle-ladle/draft/other/closed', JSON.stringify(draft));
  // Another window that is open.
  const channel = new NodeChannel('idle-ladle/windows');
  channel.onmessage = (e) => {
    const { data } = e as unknown as { data: { ask?: string } };
    if (data.ask) channel.postMessage({ answer: data.ask, here: 'open' });
  };
  const silent = sayOpen();
  const left = await leftDrafts('p');
  expect(left.map((d) => d.key)).toEqual(['idle-ladle/draft/p/closed', 'idle-ladle/draft/p/closed-before']);
  expect(left.map((d) => d.key)).not.toContain(mine);
  channel.close();
  silent();
});
