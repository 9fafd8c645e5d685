import { expect } from '@playwright/test';
import { choose, headline, heated, LONG, newPlan, openStation, put, saved, test } from './helpers';
import { OTHER } from './kitchens';

test.use(OTHER);

test('a plan that fails the cooling gate is mended with one press', { tag: LONG }, async ({ page }) => {
  await newPlan(page, 'Radish slab');
  await openStation(page, 'Rest');
  await choose(page, 'Stage 2', 'on the counter');
  await heated(page);
  await expect(page.getByText(/^.*Too slow: 60/).first()).toBeVisible();
  await put(page.getByLabel('Time of stage 1'), '-10');
  await expect(page.getByText('Time of stage 1 cannot be below zero.')).toBeVisible();
  await page
    .getByRole('tabpanel')
    .getByRole('button', { name: /^Take it/ })
    .first()
    .click();
  await heated(page);
  await expect(page.getByText(/Cools safely: 60 to 21/).first()).toBeVisible();
});

test('sixty diamonds on a round pan, and the cut lines saved at true scale', { tag: LONG }, async ({ page }) => {
  await newPlan(page, 'Stirred set pudding');
  await openStation(page, 'Vessel');
  await choose(page, 'Pan', /Wide round tin/);
  await openStation(page, 'Cut');
  await choose(page, 'By', 'pieces');
  await put(page.getByLabel('Pieces a pan'), '60');
  const drawing = page.getByRole('group', { name: /pieces of about/ });
  await expect(drawing).toHaveAttribute('aria-label', /: (5[7-9]|6[0-3]) pieces/);
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: /true scale/ }).click(),
  ]);
  expect(file.suggestedFilename()).toMatch(/cut\.svg$/);
  const box = await page.getByRole('slider', { name: /^Width of a piece/ }).boundingBox();
  if (!box) throw new Error('no grip');
  await put(page.getByLabel('Pieces a pan'), '501');
  await expect(page.getByText('Use at most 500')).toBeVisible();
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 30, box.y + box.height / 2, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByRole('combobox', { name: 'By', exact: true })).toHaveValue('size');
  await expect(drawing).not.toHaveAttribute('aria-label', /: (5[7-9]|6[0-3]) pieces/);
});

test(
  'a sear plan for twenty-four slices in two pans; when colour comes before heat a press mends it',
  { tag: LONG },
  async ({ page }) => {
    await newPlan(page, 'Taro slab');
    await openStation(page, 'Cut');
    await put(page.getByLabel('Side', { exact: true }), '60');
    await put(page.getByLabel('Other side'), '40');
    await openStation(page, 'Sear');
    const one = Number(await headline(page, 'sear'));
    await put(page.getByLabel('Pans', { exact: true }), '2');
    await heated(page);
    await expect.poll(async () => Number(await headline(page, 'sear'))).toBeLessThanOrEqual(Math.ceil(one / 2));
    await choose(page, 'Dial of the frying pan', /^medium-high/);
    await put(page.getByLabel('Thick', { exact: true }), '24');
    await heated(page);
    await expect(page.getByText(/Golden before hot/).first()).toBeVisible();
    await page
      .getByRole('listitem')
      .filter({ hasText: 'Golden before hot' })
      .getByRole('button', { name: /^Take it/ })
      .first()
      .click();
    await heated(page);
    await expect(page.getByText(/the middle reaches \d+ °C/).first()).toBeVisible();
  },
);

test(
  'the label and card say allergens, keep-until and every caution, and print on one page',
  { tag: LONG },
  async ({ page }) => {
    await newPlan(page, 'Radish slab');
    await saved(page);
    await openStation(page, 'Serve');
    await page.getByRole('button', { name: 'Card and label to print' }).click();
    const label = page.getByRole('region', { name: 'Label' });
    await expect(label).toContainText('Contains: crustacean, soya, wheat/gluten, sulphites');
    await expect(label).toContainText('eat by');
    await expect(page.getByRole('region', { name: 'Card' })).toContainText('Take care');
    const pdf = await page.pdf({ format: 'A4' });
    const pages = pdf.toString('latin1').match(/\/Type\s*\/Page[^s]/g)?.length ?? 0;
    expect(pages).toBe(1);
  },
);
