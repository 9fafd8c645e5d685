/** @jest-environment jsdom */
import type { BatchEvent } from '@/core/work/notebook';
import { Refused } from '../kit/request';
import { outbox, sayOutcome, type Send } from './outbox';

type Sent = Parameters<Send<string>>[0];
const note = (words: string): BatchEvent => ({ kind: 'noted', note: words });
const refusal = (status: number, sentence = 'No.') => new Refused(status, [{ code: 'x', path: '', sentence }], {});

/** A kitchen that can be put out of reach, or made to refuse. */
function kitchen() {
  const got: Sent[] = [];
  let trouble: (s: Sent) => Error | undefined = () => undefined;
  const send: Send<string> = async (s) => {
    const e = trouble(s);
    if (e) throw e;
    got.push(s);
    return s.key;
  };
  return { got, send, fail: (t: typeof trouble) => (trouble = t) };
}
beforeEach(() => localStorage.clear());
afterEach(() => jest.useRealTimers());
const words = (list: readonly { event: BatchEvent }[]) =>
  list.map((s) => (s.event.kind === 'noted' ? s.event.note : s.event.kind));

test('what is written down goes out at once, and nothing is left', async () => {
  const k = kitchen();
  const box = outbox('b', k.send, () => undefined);
  expect(await box.record(note('one'))).toEqual({ how: 'written' });
  expect(words(k.got)).toEqual(['one']);
  expect(localStorage.length).toBe(0);
});

test('out of reach: kept, told so, and sent in order with how long ago it was, also after a reload', async () => {
  jest.useFakeTimers({ now: 1_000_000 });
  const k = kitchen();
  k.fail(() => new TypeError('no network'));
  const box = outbox('b', k.send, () => undefined);
  const outcome = await box.record(note('one'));
  expect(outcome).toEqual({ how: 'kept', safe: true });
  expect(sayOutcome(outcome, 'Written down.')).toMatch(/Kept on this device/);
  jest.setSystemTime(1_060_000);
  await box.record(note('two'));
  expect(box.state()).toMatchObject({ trouble: expect.stringMatching(/does not answer/), waiting: [{}, {}] });
  // The page is loaded anew, an hour later.
  jest.setSystemTime(4_660_000);
  k.fail(() => undefined);
  const again = outbox('b', k.send, () => undefined);
  await again.open();
  expect(words(k.got)).toEqual(['one', 'two']);
  expect(k.got.map((s) => s.agoMs)).toEqual([3_660_000, 3_600_000]);
  expect(again.state()).toEqual({ waiting: [], trouble: undefined });
});

test('a kitchen in trouble itself is tried again: that is no refusal', async () => {
  const k = kitchen();
  for (const status of [500, 503, 507, 429]) {
    k.fail(() => refusal(status, 'The disk is full.'));
    const box = outbox('b', k.send, () => undefined);
    expect((await box.record(note('x'))).how).toBe('kept');
    expect(box.state().trouble).toContain('The disk is full.');
  }
  k.fail(() => undefined);
  await outbox('b', k.send, () => undefined).open();
  expect(k.got).toHaveLength(4);
});

test('what is refused stays with why, holds nothing else up, and can be sent again or thrown away', async () => {
  const k = kitchen();
  k.fail((s) => (words([s])[0] === 'bad' ? refusal(422, 'That note is too long.') : undefined));
  const box = outbox('b', k.send, () => undefined);
  const outcome = await box.record(note('bad'));
  expect(outcome).toEqual({ how: 'refused', sentence: 'That note is too long.' });
  expect(sayOutcome(outcome, 'Written down.')).toBe('Not written down: That note is too long.');
  expect((await box.record(note('good'))).how).toBe('written');
  const [left] = box.state().waiting;
  expect(left).toMatchObject({ refused: 'That note is too long.' });
  const reloaded = outbox('b', k.send, () => undefined);
  await reloaded.open();
  expect(reloaded.state().waiting).toMatchObject([{ key: left.key, refused: 'That note is too long.' }]);
  k.fail(() => undefined);
  await reloaded.again(left.key);
  expect(words(k.got)).toEqual(['good', 'bad']);
  k.fail(() => refusal(404));
  await reloaded.record(note('gone'));
  reloaded.throwAway(reloaded.state().waiting[0].key);
  expect(reloaded.state().waiting).toEqual([]);
  expect(localStorage.length).toBe(0);
});

test('an answer that is lost is sent again under the same key', async () => {
  const k = kitchen();
  const keys: string[] = [];
  k.fail((s) => {
    keys.push(s.key);
    return keys.length === 1 ? new TypeError('cut off') : undefined;
  });
  const box = outbox('b', k.send, () => undefined);
  await box.record(note('x'));
  await box.flush();
  expect(keys).toHaveLength(2);
  expect(keys[0]).toBe(keys[1]);
});

test('two windows write down at once: neither writes over the other', async () => {
  const k = kitchen();
  k.fail(() => new TypeError('no network'));
  const [a, b] = [outbox('b', k.send, () => undefined), outbox('b', k.send, () => undefined)];
  await Promise.all([a.record(note('a1')), b.record(note('b1')), a.record(note('a2')), b.record(note('b2'))]);
  k.fail(() => undefined);
  await outbox('b', k.send, () => undefined).open();
  expect(words(k.got).sort()).toEqual(['a1', 'a2', 'b1', 'b2']);
});

test('a device that stores nothing keeps it on the page, and says so', async () => {
  const k = kitchen();
  k.fail(() => new TypeError('no network'));
  const full = jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
    throw new DOMException('full', 'QuotaExceededError');
  });
  const box = outbox('b', k.send, () => undefined);
  const outcome = await box.record(note('x'));
  expect(outcome).toEqual({ how: 'kept', safe: false });
  expect(sayOutcome(outcome, '')).toMatch(/this page only/);
  k.fail(() => undefined);
  await box.flush();
  expect(words(k.got)).toEqual(['x']);
  full.mockRestore();
});

test('what an older version had queued goes out too', async () => {
  localStorage.setItem('idle-ladle/events/b', JSON.stringify([{ key: 'old-key-1', event: note('old') }]));
  const k = kitchen();
  await outbox('b', k.send, () => undefined).open();
  expect(k.got).toMatchObject([{ key: 'old-key-1', event: note('old') }]);
  expect(localStorage.length).toBe(0);
});

test('a torn record on the device keeps none of the others from going out', async () => {
  const k = kitchen();
  k.fail(() => new TypeError('no network'));
  const box = outbox('b', k.send, () => undefined);
  await box.record(note('one'));
  localStorage.setItem('idle-ladle/event/b/torn', '{"key":"torn","ev');
  const again = outbox('b', k.send, () => undefined);
  k.fail(() => undefined);
  await again.open();
  expect(words(k.got)).toEqual(['one']);
});
