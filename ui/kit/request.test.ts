/** @jest-environment jsdom */
import { Refused, request, sentenceOf, Spoken, worthAgain } from './request';

const answering = (response: Partial<Response> | Error) => {
  globalThis.fetch = () =>
    response instanceof Error ? Promise.reject(response) : Promise.resolve(response as Response);
};
const failing = async (path = '/api/plans'): Promise<unknown> => {
  try {
    await request(path);
  } catch (e) {
    return e;
  }
  return undefined;
};

test('what the kitchen refused is told in its own words, and is not worth sending again', async () => {
  answering({
    ok: false,
    status: 422,
    json: () => Promise.resolve({ problems: [{ code: 'x', path: '', sentence: 'The pan is too small.' }] }),
  });
  const e = await failing();
  expect(e).toBeInstanceOf(Refused);
  expect([sentenceOf(e), worthAgain(e)]).toEqual(['The pan is too small.', false]);
});
test('an answer that is no JSON has a sentence all the same', async () => {
  answering({ ok: false, status: 502, json: () => Promise.reject(new SyntaxError('Unexpected token <')) });
  const e = await failing();
  expect([sentenceOf(e), worthAgain(e)]).toEqual(['The kitchen did not answer as expected; try again.', true]);
});
test('what a browser or the program says of itself never reaches the cook', async () => {
  answering(new TypeError('Failed to fetch'));
  const e = await failing();
  expect([sentenceOf(e), sentenceOf(e, 'Not kept; try again.'), worthAgain(e)]).toEqual([
    'The kitchen does not answer; try again.',
    'Not kept; try again.',
    true,
  ]);
  expect(sentenceOf(new Spoken('Said for the cook.'), 'Not kept.')).toBe('Said for the cook.');
});
