import { expect, type Page } from '@playwright/test';
import { awake, choose, headline, heated, LONG, newPlan, openStation, put, saved, test, view } from './helpers';

const openRadish = async (page: Page) => {
  await newPlan(page, 'Radish slab');
};

test('an edit answers everywhere, undo and redo take it back and forth', { tag: LONG }, async ({ page }) => {
  await openRadish(page);
  const before = { mix: await headline(page, 'mix'), vessel: await headline(page, 'vessel') };
  await put(page.getByLabel('Grams of Rice flour, wet-milled fine'), '340');
  await expect(page.getByTestId('headline-mix')).not.toHaveText(before.mix);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByTestId('headline-mix')).toHaveText(before.mix);
  await page.getByRole('button', { name: 'Redo', exact: true }).click();
  await expect(page.getByTestId('headline-mix')).not.toHaveText(before.mix);
});

test('weighing the juice changes the top-up', { tag: LONG }, async ({ page }) => {
  await openRadish(page);
  const before = await page.getByTestId('top-up').innerText();
  await put(page.getByLabel('Juice weighed'), '400');
  await expect(page.getByTestId('top-up')).toHaveText('150 g');
  expect(before).not.toBe('150 g');
});

test('reload in the middle loses nothing', { tag: LONG }, async ({ page }) => {
  await openRadish(page);
  await put(page.getByLabel('Grams of Fine salt'), '11');
  await page.reload();
  await expect(page.getByLabel('Grams of Fine salt')).toHaveValue('11');
});

test('a press while the page is still on its way waits for it and is not lost', async ({ browser, baseURL }) => {
  const slow = await browser.newPage({ baseURL });
  await newPlan(slow, 'Savoury coconut slab');
  const url = slow.url();
  await slow.route('**/_next/static/chunks/**', async (route) => {
    await new Promise((then) => setTimeout(then, 600));
    await route.continue();
  });
  await slow.goto(url, { waitUntil: 'commit' });
  await view(slow, 'Blend');
  await expect(slow.getByRole('slider', { name: /^Blend/ })).toBeVisible();
  await slow.close();
});

test(
  'with the kitchen out of reach, edits stay on the device and are saved when it answers again',
  { tag: LONG },
  async ({ page, context }) => {
    await openRadish(page);
    await context.route('**/api/plans/**', (route) => route.abort());
    await put(page.getByLabel('Grams of Fine salt'), '12');
    await expect(page.getByText('Your changes are kept on this device')).toBeVisible();
    await context.unroute('**/api/plans/**');
    await saved(page);
    await page.reload();
    await expect(page.getByLabel('Grams of Fine salt')).toHaveValue('12');
  },
);

test(
  'two windows change one plan: what does not touch is kept of both, the cook chooses the rest',
  { tag: LONG },
  async ({ page, context }) => {
    await openRadish(page);
    const other = awake(await context.newPage());
    await other.goto(page.url());
    await heated(other);
    await put(other.getByLabel('Grams of White sugar'), '20');
    await saved(other);
    await put(page.getByLabel('Grams of White pepper, ground'), '5');
    await expect(page.getByText('What did not touch is kept of both.')).toBeVisible();
    await saved(page);
    await expect(page.getByLabel('Grams of White sugar')).toHaveValue('20');
    // The same line, by both.
    await put(other.getByLabel('Grams of Fine salt'), '13');
    await put(other.getByLabel('Grams of White sugar'), '22');
    await saved(other);
    await put(page.getByLabel('Grams of White sugar'), '9');
    const dialog = page.getByRole('dialog', { name: 'This plan was changed in another window' });
    await expect(dialog).toBeVisible();
    await dialog.getByRole('button', { name: 'Go on with this one' }).click();
    await saved(page);
    await page.reload();
    await expect(page.getByLabel('Grams of White pepper, ground')).toHaveValue('5');
    await expect(page.getByLabel('Grams of White sugar')).toHaveValue('9');
    await expect(page.getByLabel('Grams of Fine salt')).toHaveValue('13');
  },
);

test('bad amounts are named at their field and leave the plan as it was', async ({ page }) => {
  await openRadish(page);
  const before = await headline(page, 'mix');
  const field = page.getByLabel('Grams of Rice flour, wet-milled fine');
  for (const [text, sentence] of [
    ['-5', 'cannot be below zero'],
    ['lots', 'is no amount of rice flour: write it like 250'],
    ['900000', 'Use at most 50000 g'],
    ['', 'Enter a number'],
  ] as const) {
    await field.fill(text);
    await expect(page.getByText(sentence)).toBeVisible();
    await expect(page.getByTestId('headline-mix')).toHaveText(before);
  }
});

test('a pan too small stops the cooking with what to do', { tag: LONG }, async ({ page }) => {
  await openRadish(page);
  await openStation(page, 'Vessel');
  await choose(page, 'Pan', /Sauce dishes/);
  await expect(page.getByRole('status').filter({ hasText: 'a bigger pan, or less batter' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Cook this' })).toBeDisabled();
});

test('the needle moves the heat and the drawing says it in words', { tag: LONG }, async ({ page }) => {
  await openRadish(page);
  await openStation(page, 'Steam');
  const drawing = page.getByRole('group', { name: /cut through the middle/ });
  await page.getByRole('button', { name: /^check/ }).click();
  const early = await drawing.getAttribute('aria-label');
  await page.getByRole('button', { name: /^plan for/ }).click();
  await expect(drawing).not.toHaveAttribute('aria-label', early ?? '');
  await expect(drawing).toHaveAttribute('aria-label', /(9[5-9]|100) percent set/);
});

test('requests that make no sense get a sentence and a 4xx, never a stack', async ({ request }) => {
  const cases: readonly (readonly [string, 'GET' | 'POST' | 'PUT', unknown, number, RegExp])[] = [
    ['/api/plans/nothing', 'GET', undefined, 404, /not here any more/],
    ['/api/batches/nothing', 'GET', undefined, 404, /no such batch/],
    ['/api/plans', 'POST', { format: 'idle-ladle/plan', version: 9 }, 422, /version 9 .* newer Idle Ladle/],
    ['/api/plans', 'POST', { format: 'other' }, 422, /not a plan/],
    ['/api/batches', 'POST', { planId: 'nothing' }, 404, /not here any more/],
    [
      '/api/batches/nothing/events',
      'POST',
      { key: '12345678', event: { kind: 'probed', tempC: 300 } },
      422,
      /above 120/,
    ],
  ];
  for (const [path, method, data, status, sentence] of cases) {
    const answer = await request.fetch(path, { method, data });
    expect(answer.status()).toBe(status);
    const text = await answer.text();
    expect(text).toMatch(sentence);
    expect(text).not.toMatch(/at .*\.ts|node_modules/);
  }
  const broken = await request.fetch('/api/plans', {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    data: Buffer.from('{"format":'),
  });
  expect(broken.status()).toBe(422);
  expect(await broken.text()).toMatch(/not complete JSON/);
});

test('a page that is not there says so and leads back', { tag: LONG }, async ({ page }) => {
  await page.goto('/plans/nothing');
  await expect(page.getByText('Nothing here')).toBeVisible();
  await page.getByRole('link', { name: 'Back to the galley' }).click();
  await expect(page.getByRole('heading', { name: 'Gannet Quay galley' })).toBeVisible();
});
