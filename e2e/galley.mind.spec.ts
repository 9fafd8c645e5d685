import { expect } from '@playwright/test';
import { accessFaults, atRest, headline, heated, newPlan, openStation, put, saved, test } from './helpers';

test.describe('to mind', () => {
  test('a way out is tried on by pointer and by keys, is kept nowhere, and taken is one step of undo', async ({
    page,
  }) => {
    const id = await newPlan(page, 'Savoury coconut slab');
    await expect(page.getByText('Nothing: it is inside its bands.')).toBeVisible();
    await put(page.getByLabel('Liquid wanted'), '620');
    await heated(page);
    const list = page.getByRole('list', { name: 'To mind, worst first' });
    await expect(list.getByRole('listitem').first()).toContainText('Could be better. Stiffer than this family runs');
    await saved(page);
    const kept = async () =>
      (
        (await (await page.request.get(`/api/plans/${id}`)).json()) as {
          plan: { batters: { wantedLiquidG: number }[] };
        }
      ).plan.batters[0].wantedLiquidG;
    const way = list.getByRole('button', { name: /^Take it: \+\d+ g liquid/ });
    const was = await atRest(page, () => headline(page, 'mix'));
    await way.hover();
    await expect.poll(() => headline(page, 'mix')).not.toBe(was);
    const shown = await headline(page, 'mix');
    // The list that it was taken from stands still, and nothing is written.
    await expect(list.getByRole('listitem').first()).toContainText('Stiffer');
    await expect(page.getByTestId('save-state')).toHaveText('Saved');
    await page.mouse.move(4, 4);
    await expect.poll(() => headline(page, 'mix')).toBe(was);
    // By keys, and a reload in the middle of it keeps nothing of it.
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    await page.keyboard.press('m');
    await expect.poll(() => headline(page, 'mix')).toBe(shown);
    await page.reload();
    await heated(page);
    expect(await headline(page, 'mix')).toBe(was);
    expect(await kept()).toBe(620);
    await list.getByRole('button', { name: /^Take it: \+\d+ g liquid/ }).waitFor();
    await page.keyboard.press('m');
    await page.keyboard.press('Enter');
    await expect.poll(() => headline(page, 'mix')).toBe(shown);
    await expect(list.getByText(/Stiffer than/)).toHaveCount(0);
    await page.keyboard.press('Control+z');
    await expect.poll(() => headline(page, 'mix')).toBe(was);
    await expect(list.getByRole('listitem').first()).toContainText('Stiffer');
    await saved(page);
    expect(await kept()).toBe(620);
  });

  test('worst first and in view at 1280 by 800; at most five, the rest a press away; a cooling is mended where it is told', async ({
    page,
  }) => {
    await newPlan(page, 'Radish slab');
    await openStation(page, 'Rest');
    for (let n = await page.getByRole('button', { name: /^Take out stage/ }).count(); n > 1; n--)
      await page.getByRole('button', { name: 'Take out stage 2' }).click();
    await put(page.getByLabel('Time of stage 1'), '3 h');
    await page.getByRole('button', { name: 'Add a stage' }).click();
    await heated(page);
    const list = page.getByRole('list', { name: 'To mind, worst first' });
    const worst = list.getByRole('listitem').first();
    await expect(worst).toContainText('Unsafe. Too slow: 60 to 21 °C takes');
    await expect(worst.getByRole('button', { name: /^Take it/ }).first()).toBeVisible();
    const box = await list.boundingBox();
    expect((box?.y ?? 999) + (box?.height ?? 0)).toBeLessThan(800);
    // The same ways stand at its station.
    await page
      .getByRole('tabpanel')
      .getByRole('button', { name: /^Take it/ })
      .first()
      .click();
    await heated(page);
    await expect(page.getByRole('tabpanel').getByText(/Ready: Cools safely/)).toBeVisible();
    await expect(list.getByText(/Too slow/)).toHaveCount(0);
    expect(await accessFaults(page)).toEqual([]);
  });

  test('what is measured first is measured from there', async ({ page }) => {
    await newPlan(page, 'Savoury coconut slab');
    const first = page.getByRole('region', { name: 'Measure this first' });
    await expect(first).toContainText(/narrows the minutes from ±\d/);
    const told = await first.innerText();
    await first.getByRole('button', { name: 'Do it now' }).click();
    await put(first.getByRole('textbox').first(), '62');
    await expect.poll(() => first.innerText()).not.toBe(told);
    await saved(page);
  });
});

