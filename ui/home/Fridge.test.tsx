/** @jest-environment jsdom */
import { act, cleanup, fireEvent, render, screen } from '@testing-library/react';
import { Fridge } from './Fridge';

jest.mock('next/navigation', () => ({ useRouter: () => ({ refresh: () => undefined }) }));
const sent: { path: string; body: { key: string; event: { kind: string; of?: string } } }[] = [];
let answers = 201;
beforeEach(() => {
  sent.length = 0;
  answers = 201;
  global.fetch = ((path: string, init: { body: string }) => {
    sent.push({ path, body: JSON.parse(init.body) as (typeof sent)[number]['body'] });
    return Promise.resolve({ ok: answers < 400, status: answers, json: () => Promise.resolve({}) });
  }) as never;
});
afterEach(cleanup);

const keeps = ['Monday slab', 'Regatta cups'].map((name, i) => ({
  id: `b${i}`,
  name,
  eatWithin: 'warm, the same day',
  until: new Date(Date.now() + 86_400_000).toISOString(),
}));
const told: string[] = [];
const show = () => render(<Fridge keeps={keeps} onTrouble={(w) => told.push(w)} />);
const press = (name: string) => act(async () => fireEvent.click(screen.getByRole('button', { name })));

test('what is eaten up goes; some left, it is there again, taken back under the key that it was written under', async () => {
  show();
  await press('Monday slab: eaten up');
  expect(screen.queryByRole('link', { name: 'Monday slab' })).toBeNull();
  expect(screen.getByRole('status').textContent).toContain('Monday slab is eaten up.');
  await press('There is some left');
  expect(screen.getByRole('link', { name: 'Monday slab' })).toBeTruthy();
  expect(sent.map((s) => [s.path, s.body.event.kind])).toEqual([
    ['/api/batches/b0/events', 'eaten'],
    ['/api/batches/b0/events', 'taken-back'],
  ]);
  expect(sent[1].body.event.of).toBe(sent[0].body.key);
});

test('where it cannot be written down it stays, and is said', async () => {
  answers = 503;
  show();
  await press('Regatta cups: eaten up');
  expect(screen.getByRole('link', { name: 'Regatta cups' })).toBeTruthy();
  expect(told).toHaveLength(1);
});
