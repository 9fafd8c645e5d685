/** @jest-environment jsdom */
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, renderHook, waitFor, configure } from '@testing-library/react';
import type { ReactNode } from 'react';
import { FAMILIES, formulaOf } from '@/core/families';
import type { Plan } from '@/core/plan';
import type { StoredPlanDoc } from './documentState';
import { usePlanDocument } from './usePlanDocument';

// What is waited for has come within a second on a machine that does nothing else.
configure({ asyncUtilTimeout: 5000 });

/** A kitchen with one plan, as the routes have it: stale writes are refused, but for what is there and one's own. */
class Kitchen {
  revision = 1;
  writer = '';
  reach: 'there' | 'away' | 'answer lost' = 'there';
  puts: { revision: number; writer: string; guests: number }[] = [];
  constructor(
    readonly id: string,
    public plan: Plan,
  ) {}
  stored = (): StoredPlanDoc => ({ id: this.id, revision: this.revision, plan: this.plan });
  write(plan: Plan, writer: string) {
    this.plan = plan;
    this.writer = writer;
    this.revision++;
  }
  answer(
    method: string,
    sent: { revision: number; plan: Plan; writer: string; unheard: string[] } | undefined,
  ): { status: number; body: unknown } {
    if (method === 'GET' || !sent) return { status: 200, body: this.stored() };
    this.puts.push({ revision: sent.revision, writer: sent.writer, guests: sent.plan.guests });
    if (JSON.stringify(sent.plan) !== JSON.stringify(this.plan)) {
      if (sent.revision !== this.revision && !sent.unheard.includes(this.writer))
        return {
          status: 409,
          body: { problems: [{ code: 'stale', path: '', sentence: 'Stale.' }], current: this.stored() },
        };
      this.write(sent.plan, sent.writer);
    }
    return { status: 200, body: this.stored() };
  }
}

let n = 0;
const kitchen = () => new Kitchen(`plan-${n++}`, formulaOf(FAMILIES[0]));
function serve(k: Kitchen) {
  global.fetch = (async (_path: string, init?: RequestInit) => {
    if (k.reach === 'away') throw new TypeError('no network');
    const { status, body } = k.answer(init?.method ?? 'GET', init?.body ? JSON.parse(String(init.body)) : undefined);
    if (k.reach === 'answer lost') throw new TypeError('cut off');
    return { ok: status < 400, status, json: async () => JSON.parse(JSON.stringify(body)) as unknown };
  }) as unknown as typeof fetch;
}
const client = () => new QueryClient({ defaultOptions: { queries: { retry: false } } });
/** A page with the plan open. */
function open(stored: StoredPlanDoc, queries = client()) {
  return renderHook(() => usePlanDocument(stored), {
    wrapper: ({ children }: { children: ReactNode }) => (
      <QueryClientProvider client={queries}>{children}</QueryClientProvider>
    ),
  });
}
type Page = ReturnType<typeof open>;
const guests = (page: Page, to: number) => act(() => page.result.current.edit('guests', (p) => ({ ...p, guests: to })));
const saved = (page: Page) => waitFor(() => expect(page.result.current.saveState).toBe('saved'), { timeout: 3000 });
/** The window is closed, or loaded anew, without a word. */
const vanish = (page: Page, k: Kitchen) => {
  const { reach } = k;
  k.reach = 'away';
  page.unmount();
  return () => (k.reach = reach);
};
/** A kitchen whose plan had its guests changed in a window that could not save them and is closed; now it answers again. */
async function closedUnsaved(to: number): Promise<Kitchen> {
  const k = kitchen();
  serve(k);
  const page = open(k.stored());
  await saved(page);
  k.reach = 'away';
  guests(page, to);
  await waitFor(() => expect(page.result.current.saveState).toBe('waiting'), { timeout: 3000 });
  page.unmount();
  k.reach = 'there';
  return k;
}
const elsewhere = () => sessionStorage.setItem('idle-ladle/window', `other-${n++}`);

beforeEach(() => {
  localStorage.clear();
  sessionStorage.clear();
});
afterEach(cleanup);

test('an edit is saved over its revision; an edit during the save goes along', async () => {
  const k = kitchen();
  serve(k);
  const page = open(k.stored());
  guests(page, 20);
  expect(page.result.current.saveState).toBe('saving');
  await saved(page);
  guests(page, 21);
  await saved(page);
  expect([k.plan.guests, k.revision]).toEqual([21, 3]);
  expect(k.puts.map((p) => p.revision)).toEqual([1, 2]);
  expect(Object.keys(localStorage)).toEqual([]);
});

test('a page taken from the browser’s memory after the plan was saved on shows the newer one, and saves over it', async () => {
  const k = kitchen();
  serve(k);
  const old = k.stored();
  const page = open(old);
  guests(page, 20);
  await saved(page);
  page.unmount();
  // Back: the same payload as before.
  const back = open(old);
  expect(back.result.current.plan.guests).toBe(20);
  act(() => back.result.current.edit('name', (p) => ({ ...p, name: 'After' })));
  await saved(back);
  expect([k.plan.guests, k.plan.name]).toEqual([20, 'After']);
});

