import { expect } from '@playwright/test';
import { accessFaults, headline, heated, newPlan, put, saved, showStep, test } from './helpers';
import { EMPTY } from './kitchens';

test.use(EMPTY);

test('from nothing to a plan with every advice answered, by keys alone: under fifteen actions and two minutes', async ({
  page,
}) => {
  const from = Date.now();
  let actions = 0;
  const key = async (name: string) => {
    actions++;
    await page.keyboard.press(name);
  };
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'What shall we steam?' })).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'Guests' })).toBeFocused();
  actions++;
  await page.keyboard.type('40');
  await key('Enter');
  const first = page.getByRole('button', { name: /^Radish slab/ });
  await expect(first).toBeFocused();
  await key('ArrowRight');
  await expect(page.getByRole('button', { name: /^Taro slab/ })).toBeFocused();
  await key('Enter');
  await page.waitForURL(/\/plans\/(?!new)/);
  await heated(page);
  const list = page.getByRole('list', { name: 'To mind, worst first' });
  const way = list.getByRole('button', { name: /^Take it/ }).first();
  const nothing = page.getByText('Nothing: it is inside its bands.');
  for (let i = 0; i < 6; i++) {
    await expect(way.or(nothing)).toBeVisible({ timeout: 60_000 });
    if (await nothing.isVisible()) break;
    const told = await list.getByRole('listitem').first().innerText();
    await key('m');
    await expect(way).toBeFocused();
    await key('Enter');
    await expect
      .poll(async () => {
        // The list may be gone between the two looks.
        const [first] = await list.getByRole('listitem').allInnerTexts();
        return first === undefined ? nothing.isVisible() : first !== told;
      })
      .toBe(true);
    await heated(page);
  }
  await expect(nothing).toBeVisible();
  expect(actions).toBeLessThan(15);
  expect(Date.now() - from).toBeLessThan(120_000);
  await saved(page);
  await page.request.delete(`/api/plans/${page.url().split('/').pop()}`);
});

test('from an empty kitchen to a finished batch in the notebook', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'What shall we steam?' })).toBeVisible();
  await newPlan(page, 'Savoury coconut slab');

  const name = page.getByRole('textbox', { name: 'Name of the plan' });
  await put(name, 'First slab');
  const depthBefore = await headline(page, 'vessel');
  const minutesBefore = await headline(page, 'steam');
  await put(page.getByLabel('Liquid wanted'), '1250');
  await expect(page.getByTestId('headline-vessel')).not.toHaveText(depthBefore);
  await heated(page);
  await expect.poll(() => headline(page, 'steam')).not.toBe(minutesBefore);
  await saved(page);

  await page.getByRole('button', { name: 'Cook this' }).click();
  await page.waitForURL(/\/stove/);
  const verb = page.getByRole('heading', { level: 1 });
  await expect(verb).toHaveText('Weigh');
  await page.getByRole('checkbox', { name: /Rice flour/ }).click();
  await page.getByRole('button', { name: 'Done', exact: true }).click();
  await expect(verb).not.toHaveText('Weigh');
  await page.reload();
  await expect(verb).not.toHaveText('Weigh');
  await page.getByRole('button', { name: 'Whole method' }).click();
  await expect(page.getByRole('dialog').getByText(/^done \d/)).toHaveCount(1);
  await page.getByRole('dialog').getByRole('button', { name: /Steam/ }).first().click();
  await page.getByRole('button', { name: /^Begin/ }).click();
  await showStep(page, /Check Push/);
  // A pick seconds after it was begun teaches nothing: it asks how long it has steamed.
  const after = async (state: string, minutes: string) => {
    await page.getByRole('button', { name: state, exact: true }).click();
    const asked = page.getByRole('textbox', { name: 'In the steam' });
    await asked.fill(minutes);
    await asked.press('Enter');
  };
  await after('Sticky', '20');
  await expect(page.getByText(/^Sticky at 20 min: give it \d+ more/)).toBeVisible();
  await showStep(page, /Check Push/);
  await after('Clean', '29');
  for (let i = 0; i < 30 && (await verb.innerText()) !== 'Done'; i++) {
    const before = await verb.innerText();
    await page.getByRole('button', { name: 'Leave it out' }).click();
    await expect(page.getByRole('region', { name: 'The step' })).not.toContainText(`${before} never`);
    await page.waitForTimeout(150);
  }

  await page.getByRole('group', { name: 'Overall, one to five' }).getByRole('button', { name: '4' }).click();
  await page.getByRole('group', { name: 'chewy' }).getByRole('button', { name: 'less' }).click();
  await page.getByLabel('A few words').fill('Soft, a bit plain');
  await page.getByRole('button', { name: 'Write the tasting down' }).click();
  await expect(page.getByText('1 tasting in the notebook.')).toBeVisible();
  await page.getByRole('button', { name: 'Finish and keep in the notebook' }).click();

  await page.waitForURL(/\/batches\/[^/]+$/);
  await expect(page.getByText('“Soft, a bit plain”', { exact: true })).toBeVisible();
  await expect(page.getByRole('row', { name: /^Set/ })).toContainText(/between .* and /);
  await page.goto('/notebook');
  await page.getByLabel('Find a batch').fill('plain');
  await page.getByRole('link', { name: 'First slab' }).click();
  await expect(page.getByText(/Pick came out sticky at/)).toBeVisible();
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
