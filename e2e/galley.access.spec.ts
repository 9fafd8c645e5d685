import { expect, type Page } from '@playwright/test';
import { accessFaults, heated, LONG, openStation, STATION_NAMES, test } from './helpers';

const LOOKS = [
  ['by day', 'light', 1280, 'rgb(238, 245, 241)'],
  ['by night on a phone', 'dark', 390, 'rgb(17, 22, 44)'],
] as const;

/** Looks at the page by day on a wide screen and by night on a phone. */
async function looked(page: Page, what: string, at: (what: string) => Promise<void>): Promise<void> {
  for (const [look, colorScheme, width, ground] of LOOKS) {
    await page.setViewportSize({ width, height: 800 });
    // What fades in is judged once it is there.
    await page.emulateMedia({ colorScheme, reducedMotion: 'reduce' });
    await expect(page.locator('body')).toHaveCSS('background-color', ground);
    await at(`${what} ${look}`);
  }
}
/** Faults of the page, and how it is headed. */
const sound = (page: Page, view: string): Promise<void> =>
  looked(page, view, async (what) => {
    expect([what, await accessFaults(page)]).toEqual([what, []]);
    expect([what, await page.locator('h1').count()]).toEqual([what, 1]);
    const beyond = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    expect([what, beyond]).toEqual([what, 0]);
  });

const bench = async (page: Page): Promise<void> => {
  await page.goto('/');
  await page.getByRole('link', { name: 'Wednesday radish slab' }).first().click();
  await heated(page);
};

// Each without access faults, with one heading, and not scrolled sideways, by day and by night on a phone.
test('the galley, its rack, larder and notebook, a batch and its stove are sound', { tag: LONG }, async ({ page }) => {
  for (const path of [
    '/',
    '/plans/new',
    '/rack',
    '/larder',
    '/notebook',
    '/notebook/learned',
    '/trash',
    '/copies',
    '/nowhere',
    '/plans/nothing',
  ]) {
    await page.goto(path);
    await sound(page, path);
  }
  await page.goto('/notebook');
  await page.getByRole('link', { name: 'Wednesday radish slab' }).first().click();
  await page.waitForURL(/\/batches\//);
  await sound(page, 'batch');
  await page.goto(`${page.url()}/stove`);
  await sound(page, 'stove');
});
test('every station of the bench is sound', { tag: LONG }, async ({ page }) => {
  await bench(page);
  for (const station of STATION_NAMES) {
    await openStation(page, station);
    await sound(page, station);
  }
});
test('what lies beside the bench, and what opens over a page, is sound', { tag: LONG }, async ({ page }) => {
  await bench(page);
  const plan = page.url();
  for (const more of ['card', 'versions']) {
    await page.goto(`${plan}/${more}`);
    await sound(page, more);
  }
  await page.goto(`${plan}/compare`);
  await expect(page.getByRole('row', { name: /^depth/ })).toBeVisible();
  await sound(page, 'side by side');
  await page.goto(`${plan}/try`);
  await page.getByRole('slider', { name: 'Try depth' }).waitFor();
  await sound(page, 'try a change');
  await page.getByRole('button', { name: 'Work it out' }).click();
  await expect(page.getByRole('button', { name: /^depth .*: \d/ }).first()).toBeVisible();
  await sound(page, 'map of two');
  await page.goto('/');
  await page.keyboard.press('/');
  await page.getByRole('dialog').waitFor();
  await looked(page, 'find', async (what) => expect([what, await accessFaults(page)]).toEqual([what, []]));
  await page.goto('/rack');
  for (const add of ['Add a vessel', 'Add a steamer', 'Add a hob']) {
    await page.getByRole('button', { name: add }).click();
    await looked(page, add, async (what) => expect([what, await accessFaults(page)]).toEqual([what, []]));
    await page.getByRole('button', { name: 'Leave it' }).click();
  }
});

test('the skip link is seen when it is focused and leads to the work', async ({ page }) => {
  await page.goto('/rack');
  await page.keyboard.press('Tab');
  const skip = page.getByRole('link', { name: 'Skip to the work' });
  await expect(skip).toBeFocused();
  await expect(skip).toBeInViewport({ ratio: 1 });
  await page.keyboard.press('Enter');
  await expect(page.locator('main')).toBeFocused();
});

test('keys of one letter sleep under dialogs and in fields, and can be turned off', async ({ page }) => {
  await bench(page);
  const chosen = (name: string) =>
    expect(page.locator(`#tab-${name.toLowerCase()}`)).toHaveAttribute('aria-selected', 'true');
  await page.locator('body').press('2');
  await chosen('Vessel');
  await page.locator('body').press('?');
  const keys = page.getByRole('dialog', { name: 'Keys' });
  await expect(keys).toBeVisible();
  await page.keyboard.press('3');
  await chosen('Vessel');
  await keys.getByRole('switch').uncheck();
  await page.keyboard.press('Escape');
  await expect(keys).toHaveCount(0);
  await page.locator('body').press('4');
  await page.locator('body').press('?');
  await chosen('Vessel');
  await expect(keys).toHaveCount(0);
  await page.getByRole('button', { name: 'Show the keys' }).click();
  await keys.getByRole('switch').check();
  await page.keyboard.press('Escape');
  await expect(keys).toHaveCount(0);
  await page.locator('body').press('1');
  await chosen('Mix');
});
