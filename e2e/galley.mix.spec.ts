import { expect, type Page } from '@playwright/test';
import { headline, heated, LONG, newPlan, openLine, openStation, put, saved, test, view } from './helpers';

test(
  'the blend is moved by keyboard: texture, pour scale, section and minutes follow',
  { tag: LONG },
  async ({ page }) => {
    await newPlan(page, 'Savoury coconut slab');
    await view(page, 'Blend');
    const point = page.getByRole('slider', { name: /^Blend/ });
    const before = {
      chewy: await page.getByTestId('texture-chewy').innerText(),
      words: await point.getAttribute('aria-valuetext'),
    };
    await point.focus();
    for (let i = 0; i < 6; i++) await page.keyboard.press('ArrowRight');
    await expect(page.getByTestId('texture-chewy')).not.toHaveText(before.chewy);
    await expect(point).not.toHaveAttribute('aria-valuetext', before.words ?? '');
    await heated(page);
    await saved(page);
    await page.reload();
    await view(page, 'Blend');
    await expect(page.getByRole('slider', { name: /^Blend/ })).not.toHaveAttribute(
      'aria-valuetext',
      before.words ?? '',
    );
  },
);

test(
  'a lever on the pour scale brings the batter to the middle of its band, and the pan fills deeper',
  { tag: LONG },
  async ({ page }) => {
    await newPlan(page, 'Savoury coconut slab');
    await put(page.getByLabel('Liquid wanted'), '700');
    await expect(page.getByText(/Stiffer than this family runs/)).toBeVisible();
    const depth = await headline(page, 'vessel');
    await view(page, 'Water');
    await page.getByRole('button', { name: /^\+\d+ g water$/ }).click();
    await expect(page.getByRole('img', { name: /^Pour scale: liquid to dry 3.80/ })).toBeVisible();
    await expect(page.getByTestId('headline-vessel')).not.toHaveText(depth);
  },
);

test('a weighing in the water ledger turns its row from estimated to weighed', async ({ page }) => {
  await newPlan(page, 'Radish slab');
  await view(page, 'Water');
  const row = page.getByRole('row', { name: /juice kept/ });
  await expect(row).toContainText('estimated');
  await put(page.getByLabel(/^Weighed: White radish, raw, juice kept/), '360');
  await expect(row).toContainText('weighed');
  await expect(page.getByRole('row', { name: /to top up/ })).toContainText('190 g');
});

test(
  'the solver finds a blend without an ingredient, and using it takes the ingredient out',
  { tag: LONG },
  async ({ page }) => {
    await newPlan(page, 'Savoury coconut slab');
    await view(page, 'Blend');
    await page.getByRole('button', { name: 'Without tapioca starch' }).click();
    const found = page.getByRole('status', { name: 'Blends found' });
    await expect(found).toBeVisible();
    await expect(found).not.toContainText(/Tapioca/);
    await found.getByRole('button', { name: 'Use it' }).first().click();
    await expect(page.getByLabel('Grams of Tapioca starch')).toHaveCount(0);
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await expect(page.getByLabel('Grams of Tapioca starch')).toHaveValue('60');
  },
);

test(
  'a share of an add-in kept for the top leaves the fold and lands in the topping step',
  { tag: LONG },
  async ({ page }) => {
    await newPlan(page, 'Radish slab');
    await openLine(page, 'dried shrimp');
    const kept = page.getByLabel('Kept for the top');
    await expect(kept).toHaveValue('0');
    await put(kept, '50');
    await saved(page);
    await page.getByRole('button', { name: 'Cook this' }).click();
    await page.waitForURL(/\/stove/);
    await page.getByRole('button', { name: 'Whole method' }).click();
    await expect(page.getByText('Keep back 20 g of the fried shrimp (40 g) for the top.')).toBeVisible();
    await expect(page.getByText(/Strew the fried shrimp for the top \(20 g\).* over the top/)).toBeVisible();
    await expect(page.getByText(/Fold the wilted white radish .* the fried shrimp \(20 g\)/)).toBeVisible();
  },
);

test('cups and back: nothing drifts, and the choice is remembered', { tag: LONG }, async ({ page }) => {
  await newPlan(page, 'Savoury coconut slab');
  const grams = page.getByLabel('Grams of Rice flour, wet-milled fine');
  await expect(grams).toHaveValue('195');
  const measure = page.getByRole('group', { name: 'Measure in' });
  await measure.getByRole('button', { name: 'Cups and spoons' }).click();
  await expect(page.getByLabel('Amount of Rice flour, wet-milled fine')).toHaveValue('1½');
  await expect(page.getByText(/195 g.*by light hands.*scooped/)).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Amount of Rice flour, wet-milled fine')).toBeVisible();
  await page.getByRole('group', { name: 'Measure in' }).getByRole('button', { name: 'Packs, pieces' }).click();
  await page.getByRole('group', { name: 'Measure in' }).getByRole('button', { name: 'By weight' }).click();
  await expect(grams).toHaveValue('195');
});

