import { expect, type Page } from '@playwright/test';
import { readFileSync, writeFileSync } from 'node:fs';
import { accessFaults, LONG, test } from './helpers';
import { ownKitchen, type OwnKitchen } from './ownKitchen';

/** A kitchen is saved in one place and opened in another. */
test.describe.configure({ mode: 'serial' });
let old: OwnKitchen;
let fresh: OwnKitchen;
let copy = '';
test.beforeAll(async () => {
  [old, fresh] = await Promise.all([ownKitchen(3221), ownKitchen(3222, false)]);
});
test.afterAll(() => Promise.all([old, fresh].map((k) => k?.end())));

const names = async (page: Page, kitchen: OwnKitchen): Promise<readonly string[]> => {
  const { rows } = (await (await page.request.get(`${kitchen.url}/api/plans`)).json()) as { rows: { name: string }[] };
  return rows.map((r) => r.name).sort();
};
/** Goes on with Tab until what has the focus is called so. */
async function tabTo(page: Page, name: RegExp): Promise<void> {
  for (let i = 0; i < 120; i++) {
    await page.keyboard.press('Tab');
    const called = await page.evaluate(() => {
      const at = document.activeElement;
      const label = at instanceof HTMLInputElement ? at.labels?.[0]?.textContent : undefined;
      return at?.getAttribute('aria-label') ?? label ?? at?.textContent ?? '';
    });
    if (name.test(called)) return;
  }
  throw new Error(`${String(name)} is not come to by keys`);
}

test(
  'found by the words a cook would use, saved by a press, opened and checked, and told',
  { tag: LONG },
  async ({ page }) => {
    await page.goto(`${old.url}/`);
    await page.keyboard.press('/');
    await expect(page.getByRole('combobox', { name: /^Find/ })).toBeFocused();
    await page.keyboard.type('back up');
    await expect(page.getByRole('option', { name: /Save a copy of the kitchen/ })).toBeVisible();
    await page.keyboard.press('Enter');
    await page.waitForURL(/\/copies/);
    await expect(page.getByText('No copy of this kitchen was made yet.')).toBeVisible();
    const coming = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Save a copy' }).click();
    const download = await coming;
    expect(download.suggestedFilename()).toMatch(/^kitchen \d{4}-\d\d-\d\d .*\.zip$/);
    copy = await download.path();
    expect(readFileSync(copy).readUInt32LE(0)).toBe(0x04034b50);
    await expect(page.getByText(/The last good copy: .*downloaded by a browser .*4 plans, 6 batches/)).toBeVisible();
    expect(await accessFaults(page)).toEqual([]);
  },
);

test(
  'opened in another kitchen: one plan is chosen and taken in, and undone, all by keys',
  { tag: LONG },
  async ({ page }) => {
    await page.goto(`${fresh.url}/copies`);
    await page.getByLabel('Choose a copy').setInputFiles(copy);
    await expect(page.getByRole('region', { name: 'Only in the copy' })).toBeVisible();
    await expect(page.getByText('This brings in 45.')).toBeVisible();
    await page.locator('body').focus();
    await tabTo(page, /^Nothing$/);
    await page.keyboard.press('Enter');
    await expect(page.getByText('Nothing is chosen.')).toBeVisible();
    await tabTo(page, /^Look at plans$/);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('checkbox', { name: 'Wednesday radish slab' })).toBeVisible();
    await tabTo(page, /^Wednesday radish slab$/);
    await page.keyboard.press('Space');
    await expect(page.getByText('This brings in 1.')).toBeVisible();
    expect(await accessFaults(page)).toEqual([]);
    await tabTo(page, /^Take in 1 thing$/);
    await page.keyboard.press('Enter');
    await expect(
      page.getByText('Taken in: 1 brought in, 0 changed or put together, 0 put into Deleted.'),
    ).toBeVisible();
    expect(await names(page, fresh)).toEqual(['Wednesday radish slab']);
    await page.locator('body').focus();
    await tabTo(page, /^Undo it$/);
    await page.keyboard.press('Enter');
    await expect(page.getByText('Undone: 1 thing is as before.')).toBeVisible();
    expect(await names(page, fresh)).toEqual([]);
  },
);

test(
  'the whole of it, in a second kitchen that was changed since: what differs is told, and the cook’s own stays unless chosen',
  { tag: LONG },
  async ({ page }) => {
    await page.goto(`${fresh.url}/copies`);
    // It lies open still, for whoever comes back to it.
    await page.getByRole('button', { name: 'What is missing or later there' }).click();
    await page.getByRole('button', { name: 'Take in 45 things' }).click();
    await expect(page.getByText('This kitchen has all of it already: nothing differs.')).toBeVisible();
    expect(await names(page, fresh)).toEqual(await names(page, old));
    await page.getByRole('button', { name: 'Close the copy' }).click();
    const { rows } = (await (await page.request.get(`${fresh.url}/api/plans`)).json()) as {
      rows: { id: string; name: string }[];
    };
    const at = `${fresh.url}/api/plans/${rows.find((r) => r.name === 'Wednesday radish slab')?.id}`;
    const { revision, plan } = (await (await page.request.get(at)).json()) as { revision: number; plan: object };
    expect((await page.request.put(at, { data: { revision, plan: { ...plan, guests: 31 } } })).ok()).toBe(true);
    await page.goto(`${fresh.url}/copies`);
    await page.getByLabel('Choose a copy').setInputFiles(copy);
    const both = page.getByRole('region', { name: 'In both, and different' });
    await expect(both.getByText(/guests 31 to \d+/)).toBeVisible();
    await expect(both.getByText(/here is later/)).toBeVisible();
    await expect(both.getByRole('checkbox', { name: 'Wednesday radish slab' })).not.toBeChecked();
    await page.getByRole('button', { name: 'Close the copy' }).click();
  },
);

test('a file that is no copy, and a lost network while one is sent', { tag: LONG }, async ({ page }) => {
  await page.goto(`${fresh.url}/copies`);
  const text = `${copy}.txt.zip`;
  writeFileSync(text, 'A letter to the club, which is no copy of anything.');
  await page.getByLabel('Choose a copy').setInputFiles(text);
  await expect(page.getByRole('alert').getByText(/is no copy of a kitchen; choose the \.zip/)).toBeVisible();
  // Once the first piece is lost on its way, it goes on by itself.
  let lost = 0;
  await page.route(/\/api\/copies\/upload\//, (route) =>
    lost++ < 2 ? route.abort('connectionreset') : route.continue(),
  );
  await page.getByLabel('Choose a copy').setInputFiles(copy);
  await expect(page.getByRole('button', { name: 'Close the copy' })).toBeVisible();
  expect(lost).toBeGreaterThan(2);
  await page.unroute(/\/api\/copies\/upload\//);
  // The kitchen is stopped while a copy lies open: it has to be opened again, and nothing was taken.
  await fresh.restart();
  await page.reload();
  await expect(page.getByRole('button', { name: 'Save a copy' })).toBeVisible();
  expect(await names(page, fresh)).toHaveLength(4);
});
