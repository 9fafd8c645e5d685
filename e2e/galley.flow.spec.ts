import { expect } from '@playwright/test';
import { choose, LONG, newPlan, openStation, put, saved, showStep, test } from './helpers';
import { OTHER } from './kitchens';

test.use(OTHER);

test(
  'two batters: each is weighed out and mixed apart, and the pours stand in a table, at the stove and on the card',
  { tag: LONG },
  async ({ page }) => {
    await newPlan(page, 'Two-tone layers');
    await saved(page);
    await openStation(page, 'Serve');
    await page.getByRole('button', { name: 'Card and label to print' }).click();
    const card = page.getByRole('region', { name: 'Card' });
    await expect(card.getByRole('heading', { name: /^Plain coconut, 1070 g/ })).toBeVisible();
    await expect(card.getByRole('heading', { name: /^Bean, 945 g/ })).toBeVisible();
    await expect(card.getByRole('table', { name: 'Pours' }).getByRole('row')).toHaveCount(9);
    const told = await card.getByRole('table', { name: 'Pours' }).getByRole('row').nth(1).innerText();
    await page.getByRole('link', { name: 'Back to the plan' }).click();
    await page.getByRole('button', { name: 'Cook this' }).click();
    await page.waitForURL(/\/stove/);
    await showStep(page, /mashed split mung beans \(310 g\).*like double cream/);
    await expect(page.getByRole('checkbox', { name: /Tapioca starch 100 g/ })).toBeVisible();
    await showStep(page, /^\d+ ?Layer/);
    // At the stove the pours stand in few words, the same ones.
    const pour = /Pour 2: [^(;]+ g/.exec(told)?.[0] ?? 'no second pour';
    await expect(page.getByRole('list', { name: 'Moments' }).getByRole('listitem').nth(1)).toContainText(pour);
  },
);

test(
  'a weighed juice survives another school and back, and one that cannot be is refused with its range',
  { tag: LONG },
  async ({ page }) => {
    await newPlan(page, 'Radish slab');
    const weighed = page.getByLabel('Juice weighed');
    await weighed.click();
    await weighed.pressSequentially('310');
    await expect(page.getByTestId('top-up')).toHaveText('240 g');
    await choose(page, 'How White radish, raw goes in', /^salted, squeezed by hand/);
    await expect(page.getByTestId('top-up')).toHaveText('550 g');
    await expect(page.getByLabel('Juice weighed')).toHaveValue('');
    await choose(page, 'How White radish, raw goes in', /^wilted, juice kept/);
    await expect(page.getByLabel('Juice weighed')).toHaveValue('310');
    await expect(page.getByTestId('top-up')).toHaveText('240 g');
    await put(page.getByLabel('Juice weighed'), '9000');
    await expect(page.getByText(/9000 g cannot be: here it lies between 0 g and \d+ g/).first()).toBeVisible();
    await saved(page);
    await page.reload();
    await expect(page.getByLabel('Juice weighed')).toHaveValue('9000');
  },
);

test('a new name computes no heat anew: the minutes stay where they are', { tag: LONG }, async ({ page }) => {
  await newPlan(page, 'Dimpled cups');
  await expect(page.getByTestId('headline-steam')).toHaveText(/\d+ min/);
  await openStation(page, 'Serve');
  await page.getByLabel('Notes').fill('For the novices.');
  await page.waitForTimeout(500);
  await expect(page.getByRole('region', { name: 'Life of the cake' })).toHaveAttribute('aria-busy', 'false');
  await expect(page.getByTestId('headline-steam')).toHaveText(/\d+ min/);
});
