import { expect } from '@playwright/test';
import { choose, heated, LONG, newPlan, openStation, put, saved, showStep, test, view } from './helpers';

test('pans are chosen from the rack for a batter, and a plan is moved both ways', async ({ page }) => {
  await newPlan(page, 'Savoury coconut slab');
  await openStation(page, 'Vessel');
  // The new plan lies in the best of them already.
  await expect(page.getByTestId('headline-vessel')).toHaveText('34 mm');
  await view(page, 'Pans of the rack');
  await page.getByRole('button', { name: /^This batter, 28 mm/ }).click();
  await expect(page.getByTestId('headline-vessel')).toHaveText('28 mm');
  await page
    .getByRole('button', { name: /^This depth/ })
    .last()
    .click();
  await expect(page.getByTestId('headline-vessel')).toHaveText('28 mm');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
});

test('nine layers from first pour to last: each pour in its window, the drawing grows', async ({ page }) => {
  await newPlan(page, 'Rainbow layers');
  await openStation(page, 'Steam');
  const pours = page.getByRole('table', { name: 'Pours' }).getByRole('row');
  await expect(pours).toHaveCount(10);
  await expect(pours.nth(1)).toContainText('start');
  await expect(page.getByText(/9 layers in \d+ min/)).toBeVisible();
  await put(page.getByRole('textbox', { name: 'Layers' }), '6');
  await expect(pours).toHaveCount(7);
  await heated(page);
  await page.getByRole('button', { name: /^pour 5/ }).click();
  await expect(page.getByRole('group', { name: /cut through the middle/ })).toBeVisible();
  await put(page.getByRole('textbox', { name: 'Layers' }), '40');
  await expect(page.getByText('Use at most 30')).toBeVisible();
});

test('forty cups in turns: the chart, the finish, and what one more set saves', { tag: LONG }, async ({ page }) => {
  await newPlan(page, 'Dimpled cups');
  await openStation(page, 'Vessel');
  await put(page.getByLabel('How many', { exact: true }), '40');
  await choose(page, 'Pan', /Sauce dishes/);
  await openStation(page, 'Steam');
  await heated(page);
  const chart = page.getByRole('img', { name: /^\d+ turns, done in/ });
  await expect(chart).toBeVisible();
  const turns = Number((await chart.getAttribute('aria-label'))?.match(/^\d+/)?.[0]);
  expect(turns).toBeGreaterThanOrEqual(2);
  await expect(page.getByText('One more set saves')).toBeVisible();
});

test('a run of sheets: minutes a sheet, turns, and the counter’s tilt', { tag: LONG }, async ({ page }) => {
  await newPlan(page, 'Noodle sheets');
  await openStation(page, 'Steam');
  await expect(page.getByRole('img', { name: /^\d+ turns, done in/ })).toBeVisible();
  await openStation(page, 'Vessel');
  await put(page.getByLabel('Counter off level'), '2');
  await expect(page.getByText(/Thinnest 0 mm.*level the counter/)).toBeVisible();
});

test(
  'the three figures are one on bench, card and stove; a heat turned down and too little water are told',
  { tag: LONG },
  async ({ page }) => {
    const id = await newPlan(page, 'Savoury coconut slab');
    await openStation(page, 'Steam');
    const on = await page.getByTestId('plan-for').innerText();
    const words = new RegExp(`check at .*${on} of steam, 5 min standing, \\d+ min in all`, 'i');
    await expect(page.getByTestId('headline-steam')).toHaveText(on);
    await expect(page.getByRole('button', { name: /^plan for/ })).toContainText(on);

    await page.getByRole('button', { name: 'Change the heat on the way' }).click();
    await heated(page);
    await expect(page.getByTestId('plan-for')).not.toHaveText(on);
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await heated(page);
    await expect(page.getByTestId('plan-for')).toHaveText(on);

    const water = page.getByLabel('Water in the pot');
    await water.pressSequentially('150');
    const list = page.getByRole('list', { name: 'To mind, worst first' });
    await expect(list.getByText(/boils dry after/)).toBeVisible();
    await expect(list.getByText(/15 mm is the least: pour in at least/)).toBeVisible();
    await water.fill('');
    await water.blur();
    await expect(list.getByText(/boils dry after/)).toBeHidden();
    await saved(page);

    await page.goto(`/plans/${id}/card`);
    await expect(page.getByRole('region', { name: 'Card' }).getByText(words).first()).toBeVisible();
    await page.goto(`/plans/${id}`);
    await page.getByRole('button', { name: 'Cook this' }).click();
    await page.waitForURL(/batches/);
    await showStep(page, /^\d+ ?Steam/);
    await expect(page.getByText(words).first()).toBeVisible();
  },
);

test('a kettle test changes the power and with it the water plan', { tag: LONG }, async ({ page }) => {
  await newPlan(page, 'Radish slab');
  await openStation(page, 'Steam');
  await expect(page.getByText('1.62 kW', { exact: true })).toBeVisible();
  await view(page, 'Kettle test');
  await put(page.getByLabel('To the boil'), '2');
  await expect(page.getByText('Use at least 10 s')).toBeVisible();
  await put(page.getByLabel('To the boil'), '240');
  await page.getByRole('button', { name: /^Keep 1.39 kW/ }).click();
  await expect(page.getByText(/^.*Kept: strong on the front ring of Galley gas hob gives 1.39 kW/)).toBeVisible();
  await expect(page.getByText('1.39 kW', { exact: true })).toBeVisible();
});

test('the cook’s own vessel goes on the rack, by a water test, and off it with undo', async ({ page }) => {
  await page.goto('/rack');
  await page.getByRole('button', { name: 'Add a vessel' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('button', { name: 'Keep it' }).click();
  await expect(dialog.getByText('Give it a name.')).toBeVisible();
  await dialog
    .getByLabel('Name')
    .fill('Grandmother’s tin with a very long name that will not end before the edge of the card it is printed on');
  await put(dialog.getByLabel('Or: water it holds, weighed'), '1571');
  await expect(dialog.getByLabel('Across the rim')).toHaveValue('200');
  await dialog.getByRole('button', { name: 'Keep it' }).click();
  const item = page.getByRole('listitem').filter({ hasText: 'Grandmother' });
  await expect(item).toContainText('200 mm across');
  await item.getByRole('button', { name: /^Take Grandmother/ }).click();
  await expect(item).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(item).toHaveCount(1);

  await page.getByRole('button', { name: 'Woven basket, 30 cm', exact: true }).click();
  await put(page.getByRole('dialog').getByLabel('Tiers'), '3');
  await page.getByRole('dialog').getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Woven basket' })).toContainText('3 tiers');
});