test('the finder goes by keys to a plan, an ingredient by another name, a note and a new plan', async ({ page }) => {
  await page.goto('/');
  const find = async (text: string) => {
    await page.keyboard.press('/');
    await page.getByRole('combobox', { name: /^Find a plan/ }).pressSequentially(text, { delay: 15 });
  };
  await find('wednesday');
  await expect(page.getByRole('option', { name: /^Wednesday radish slab/ }).first()).toHaveAttribute(
    'aria-selected',
    'true',
  );
  expect(await accessFaults(page)).toEqual([]);
  await page.keyboard.press('Enter');
  await page.waitForURL(/\/plans\/(?!new)/);
  await find('daikon');
  await page.keyboard.press('Enter');
  await page.waitForURL(/\/larder\?find=/);
  await expect(page.getByText('White radish, raw').first()).toBeVisible();
  await find('allotment');
  await page.keyboard.press('Enter');
  await page.waitForURL(/\/batches\//);
  await find('begin a noodle');
  await page.keyboard.press('Enter');
  await page.waitForURL(/\/plans\/(?!new)/);
  await expect(page.getByRole('textbox', { name: 'Name of the plan' })).toHaveValue('Noodle sheets');
  await find('zzzz');
  await expect(page.getByText('no plan', { exact: true })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('combobox', { name: /^Find a plan/ })).toHaveCount(0);
});

test('the gallery answers how many, in what words, and of what there is', async ({ page }) => {
  await page.goto('/plans/new');
  const cards = page.locator('button[data-card]');
  await expect(cards).toHaveCount(18);
  await expect(page.locator('button[data-card][aria-busy="true"]')).toHaveCount(0, { timeout: 90_000 });
  await page.getByRole('button', { name: 'no steamer', exact: true }).click();
  await expect(cards).toHaveCount(3);
  await page.getByRole('button', { name: 'vegan', exact: true }).click();
  await expect(cards).toHaveCount(2);
  await page.getByRole('button', { name: 'freezes', exact: true }).click();
  await expect(page.getByText('None is all of that.')).toBeVisible();
  for (const w of ['no steamer', 'vegan', 'freezes']) await page.getByRole('button', { name: w, exact: true }).click();
  await page.getByLabel('On the table by').fill('23:59');
  await expect(page.getByText(/^begin by \d\d:\d\d|too late$/).first()).toBeVisible();
  await page.getByRole('button', { name: 'of what I have' }).click();
  await expect(page.getByRole('heading', { name: /^By what is at hand/ })).toBeVisible();
  expect(await accessFaults(page)).toEqual([]);
  const noodles = page.getByRole('button', { name: /^Noodle sheets/ });
  await expect(noodles).toContainText('Lacks');
  const lacks = await noodles.innerText();
  const name = /Lacks ([^,(\n]+)/.exec(lacks)?.[1].trim() ?? '';
  await page.getByRole('group', { name: 'What I have' }).getByRole('button', { name, exact: true }).click();
  await expect(noodles).not.toContainText(`Lacks ${name}`);
  await noodles.click();
  await page.waitForURL(/\/plans\/(?!new)/);
  await heated(page);
});

test('side by side with another plan; a change is tried, laid beside and taken as a revision', async ({ page }) => {
  const id = await newPlan(page, 'Savoury coconut slab');
  await page.goto(`/plans/${id}/try`);
  const depth = page.getByRole('slider', { name: 'Try depth' });
  await depth.waitFor();
  await depth.focus();
  for (let i = 0; i < 5; i++) await page.keyboard.press('ArrowRight');
  await expect(page.getByText(/^depth \d+ mm$/)).toBeVisible();
  await expect(page.getByText(/clean after \d+ min/)).toBeVisible({ timeout: 60_000 });
  expect(await accessFaults(page)).toEqual([]);
  await page.getByRole('button', { name: 'Lay it beside' }).click();
  await page.waitForURL(/compare\?with=tried/);
  await expect(page.getByRole('row', { name: /^Rice flour/ })).toContainText(/\+\d+ g/);
  await expect(page.getByRole('row', { name: /^depth/ })).toContainText(/\+[\d.]+ mm/);
  expect(await accessFaults(page)).toEqual([]);
  await page.getByRole('combobox', { name: 'Laid beside' }).selectOption({ label: 'Wednesday radish slab' });
  await expect(page.getByRole('row', { name: /^Coconut milk/ })).toContainText('none');
  await page.goto(`/plans/${id}/try`);
  await depth.waitFor();
  await depth.focus();
  for (let i = 0; i < 4; i++) await page.keyboard.press('ArrowLeft');
  const tried = (await page.getByText(/^depth \d+ mm$/).innerText()).replace('depth ', '');
  await page.getByRole('button', { name: 'Take it as the plan' }).click();
  await page.waitForURL(new RegExp(`/plans/${id}$`));
  await expect.poll(() => headline(page, 'vessel')).toContain(tried.replace(' mm', ''));
  await saved(page);
  await page.keyboard.press('Control+z');
  await expect.poll(() => headline(page, 'vessel')).not.toContain(tried.replace(' mm', ''));
});

test('plans are searched and sorted, and what is on the stove is told with its next moment', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('combobox', { name: 'Order of the plans' }).selectOption({ label: 'by name' });
  const names = async () =>
    page.getByRole('region', { name: 'Plans' }).getByRole('listitem').getByRole('link').allInnerTexts();
  await expect
    .poll(async () => {
      const now = await names();
      const sorted = now.toSorted((a, b) => a.toLowerCase().localeCompare(b.toLowerCase()));
      return now.length > 1 && now.join('|') === sorted.join('|');
    })
    .toBe(true);
  const id = await newPlan(page, 'Noodle sheets');
  const made = await page.request.post('/api/batches', { data: { planId: id } });
  const batch = (await made.json()) as { id: string };
  await page.goto('/');
  const stove = page.getByRole('region', { name: 'On the stove now' });
  await expect(stove.getByRole('link', { name: /Noodle sheets/ }).first()).toContainText(/now: \w+/);
  await stove.locator(`a[href="/batches/${batch.id}/stove"]`).click();
  await page.waitForURL(/stove/);
});
