import { expect } from '@playwright/test';
import { heated, LONG, newPlan, put, test } from './helpers';

test('stations by number, undo and redo by keys, and ? shows the keys', async ({ page }) => {
  await newPlan(page, 'Savoury coconut slab');
  await page.getByRole('heading', { name: 'Mix' }).waitFor({ state: 'attached' });
  const needle = page.getByRole('slider', { name: 'Moment of its life' });
  const at = async () => Number(await needle.getAttribute('aria-valuenow'));
  const checkedAt = await at();
  await page.locator('body').press('2');
  // The stage goes with it, as when the station is pressed.
  await expect.poll(at).toBeLessThan(checkedAt - 300);
  await page.locator('body').press('3');
  await expect(page.getByRole('tab', { name: /^Steam/ })).toHaveAttribute('aria-selected', 'true');
  await expect.poll(at).toBe(checkedAt);
  await page.getByRole('tab', { name: /^Steam/ }).press('ArrowRight');
  await expect(page.getByRole('tab', { name: /^Rest/ })).toBeFocused();
  await page.locator('body').press('1');
  await put(page.getByLabel('Grams of Tapioca starch'), '80');
  await page.getByLabel('Grams of Tapioca starch').press('Control+z');
  await page.getByLabel('Grams of Tapioca starch').blur();
  await expect(page.getByLabel('Grams of Tapioca starch')).toHaveValue('60');
  await page.locator('body').press('Control+Shift+z');
  await expect(page.getByLabel('Grams of Tapioca starch')).toHaveValue('80');
  await page.locator('body').press('?');
  await expect(page.getByRole('dialog')).toContainText('open a station');
});

test('the night kitchen is chosen and stays', { tag: LONG }, async ({ page }) => {
  await page.goto('/');
  const ground = () => page.evaluate(() => getComputedStyle(document.body).backgroundColor);
  await page.getByRole('button', { name: 'Switch to the night kitchen' }).click();
  await expect.poll(ground).toBe('rgb(17, 22, 44)');
  await page.reload();
  await expect.poll(ground).toBe('rgb(17, 22, 44)');
});

test(
  'a figure in the larder is changed in place; parts that cannot be are refused and the old ones stay',
  { tag: LONG },
  async ({ page }) => {
    await page.goto('/larder');
    await page.getByLabel('Find an ingredient').fill('palm');
    const row = page.getByRole('row', { name: /Palm sugar/ });
    const cell = row.locator('[data-field="water"]');
    await cell.dblclick();
    await put(cell.locator('input'), '60');
    await expect(page.getByText(/make 15\d\.\d g in 100 g/)).toBeVisible();
    await put(cell.locator('input'), '6');
    await expect(page.getByText('Palm sugar is kept.')).toBeVisible();
    await row.getByRole('button', { name: 'Table again' }).click();
    await expect(row.locator('[data-field="water"]')).toHaveText('5');
  },
);

test(
  'the notebook finds by a word and says when there is none; a batch that is not there leads back',
  { tag: LONG },
  async ({ page }) => {
    await page.goto('/notebook');
    await page.getByLabel('Find a batch').fill('allotment');
    await expect(page.getByRole('link', { name: 'Wednesday radish slab' })).toHaveCount(1);
    await page.getByLabel('Find a batch').fill('zebra');
    await expect(page.getByText('No batch mentions “zebra”.')).toBeVisible();
    await page.goto('/batches/nothing');
    await expect(page.getByText('Nothing here')).toBeVisible();
  },
);

test(
  'events at the stove are kept on the device while the kitchen is out of reach, and written once it is back',
  { tag: LONG },
  async ({ page, context }) => {
    await newPlan(page, 'Squash slab');
    await heated(page);
    await page.getByRole('button', { name: 'Cook this' }).click();
    await page.waitForURL(/\/stove/);
    await context.route('**/events', (route) => route.abort());
    const verb = page.getByRole('heading', { level: 1 });
    await expect(verb).toHaveText('Choose');
    await page.getByRole('button', { name: 'Done', exact: true }).click();
    await expect(verb).not.toHaveText('Choose');
    await expect(page.getByText('It is kept on this device.')).toBeVisible();
    await context.unroute('**/events');
    await expect(page.getByText('It is kept on this device.')).toHaveCount(0);
    await page.reload();
    await expect(verb).not.toHaveText('Choose');
  },
);