test('my cup of a flour is weighed once and used in another plan', { tag: LONG }, async ({ page }) => {
  await newPlan(page, 'Radish slab');
  await page.getByRole('group', { name: 'Measure in' }).getByRole('button', { name: 'Cups and spoons' }).click();
  await page
    .getByRole('button', { name: /^maize/i })
    .first()
    .click();
  await put(page.getByLabel('My 250 ml cup'), '140');
  await expect(page.getByText(/34 g, .*by your cup/)).toBeVisible();
  await newPlan(page, 'Radish slab');
  await expect(page.getByText(/34 g, .*by your cup/)).toBeVisible();
  await page.getByRole('group', { name: 'Measure in' }).getByRole('button', { name: 'By weight' }).click();
});

test(
  'scaling by a factor carries yeast and salt, and the minutes are worked out anew',
  { tag: LONG },
  async ({ page }) => {
    await newPlan(page, 'Yeast sponge');
    const minutes = await headline(page, 'steam');
    await view(page, 'Scale');
    await put(page.getByLabel('Factor'), '1.3');
    await page.getByRole('button', { name: 'Scale by 1.3' }).click();
    await expect(page.getByLabel('Grams of Dry yeast')).toHaveValue('4.3');
    await heated(page);
    await expect.poll(() => headline(page, 'steam')).not.toBe(minutes);
  },
);

test('a bottle’s own salt balances the dip', { tag: LONG }, async ({ page }) => {
  await newPlan(page, 'Dimpled cups');
  await view(page, 'Sauces');
  const fish = page.getByTestId('sauce-dip-fish-sauce');
  const before = await fish.innerText();
  await put(page.getByLabel('Salt in 15 ml, label').first(), '2');
  await expect(fish).not.toHaveText(before);
  await expect(page.getByText(/balanced to your bottle/)).toBeVisible();
});

test('a drain test moves the pour scale and is kept for the flour', { tag: LONG }, async ({ page }) => {
  await newPlan(page, 'Noodle sheets');
  await view(page, 'Water');
  const scale = page.getByRole('img', { name: /^Pour scale/ });
  const before = await scale.getAttribute('aria-label');
  await put(page.getByLabel('Drain time'), '5');
  await page.getByRole('button', { name: /^Keep for rice flour/ }).click();
  await expect(page.getByText(/^.*Kept: Rice flour, wet-milled fine takes up/)).toBeVisible();
  await expect(scale).not.toHaveAttribute('aria-label', before ?? '');
  await page.goto('/larder');
  await page
    .getByRole('row', { name: /Rice flour, wet-milled fine/ })
    .getByRole('button', { name: 'Table again' })
    .click();
});

test('an ingredient is added from its label; a label that cannot be is told why', { tag: LONG }, async ({ page }) => {
  await page.goto('/larder');
  await page.getByRole('button', { name: 'Add an ingredient' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Name', { exact: true }).fill('Market rice flour');
  await put(dialog.getByLabel('Carbohydrate'), '80');
  await put(dialog.getByLabel('Protein'), '6.5');
  await put(dialog.getByLabel('Salt', { exact: true }), '400');
  await dialog.getByRole('button', { name: 'Add it' }).click();
  await expect(dialog.getByText(/sodium × 2.5/)).toBeVisible();
  await put(dialog.getByLabel('Salt', { exact: true }), '0.02');
  await dialog.getByRole('button', { name: 'Add it' }).click();
  await expect(dialog.getByText(/Say which allergens are in it/)).toBeVisible();
  await dialog.getByLabel('none of them').check();
  await dialog.getByRole('button', { name: 'Add it' }).click();
  await expect(page.getByText('Market rice flour is in the larder.')).toBeVisible();
  await openStationFree(page);
});

/** The new flour can be chosen in a plan. */
async function openStationFree(page: Page) {
  await newPlan(page, 'Squash slab');
  await view(page, 'Add an ingredient');
  await page.getByRole('combobox', { name: 'Add an ingredient' }).fill('Market rice');
  await page.getByRole('option', { name: 'Market rice flour' }).click();
  await expect(page.getByLabel('Grams of Market rice flour')).toBeVisible();
  await openStation(page, 'Serve');
}
