/** @jest-environment jsdom */
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { act, cleanup, renderHook, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import { emptyKitchen, kitchenSettingsSchema, vesselSchema, type Kitchen } from '@/core/kitchen';
import { RACK_KINDS, type KitchenState, type RackKind, type Settings } from '@/db';
import { packKitchen } from './packed';
import { ChangedElsewhere, useKitchenHand, type SettingsChange } from './useKitchen';

/** The kitchen's routes, each answering after a while: a write over a revision that is not the last is refused with what is there. */
class Galley {
  revision = 1;
  settings: Settings = kitchenSettingsSchema.parse({});
  vessels = new Map<string, { revision: number; value: Kitchen['vessels'][number] }>();
  puts = 0;
  state(): KitchenState {
    const revisions = Object.fromEntries(RACK_KINDS.map((k) => [k, {}])) as Record<RackKind, Record<string, number>>;
    for (const [id, v] of this.vessels) revisions.vessels[id] = v.revision;
    const vessels = [...this.vessels.values()].map((v) => v.value);
    return {
      kitchen: { ...emptyKitchen(), ...this.settings, vessels },
      settings: { revision: this.revision, value: this.settings },
      revisions,
      unreadable: [],
    };
  }
  write(change: Partial<Settings>) {
    this.settings = { ...this.settings, ...change };
    this.revision++;
  }
  answer(path: string, method: string, sent: { revision: number; value: never }): { status: number; body: unknown } {
    if (method === 'GET') return { status: 200, body: this.state() };
    this.puts++;
    const stale = (current: unknown) => ({
      status: 409,
      body: { problems: [{ code: 'stale', path: '', sentence: 'Changed on another page meanwhile.' }], current },
    });
    if (path === '/api/kitchen') {
      if (sent.revision !== this.revision) return stale(this.state().settings);
      this.write(sent.value);
      return { status: 200, body: this.state() };
    }
    const id = path.split('/').pop()!;
    const there = this.vessels.get(id);
    if ((there?.revision ?? 0) !== sent.revision) return stale(there);
    this.vessels.set(id, { revision: sent.revision + 1, value: sent.value });
    return { status: 200, body: { id, revision: sent.revision + 1 } };
  }
}
function serve(galley: Galley) {
  global.fetch = (async (path: string, init?: RequestInit) => {
    await new Promise((then) => setTimeout(then, 20));
    const sent = init?.body ? (JSON.parse(String(init.body)) as never) : (undefined as never);
    const { status, body } = galley.answer(path, init?.method ?? 'GET', sent);
    return { ok: status < 400, status, json: async () => JSON.parse(JSON.stringify(body)) as unknown };
  }) as unknown as typeof fetch;
}
/** A page of the kitchen, open in a browser of its own. */
async function open(galley: Galley) {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  const sent = packKitchen(galley.state());
  const page = renderHook(() => useKitchenHand(sent), {
    wrapper: ({ children }: { children: ReactNode }) => (
      <QueryClientProvider client={client}>{children}</QueryClientProvider>
    ),
  });
  await waitFor(() => expect(client.isFetching()).toBe(0));
  return {
    keep: (change: SettingsChange) => page.result.current.keepSettings(change),
    hand: () => page.result.current,
    again: () => act(() => client.invalidateQueries()),
  };
}
const tin = (name: string) =>
  vesselSchema.parse({ id: 'tin', name, shape: 'round', material: 'steel', diameterM: 0.2, heightM: 0.05 });

afterEach(cleanup);

test('three units chosen one after another without waiting are all three kept, and none is asked for twice', async () => {
  const galley = new Galley();
  serve(galley);
  const page = await open(galley);
  await act(async () => {
    const kept = [{ mass: 'oz' }, { length: 'in' }, { temp: 'F' }] as const;
    expect(await Promise.all(kept.map((units) => page.keep({ units })))).toEqual([true, true, true]);
  });
  expect(galley.settings.units).toEqual({ mass: 'oz', length: 'in', temp: 'F' });
  await waitFor(() => expect(page.hand().kitchen.units).toEqual({ mass: 'oz', length: 'in', temp: 'F' }));
  expect(galley.puts).toBe(3);
});

test('a unit and a cup chosen on one page stay when a page that has not heard of them changes others', async () => {
  const galley = new Galley();
  serve(galley);
  const page = await open(galley);
  galley.write({
    units: { ...galley.settings.units, mass: 'oz' },
    myCups: { 'rice-flour': 120, 'tapioca-starch': 118 },
  });
  await act(async () => {
    expect(await page.keep({ units: { temp: 'F' } })).toBe(true);
    expect(await page.keep({ myCups: { 'rice-flour': undefined, 'wheat-starch': 110 } })).toBe(true);
  });
  expect(galley.settings.units).toMatchObject({ mass: 'oz', temp: 'F' });
  expect(galley.settings.myCups).toEqual({ 'tapioca-starch': 118, 'wheat-starch': 110 });
});

test('a setting that another page changed meanwhile is not written over', async () => {
  const galley = new Galley();
  serve(galley);
  const page = await open(galley);
  galley.write({ roomC: 27 });
  await act(async () => expect(await page.keep({ roomC: 18 })).toBe(false));
  expect(galley.settings.roomC).toBe(27);
  // Now it has been seen.
  await act(async () => expect(await page.keep({ roomC: 18 })).toBe(true));
  expect(galley.settings.roomC).toBe(18);
});

test('a form that was open while another page changed the tin tells so, also after this page heard of it', async () => {
  const galley = new Galley();
  galley.vessels.set('tin', { revision: 1, value: tin('Tin') });
  serve(galley);
  const page = await open(galley);
  const seen = page.hand().kitchen.vessels[0];
  galley.vessels.set('tin', { revision: 2, value: tin('Their tin') });
  await page.again();
  const keep = (over?: number) => page.hand().keepThing('vessels', tin('My tin'), 'Kept.', over, seen);
  await act(async () => {
    await expect(keep()).rejects.toThrow(ChangedElsewhere);
  });
  expect(galley.vessels.get('tin')?.value.name).toBe('Their tin');
  await act(() => keep(2));
  expect(galley.vessels.get('tin')?.value.name).toBe('My tin');
});
