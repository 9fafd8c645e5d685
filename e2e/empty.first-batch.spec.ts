import { expect } from '@playwright/test';
import { accessFaults, headline, heated, newPlan, put, saved, test } from './helpers';

test('from an empty kitchen to a finished batch in the notebook', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByText('No plan yet.')).toBeVisible();
  await newPlan(page, 'Savoury coconut slab');

  const name = page.getByRole('textbox', { name: 'Name of the plan' });
  await put(name, 'First slab');
  const depthBefore = await headline(page, 'vessel');
  const minutesBefore = await headline(page, 'steam');
  await put(page.getByLabel('Liquid wanted'), '1250');
  await expect(page.getByTestId('headline-vessel')).not.toHaveText(depthBefore);
  await heated(page);
  expect(await headline(page, 'steam')).not.toBe(minutesBefore);
  await saved(page);

  await page.getByRole('button', { name: 'Cook this' }).click();
  await page.waitForURL(/\/stove/);
  await page.getByRole('checkbox', { name: /Weigh/ }).check();
  await page.getByRole('checkbox', { name: /Mix/ }).check();
  await expect(page.getByText(/^done \d/)).toHaveCount(2);

  await page.reload();
  await expect(page.getByRole('checkbox', { name: /Weigh/ })).toBeChecked();
  await expect(page.getByRole('checkbox', { name: /Mix/ })).toBeChecked();

  await put(page.getByLabel('Minutes in the steam'), '24');
  await page.getByRole('button', { name: 'Sticky' }).click();
  await expect(page.getByTestId('check-answer')).toContainText(/Sticky at 24 min: give it \d+ more/);
  await put(page.getByLabel('Minutes in the steam'), '33');
  await page.getByRole('button', { name: 'Clean' }).click();
  await expect(page.getByTestId('check-answer')).toContainText('Clean at 33 min');

  await page.getByRole('group', { name: 'Overall, one to five' }).getByRole('button', { name: '4' }).click();
  await page.getByRole('group', { name: 'chewy' }).getByRole('button', { name: 'less' }).click();
  await page.getByLabel('A few words').fill('Soft, a bit plain');
  await page.getByRole('button', { name: 'Write the tasting down' }).click();
  await expect(page.getByText('1 tasting in the notebook.')).toBeVisible();
  await page.getByRole('button', { name: 'Finish and keep in the notebook' }).click();

  await page.waitForURL(/\/batches\/[^/]+$/);
  await expect(page.getByText('“Soft, a bit plain”', { exact: true })).toBeVisible();
  await expect(page.getByRole('row', { name: /^Set/ })).toContainText('between 24 min and 33 min');
  await page.goto('/notebook');
  await page.getByLabel('Find a batch').fill('plain');
  await page.getByRole('link', { name: 'First slab' }).click();
  await expect(page.getByText('Pick came out sticky at 24 min')).toBeVisible();
});

test('a plan is copied, deleted, and brought back', async ({ page }) => {
  await newPlan(page, 'Radish slab');
  await put(page.getByRole('textbox', { name: 'Name of the plan' }), 'Slab to lose');
  await saved(page);
  await page.getByRole('button', { name: 'Copy this plan' }).click();
  await expect(page.getByRole('textbox', { name: 'Name of the plan' })).toHaveValue('Slab to lose, copy');
  await page.getByRole('button', { name: 'Delete this plan' }).click();
  await expect(page.getByRole('link', { name: 'Slab to lose, copy' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('link', { name: 'Slab to lose, copy' })).toBeVisible();
});

test('an empty kitchen and its new plan have no access faults', async ({ page }) => {
  await page.goto('/notebook');
  expect(await accessFaults(page)).toEqual([]);
});
