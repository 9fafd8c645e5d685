import type { StampedEvent } from '@/core/work/notebook';
import { inOrder, lastWritten } from './useBatch';

const note = (id: number, at: string, kind: 'noted' | 'timer-ended' = 'noted'): StampedEvent =>
  kind === 'noted' ? { kind, note: `n${id}`, id, at, key: `k${id}` } : { kind, timer: 'x', id, at, key: `k${id}` };

test('taken back is what was written last, though a clock that is ahead stamped another later', () => {
  const events = inOrder([
    note(1, '2026-05-06T10:00:00.900Z'),
    note(2, '2026-05-06T10:00:00.400Z'),
    note(3, '2026-05-06T10:00:01.000Z', 'timer-ended'),
  ]);
  expect(events.map((e) => e.id)).toEqual([2, 1, 3]);
  expect(lastWritten(events)?.id).toBe(2);
  const waiting = { ...note(Number.MAX_SAFE_INTEGER, '2026-05-06T09:59:59.000Z'), key: 'waiting' };
  expect(lastWritten(inOrder([...events, waiting]))?.key).toBe('waiting');
  expect(lastWritten([])).toBeUndefined();
});

test('a timer that was set and silenced is over: “Take back” goes to what was written before it', () => {
  const at = '2026-05-06T10:00:00.000Z';
  const set: StampedEvent = { kind: 'timer-set', timer: 'eggs', name: 'eggs', forS: 60, id: 2, at, key: 'k2' };
  const seen: StampedEvent = { kind: 'timer-ended', timer: 'eggs', id: 3, at, key: 'k3' };
  expect(lastWritten([note(1, at), set])?.key).toBe('k2');
  expect(lastWritten([note(1, at), set, seen])?.key).toBe('k1');
});