test('what another device wrote is taken in where nothing is unsaved', async () => {
  const k = kitchen();
  serve(k);
  const old = k.stored();
  k.write({ ...k.plan, guests: 44 }, 'another device');
  const page = open(old);
  await waitFor(() => expect(page.result.current.plan.guests).toBe(44));
  expect([page.result.current.canUndo, page.result.current.saveState]).toEqual([false, 'saved']);
  expect(k.puts).toEqual([]);
});

test('what another device changed beside it is kept with it, unasked, and said', async () => {
  const k = kitchen();
  serve(k);
  const page = open(k.stored());
  await saved(page);
  k.write({ ...k.plan, guests: 44 }, 'another device');
  act(() => page.result.current.edit('name', (p) => ({ ...p, name: 'Mine' })));
  await waitFor(() => expect(k.revision).toBe(3));
  await saved(page);
  expect([k.plan.name, k.plan.guests, page.result.current.plan.guests]).toEqual(['Mine', 44, 44]);
  expect([page.result.current.theirs, page.result.current.note]).toEqual([
    undefined,
    expect.stringMatching(/changed elsewhere too/),
  ]);
});

test('with both having changed the same thing the cook is asked; what did not touch is kept, theirs can be undone', async () => {
  for (const choice of ['mine', 'theirs'] as const) {
    const k = kitchen();
    serve(k);
    const page = open(k.stored());
    await saved(page);
    k.write({ ...k.plan, guests: 44, notes: 'theirs' }, 'another device');
    act(() => page.result.current.edit('both', (p) => ({ ...p, name: 'Mine', guests: 12 })));
    await waitFor(() => expect(page.result.current.theirs?.plan.guests).toBe(44));
    expect(page.result.current.saveState).toBe('stale');
    act(() => page.result.current.settle(choice));
    await saved(page);
    expect([k.plan.name, k.plan.notes, k.plan.guests]).toEqual(['Mine', 'theirs', choice === 'mine' ? 12 : 44]);
    if (choice === 'theirs') {
      act(() => page.result.current.undo());
      expect(page.result.current.plan.guests).toBe(12);
      await saved(page);
      expect(k.plan.guests).toBe(12);
    }
    page.unmount();
  }
});

test('a duplicated window’s change and this one’s are two: the later is asked, neither writes over the other', async () => {
  const k = kitchen();
  serve(k);
  const first = open(k.stored());
  await saved(first);
  k.reach = 'away';
  guests(first, 20);
  await waitFor(() => expect(first.result.current.saveState).toBe('waiting'));
  // The browser copies the window with all that it had kept; the copy takes up the same draft.
  const copy = open(k.stored());
  await waitFor(() => expect(copy.result.current.plan.guests).toBe(20));
  guests(copy, 30);
  k.reach = 'there';
  await act(async () => void (await copy.result.current.save()));
  expect(k.plan.guests).toBe(30);
  await act(async () => void (await first.result.current.save()));
  expect(first.result.current.saveState).toBe('stale');
  expect([first.result.current.theirs?.plan.guests, k.plan.guests]).toEqual([30, 30]);
});

test('another device that wrote the very same is no conflict', async () => {
  const k = kitchen();
  serve(k);
  const page = open(k.stored());
  await saved(page);
  k.write({ ...k.plan, guests: 20 }, 'another device');
  guests(page, 20);
  await saved(page);
  expect([page.result.current.theirs, k.revision]).toEqual([undefined, 2]);
});

test('out of reach: kept on the device, saved once it answers; a lost answer is no conflict with oneself', async () => {
  const k = kitchen();
  serve(k);
  const page = open(k.stored());
  await saved(page);
  k.reach = 'answer lost';
  guests(page, 20);
  await waitFor(() => expect(page.result.current.saveState).toBe('waiting'));
  expect(k.revision).toBe(2);
  guests(page, 21);
  k.reach = 'there';
  await act(async () => void (await page.result.current.save()));
  expect([page.result.current.saveState, page.result.current.theirs, k.plan.guests]).toEqual(['saved', undefined, 21]);
});

test('loaded anew in the middle of it, also after a lost answer, it goes on where it was', async () => {
  const k = kitchen();
  serve(k);
  const page = open(k.stored());
  await saved(page);
  k.reach = 'answer lost';
  guests(page, 20);
  await waitFor(() => expect(k.revision).toBe(2));
  guests(page, 21);
  const back = vanish(page, k);
  k.reach = 'there';
  const again = open(k.stored());
  await waitFor(() => expect(again.result.current.plan.guests).toBe(21));
  await saved(again);
  expect([again.result.current.theirs, k.plan.guests]).toEqual([undefined, 21]);
  back();
});

