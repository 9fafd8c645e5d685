import { expect, type APIRequestContext, type Page } from '@playwright/test';
import { FAMILIES } from '../core/families';
import { turnNow } from '../scripts/turn.mjs';
import { choose, heated, LONG, newPlan, openStation, put, STATION_NAMES, test } from './helpers';
import { EMPTY } from './kitchens';

test.use(EMPTY);

const PANS = [
  { id: 'odd-1', name: 'Deep saucepan', shape: 'round', material: 'steel', diameterM: 0.15, heightM: 0.09 },
  {
    id: 'odd-2',
    name: 'Oven dish',
    shape: 'rectangular',
    material: 'glass',
    lengthM: 0.23,
    widthM: 0.15,
    heightM: 0.05,
  },
  {
    id: 'odd-3',
    name: 'Bread tin',
    shape: 'rectangular',
    material: 'aluminium',
    lengthM: 0.22,
    widthM: 0.09,
    heightM: 0.06,
  },
];
const give = (request: APIRequestContext, kind: string, thing: { id: string }) =>
  request.put(`/api/rack/${kind}/${thing.id}`, { data: { revision: 0, value: thing } });
/** Three of them, others each turn; that all of them fit such a rack is tried in the core. */
const SOME = FAMILIES.filter((_, i) => i % 6 === turnNow() % 6).map((f) => f.name);

/** The plan can be cooked: nothing stands in its way. */
async function cooks(page: Page, family: string) {
  await page.goto('/plans/new');
  await page.getByRole('button', { name: new RegExp(`^${family}`) }).click();
  await page.waitForURL(/\/plans\/(?!new)/);
  await expect(page.getByRole('button', { name: 'Cook this' }), family).toBeEnabled();
  await expect(page.getByText('Cannot work.'), family).toHaveCount(0);
}

test('on a rack of three odd pans a new plan cooks without a problem', { tag: LONG }, async ({ page, request }) => {
  for (const p of PANS) expect((await give(request, 'vessels', p)).ok()).toBe(true);
  await page.goto('/notebook');
  for (const f of SOME) await cooks(page, f);
  for (const p of PANS) await request.delete(`/api/rack/vessels/${p.id}?revision=1`);
});

test(
  'ounces, inches and °F are chosen in one place and every field and sentence follows',
  { tag: LONG },
  async ({ page }) => {
    await page.goto('/rack');
    // As quick as a hand can: none waits for the one before.
    await choose(page, 'Weight', 'ounces');
    await choose(page, 'Length', 'inches');
    await choose(page, 'Temperature', '°F');
    await expect(page.getByLabel('Room')).toHaveValue('69.8');
    await newPlan(page, 'Savoury coconut slab');
    const rice = page.getByLabel('Grams of Rice flour, wet-milled fine');
    await expect(rice).toHaveValue('6.88');
    await rice.click();
    await rice.fill('');
    await rice.pressSequentially('7 1/2');
    await rice.blur();
    await expect(rice).toHaveValue('7.5');
    await openStation(page, 'Vessel');
    await expect(page.getByText(/usual 1 to 2 in/)).toBeVisible();
    // No figure of the bench, the card or the stove is left in the other units; names and the nutrition panel keep theirs.
    const left = async () =>
      (await page.locator('main').innerText())
        .split('\n')
        .filter((l) =>
          /\d ?(kg|mm|cm|°C)(?!\w)|\d\d ?g(?!\w)/.test(
            l.replaceAll(/(round tin|steamer|frying pan)(, \d+ cm( base)?| \(\d+ cm\))/gi, ''),
          ),
        )
        .filter((l) => !l.startsWith('Per piece'));
    for (const station of STATION_NAMES) {
      await openStation(page, station);
      expect([station, await left()]).toEqual([station, []]);
    }
    await page.goto(`${page.url().replace(/[?#].*/, '')}/card`);
    await expect(page.getByRole('region', { name: 'Card' })).toBeVisible();
    expect(['card', await left()]).toEqual(['card', []]);
    await expect(page.getByRole('region', { name: 'Card' })).toContainText('the round tin (20 cm)');
    await page.goBack();
    await heated(page);
    await page.getByRole('button', { name: 'Cook this' }).click();
    await page.waitForURL(/stove/);
    await expect(page.getByText(/step 1 of/)).toBeVisible();
    expect(['stove', await left()]).toEqual(['stove', []]);
    await page.goto('/rack');
    await choose(page, 'Weight', 'grams');
    await choose(page, 'Length', 'millimetres');
    await choose(page, 'Temperature', '°C');
    await expect(page.getByLabel('Room')).toHaveValue('21');
  },
);

test('a ring of the cook’s own with its marks is spoken in the steps', { tag: LONG }, async ({ page }) => {
  await page.goto('/rack');
  await page.getByRole('button', { name: 'Add a hob' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Ring', { exact: true }).fill('Left plate');
  await choose(dialog, 'Kind', /^electric/);
  await expect(dialog.getByLabel('Stays hot')).toHaveValue('4');
  await dialog.getByLabel('Mark for medium').fill('3½');
  await put(dialog.getByLabel('Power at medium'), '1150');
  await dialog.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText(/Left plate, electric: marks medium 3½; medium 1.15 kW/)).toBeVisible();
  await newPlan(page, 'Two-tone layers');
  await page.goto(`${page.url()}/card`);
  await expect(page.getByText(/on the left plate at 3½/).first()).toBeVisible();
  await page.goto('/rack');
  await page.getByRole('button', { name: 'Take Hob off the rack' }).click();
});