test('half typed it is shown and not saved; loaded anew, what stood on screen stands there', async () => {
  const k = kitchen();
  serve(k);
  const page = open(k.stored());
  await saved(page);
  act(() => page.result.current.half.show(() => page.result.current.edit('guests', (p) => ({ ...p, guests: 12 }))));
  expect([page.result.current.plan.guests, page.result.current.saveState, page.result.current.canUndo]).toEqual([
    12,
    'typing',
    false,
  ]);
  await new Promise((then) => setTimeout(then, 700));
  expect(k.puts).toEqual([]);
  vanish(page, k);
  k.reach = 'there';
  const again = open(k.stored());
  await waitFor(() => expect(again.result.current.plan.guests).toBe(12));
  await saved(again);
  act(() => again.result.current.undo());
  expect(again.result.current.plan.guests).toBe(8);
});

test('loaded anew and changed before what it had is read: the change stands and is saved, what it had is offered', async () => {
  const k = await closedUnsaved(30);
  const again = open(k.stored());
  guests(again, 31);
  await saved(again);
  expect(k.plan.guests).toBe(31);
  expect(again.result.current.left.map((d) => d.plan.guests)).toEqual([30]);
  act(() => again.result.current.takeLeft(again.result.current.left[0], true));
  await saved(again);
  expect([k.plan.guests, again.result.current.left, Object.keys(localStorage)]).toEqual([30, [], []]);
});

test('drafts are each window’s own: what a closed one left is offered, not taken', async () => {
  const k = await closedUnsaved(30);
  // The window is gone; this is another.
  const [key] = Object.keys(localStorage);
  const draft = JSON.parse(localStorage.getItem(key) ?? '') as { at: number };
  localStorage.removeItem(key);
  localStorage.setItem(`idle-ladle/draft/${k.id}/a-closed-window`, JSON.stringify(draft));
  elsewhere();
  const other = open(k.stored());
  await waitFor(() => expect(other.result.current.left).toHaveLength(1), { timeout: 3000 });
  expect(other.result.current.plan.guests).toBe(8);
  act(() => other.result.current.takeLeft(other.result.current.left[0], true));
  await saved(other);
  expect([k.plan.guests, other.result.current.left, Object.keys(localStorage)]).toEqual([30, [], []]);
});

test('a refusal is told and what was typed stays; saving says whether all is saved', async () => {
  const k = kitchen();
  serve(k);
  const page = open(k.stored());
  await saved(page);
  const right = k.answer.bind(k);
  k.answer = (method, sent) =>
    method === 'PUT'
      ? { status: 422, body: { problems: [{ code: 'x', path: '', sentence: 'Too many guests.' }] } }
      : right(method, sent);
  guests(page, 400);
  await waitFor(() => expect(page.result.current).toMatchObject({ saveState: 'refused', trouble: 'Too many guests.' }));
  expect(await act(() => page.result.current.save())).toBe(false);
  expect(page.result.current.plan.guests).toBe(400);
  k.answer = right;
  expect(await act(() => page.result.current.save())).toBe(true);
});

test('a device that keeps no drafts still saves', async () => {
  const k = kitchen();
  serve(k);
  const full = jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
    throw new DOMException('full', 'QuotaExceededError');
  });
  const page = open(k.stored());
  guests(page, 20);
  await saved(page);
  expect(k.plan.guests).toBe(20);
  full.mockRestore();
});

test('what is tried on is shown, and neither kept as a draft, nor saved, nor a step of undo; anything taken ends it', async () => {
  const k = kitchen();
  serve(k);
  const page = open(k.stored());
  const was = page.result.current.plan.guests;
  act(() => page.result.current.tryOn.show((p) => ({ ...p, guests: 77 })));
  expect(page.result.current.plan.guests).toBe(77);
  expect(page.result.current.taken.guests).toBe(was);
  expect(page.result.current.trying).toBe(true);
  expect(page.result.current.canUndo).toBe(false);
  await new Promise((then) => setTimeout(then, 700));
  expect(k.puts).toEqual([]);
  act(() => page.result.current.tryOn.drop());
  expect(page.result.current.plan.guests).toBe(was);
  act(() => page.result.current.tryOn.show((p) => ({ ...p, guests: 77 })));
  act(() => page.result.current.edit('name', (p) => ({ ...p, name: 'Taken' })));
  expect(page.result.current.plan).toMatchObject({ guests: was, name: 'Taken' });
  expect(page.result.current.trying).toBe(false);
  await waitFor(() => expect(k.plan.name).toBe('Taken'));
  expect(k.plan.guests).toBe(was);
});

test('two changes in one breath are both kept, the second made on the first', async () => {
  const k = kitchen();
  serve(k);
  const page = open(k.stored());
  act(() => {
    page.result.current.edit('', (p) => ({ ...p, guests: p.guests + 1 }));
    page.result.current.edit('', (p) => ({ ...p, guests: p.guests + 1 }));
  });
  await saved(page);
  expect(k.plan.guests).toBe(formulaOf(FAMILIES[0]).guests + 2);
});
