import { formula } from '@/core/testing/made';
import { expect, type Page } from '@playwright/test';
import sharp from 'sharp';
import type { StoredBatch } from '../db';
import { awake, LONG, showStep, test } from './helpers';
import { ownKitchen, type OwnKitchen } from './ownKitchen';

/** A whole cake, sped up, on a kitchen of its own that is stopped and started in the middle. */
test.describe.configure({ mode: 'serial' });
const SPEED = 120;
let kitchen: OwnKitchen;
test.beforeAll(async () => {
  kitchen = await ownKitchen(3216);
});
test.afterAll(() => kitchen.end());

const begin = async (page: Page, name: string): Promise<string> => {
  const { rows } = (await (await page.request.get(`${kitchen.url}/api/plans`)).json()) as {
    rows: { id: string; name: string }[];
  };
  const planId = rows.find((r) => r.name === name)?.id;
  const made = await page.request.post(`${kitchen.url}/api/batches`, { data: { planId } });
  const { id } = (await made.json()) as { id: string };
  await page.goto(`${kitchen.url}/batches/${id}/stove`);
  // The forecast as it is cooked is there: the steps know their minutes.
  await expect(page.getByTestId('state')).toContainText(/screen|late|practice|^$/);
  return id;
};
const batchOf = async (page: Page, id: string): Promise<StoredBatch> =>
  (await (await page.request.get(`${kitchen.url}/api/batches/${id}`)).json()) as StoredBatch;
const verb = (page: Page) => page.getByRole('heading', { level: 1 });
const press = (page: Page, name: string | RegExp) => page.getByRole('button', { name }).first().click();
/** Seconds that a timer shows. */
const shows = async (page: Page, name: RegExp): Promise<number> => {
  const words = await page
    .getByRole('complementary', { name: 'Timers' })
    .getByRole('button', { name })
    .locator('b')
    .innerText();
  return words.split(':').reduce((s, x) => 60 * s + Number(x), 0);
};
/** Goes on to a step: what is before it is done or left out, one after the other. */
const goOnUntil = async (page: Page, step: string, by: () => Promise<void>) => {
  const at = () => page.getByRole('region', { name: 'The step' }).locator('p').first().innerText();
  for (let i = 0; i < 40; i++) {
    if ((await verb(page).innerText()) === step) return;
    const before = await at();
    await by();
    await expect.poll(at).not.toBe(before);
  }
  throw new Error(`never came to ${step}`);
};

/** A pick so soon after it was begun asks how long it has steamed: typed, and written down. */
const atSteamed = async (page: Page, minutes: string) => {
  const asked = page.getByRole('textbox', { name: 'In the steam' });
  await asked.fill(minutes);
  await asked.press('Enter');
};

/** The step in hand is done; the wait, if there is one, is not begun. */
const finish = async (page: Page) => page.getByRole('button', { name: 'Done', exact: true }).last().click();

test(
  'a radish slab on two devices, weighed by the scale, with a probe: juice, sticky, a power cut; the timers stay right',
  { tag: LONG },
  async ({ page, browser }) => {
    test.setTimeout(240_000);
    const faults: string[] = [];
    page.on('pageerror', (e) => faults.push(e.message));
    await kitchen.plugIn(SPEED);
    const id = await begin(page, 'Wednesday radish slab');
    const context = await browser.newContext({ viewport: { width: 390, height: 844 }, timezoneId: 'Pacific/Auckland' });
    const phone = awake(await context.newPage());
    await phone.goto(page.url());

    await press(page, 'Done');
    await expect(verb(page)).toHaveText('Weigh');
    await expect(verb(phone)).toHaveText('Weigh');
    // Within a second on the other device: the quickest of three, since a busy machine may hold one up.
    const took: number[] = [];
    for (const is of [true, false, true]) {
      const line = (p: Page) => p.getByRole('checkbox', { name: /Water, to top up/ });
      await line(page).click();
      await expect(line(page)).toBeChecked({ checked: is });
      const seen = Date.now();
      await expect(line(phone)).toBeChecked({ checked: is });
      took.push(Date.now() - seen);
    }
    expect(Math.min(...took)).toBeLessThan(1000);
    // The scale takes line after line by itself, once, though two pages hear it.
    await expect
      .poll(async () => (await batchOf(page, id)).events.filter((e) => e.kind === 'line-weighed').length, {
        timeout: 60_000,
      })
      .toBe(13);
    const lines = (await batchOf(page, id)).events.flatMap((e) => (e.kind === 'line-weighed' ? [e.line] : []));
    expect(new Set(lines).size).toBe(13);
    await press(page, 'Done');

    await goOnUntil(page, 'Wilt', () => finish(page));
    await press(page, /^Begin/);
    await page.getByRole('button', { name: 'Whole method' }).click();
    await page.getByRole('dialog').getByRole('button', { name: /Wilt/ }).click();
    await press(page, /^Juice weighed/);
    const juice = page.getByRole('form', { name: 'Juice weighed' }).getByRole('textbox');
    await juice.fill('');
    await juice.pressSequentially('340', { delay: 20 });
    await juice.press('Enter');
    await expect(page.getByRole('status').filter({ hasText: /Water to top up \d+ g instead of \d+ g/ })).toBeVisible();
    await press(page, /^Done/);
    if (await page.getByRole('button', { name: 'Cut it short' }).isVisible()) await press(page, 'Cut it short');
    await goOnUntil(page, 'Top up', () => finish(page));
    await expect(phone.getByText(/Top up the white radish juice \(340 g\)/)).toBeVisible();

    await goOnUntil(page, 'Boil', () => finish(page));
    await press(page, /^Begin/);
    await page
      .getByRole('complementary', { name: 'Timers' })
      .getByRole('button', { name: /the water boils/ })
      .click();
    await expect(page.getByText(/The probe (is right|shows)/)).toBeVisible({ timeout: 20_000 });
    await press(page, /^Done/);
    if (await page.getByRole('button', { name: 'Cut it short' }).isVisible()) await press(page, 'Cut it short');

    await goOnUntil(page, 'Steam', () => finish(page));
    await press(page, /^Begin/);
    await expect(page.getByTestId('chance')).toContainText(/cannot be clean yet|chance that it is clean now/);
    // A power cut, at the real pace: what was begun stays begun, to the second.
    await kitchen.unplug();
    const beganOf = async () =>
      (await batchOf(page, id)).events.findLast((e) => e.kind === 'begun' && e.stepId === 'steam:cake');
    await expect.poll(async () => (await beganOf())?.kind).toBe('begun');
    const began = await beganOf();
    await expect(page.getByText('practice clock')).toHaveCount(0);
    const looked = async () => {
      const fromMs = Date.now();
      const s = await shows(page, /check the cake/);
      return { s, fromMs, toMs: Date.now() };
    };
    const before = await looked();
    await kitchen.restart();
    await expect(page.getByText('other devices are seen late')).toHaveCount(0);
    const after = await looked();
    // Whole seconds are shown, twice a second.
    const shorter = before.s - after.s;
    expect(shorter).toBeGreaterThanOrEqual((after.fromMs - before.toMs) / 1000 - 2);
    expect(shorter).toBeLessThanOrEqual((after.toMs - before.fromMs) / 1000 + 2);
    await kitchen.plugIn(SPEED);

    await expect(verb(page)).toHaveText('Check', { timeout: 60_000 });
    await expect(verb(phone)).toHaveText('Check');
    await expect(phone.getByTestId('probe')).toContainText(/Probe \d+ °C/);
    await press(page, 'Sticky');
    await expect(page.getByTestId('check-answer')).toContainText(/^Sticky at \d+ min: give it \d+.* more/);
    const checkOf = async () => (await batchOf(page, id)).events.findLast((e) => e.kind === 'checked');
    await expect.poll(async () => (await checkOf())?.kind).toBe('checked');
    const checked = await checkOf();
    const steamed = (Date.parse(checked?.at ?? '') - Date.parse(began?.at ?? '')) / 1000;
    expect(checked?.kind === 'checked' && Math.abs(checked.afterS - steamed)).toBeLessThan(SPEED);
    await expect(
      phone.getByRole('complementary', { name: 'Timers' }).getByRole('button', { name: /check again/ }),
    ).toBeVisible();
    await press(phone, 'Clean');
    await expect(verb(page)).toHaveText('Stand');
    await goOnUntil(page, 'Done', async () => press(page, 'Leave it out'));
    await press(page, 'Finish and keep in the notebook');
    await page.waitForURL(/\/batches\/[^/]+$/);
    expect(faults).toEqual([]);
    await kitchen.unplug();
    await context.close();
  },
);

/** Done, without waiting where there is something to wait for. */
const done = async (page: Page) =>
  page.keyboard.press((await page.getByRole('button', { name: /^Begin/ }).isVisible()) ? 'd' : 'Space');

test('the same by keys alone', { tag: LONG }, async ({ page }) => {
  test.setTimeout(120_000);
  const id = await begin(page, 'Wednesday radish slab');
  await page.keyboard.press('l');
  await expect(verb(page)).toHaveText('Weigh');
  await page.keyboard.press('1');
  await expect(page.getByRole('checkbox', { name: /Rice flour/ })).toBeChecked();
  await page.keyboard.press('z');
  await expect(page.getByRole('checkbox', { name: /Rice flour/ })).not.toBeChecked();
  await page.keyboard.press('Space');
  await goOnUntil(page, 'Steam', () => done(page));
  await page.keyboard.press('Space');
  await expect(page.getByTestId('chance')).toBeVisible();
  await page.keyboard.press('t');
  await page.keyboard.type('rice', { delay: 15 });
  await page.keyboard.press('Tab');
  await page.keyboard.press('Tab');
  await page.keyboard.press('Enter');
  const own = page.getByRole('complementary', { name: 'Timers' }).getByRole('button', { name: /left: rice/ });
  await expect(own).toBeVisible();
  await page.reload();
  await expect(own).toBeVisible();
  // Too soon: the price is said before it is paid.
  await page.keyboard.press('Space');
  await expect(page.getByRole('group', { name: 'Before it is cut short' })).toContainText(
    /are left\..*chance that it is clean/,
  );
  await page
    .getByRole('group', { name: 'Before it is cut short' })
    .getByRole('button', { name: 'Check now' })
    .press('Enter');
  await expect(verb(page)).toHaveText('Check');
  await page.keyboard.press('s');
  await atSteamed(page, '24');
  await expect(page.getByTestId('check-answer')).toContainText(/^Sticky at/);
  // Not clean: where, with what that says; not asked before.
  await press(page, 'At the bottom');
  await expect(page.getByText(/The base gets too little/)).toBeVisible();
  await page.keyboard.press('c');
  await atSteamed(page, '33');
  await expect(verb(page)).toHaveText('Stand');
  await expect(page.getByText(/The base gets too little/)).toHaveCount(0);
  await page.keyboard.press('z');
  await expect(page.getByTestId('check-answer')).toBeVisible();
  // What takes back names what was written, so it is written after that has been answered.
  const takenBack = async () => (await batchOf(page, id)).events.filter((e) => e.kind === 'taken-back').length;
  await expect.poll(takenBack).toBe(2);
  await page.keyboard.press('c');
  await atSteamed(page, '33');
  await expect(verb(page)).toHaveText('Stand');
  await page.keyboard.press('w');
  await expect(page.getByRole('dialog', { name: 'The whole method' })).toContainText('left out');
  await page.keyboard.press('Escape');
  await goOnUntil(page, 'Serve', () => page.keyboard.press('l'));
  await page.keyboard.press('Space');
  const kinds = (await batchOf(page, id)).events.flatMap((e) =>
    e.kind === 'checked' ? [e.state] : e.kind === 'taken-back' ? ['back'] : [],
  );
  expect(kinds).toEqual(['back', 'sticky', 'clean', 'back', 'clean']);
});

test('what was put in otherwise becomes a version of the plan; a photo is kept; a plan that is deleted stops no cook', async ({
  page,
}) => {
  test.setTimeout(120_000);
  const id = await begin(page, 'Wednesday radish slab');
  await showStep(page, /Mix Whisk/);
  await page.getByRole('button', { name: 'Other amount of Neutral oil' }).click();
  await page.getByRole('button', { name: 'That much more' }).click();
  await page.keyboard.type('5', { delay: 20 });
  await page.keyboard.press('Enter');
  await expect(page.getByRole('checkbox', { name: /Neutral oil/ })).toContainText('23 g');
  await page.getByRole('button', { name: 'Whole method' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'How it went' }).click();
  await press(page, 'Change the plan to what I did');
  await expect(page.getByRole('group', { name: 'Change the plan' })).toContainText('Neutral oil 18 g to 23 g');
  await press(page, 'Take it as a new version');
  await expect(page.getByText(/The plan is now as you cooked it: .*Neutral oil 18 g to 23 g/)).toBeVisible();

  const png = await sharp({ create: { width: 2400, height: 1800, channels: 3, background: '#8fb58a' } })
    .png()
    .toBuffer();
  await page.getByLabel('Add a photo').setInputFiles({ name: 'slab.png', mimeType: 'image/png', buffer: png });
  const photo = page.getByRole('img', { name: /photographed/ });
  await expect(photo).toBeVisible();
  expect(await photo.evaluate((i: HTMLImageElement) => i.naturalWidth)).toBe(1600);
  await page
    .getByLabel('Add a photo')
    .setInputFiles({ name: 'x.png', mimeType: 'image/png', buffer: Buffer.from('no') });
  await expect(page.getByText('That is no picture that this browser can read')).toBeVisible();

  const { planId } = await batchOf(page, id);
  await page.request.delete(`${kitchen.url}/api/plans/${planId}`);
  await page.reload();
  await press(page, 'Done');
  await expect(verb(page)).toHaveText('Weigh');
  await page.getByRole('button', { name: 'Whole method' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'How it went' }).click();
  await press(page, 'Change the plan to what I did');
  await expect(page.getByText('The plan was deleted meanwhile')).toBeVisible();
});

test(
  'layers go by touch, a sauce is put right in grams, a tasting with its sign takes three presses and goes with Finish',
  { tag: LONG },
  async ({ page }) => {
    test.setTimeout(120_000);
    const sauces = formula('radish-slab').accompaniments.map((a) => ({
      ...a,
      lines: a.lines.map((l) => ({ ...l, id: `sauce-${l.id}` })),
    }));
    const plan = { ...formula('two-tone-layers'), name: 'Two tones by touch', accompaniments: sauces };
    const made = await page.request.post(`${kitchen.url}/api/plans`, { data: plan });
    expect(made.status()).toBe(201);
    const id = await begin(page, 'Two tones by touch');

    await expect(page.getByRole('region', { name: 'The step' })).toHaveAttribute('aria-busy', 'false');
    // 12 g of soy over: the line says so, the others keep their grams, and what is said of a sauce is to taste it.
    await showStep(page, /Sauce Stir/);
    const line = (name: RegExp) => page.getByRole('checkbox', { name });
    const grams = async (name: RegExp) => Number(/([\d.]+) g/.exec(await line(name).innerText())?.[1]);
    const [soy, sugar] = [await grams(/Light soy/), await grams(/White sugar/)];
    await press(page, /Other amount of Light soy/);
    await press(page, 'That much more');
    await page.keyboard.type('12', { delay: 20 });
    await page.keyboard.press('Enter');
    await expect.poll(() => grams(/Light soy/)).toBe(soy + 12);
    expect(await grams(/White sugar/)).toBe(sugar);
    await expect(page.getByText(/12 g over: taste it before it is served/)).toBeVisible();

    await showStep(page, /^\d+ ?Layer/);
    await press(page, /^Begin/);
    // What was looked up and begun gives way to the step in hand; its timer leads back to it.
    const timers = page.getByRole('complementary', { name: 'Timers' });
    await timers.getByRole('button', { name: /check the cake/ }).click();
    const tacky = page.getByRole('button', { name: 'Tacky: pour 2' });
    await expect(tacky).toBeVisible();
    const checkBefore = await shows(page, /check the cake/);
    await page.keyboard.press('Space');
    // Poured at once: the next is due so much sooner, and so is the check.
    await expect(page.getByRole('button', { name: 'Tacky: pour 3' })).toBeVisible();
    await expect(timers.getByRole('button', { name: /Pour 2/ })).toHaveCount(0);
    expect(checkBefore - (await shows(page, /check the cake/))).toBeGreaterThan(120);
    await expect(timers.getByRole('button', { name: /Pour 3/ })).toBeVisible();
    await press(page, 'Take back');
    await expect(tacky).toBeVisible();
    expect(await shows(page, /Pour 2/)).toBeGreaterThan(120);
    expect(checkBefore - (await shows(page, /check the cake/))).toBeLessThan(60);

    await page.getByRole('button', { name: 'Whole method' }).click();
    await page.getByRole('dialog').getByRole('button', { name: 'How it went' }).click();
    await page.getByRole('group', { name: 'Overall, one to five' }).getByRole('button', { name: '4' }).click();
    await page.getByRole('group', { name: 'chewy' }).getByRole('button', { name: 'less' }).click();
    await press(page, 'layers part');
    await press(page, 'Finish and keep in the notebook');
    await page.waitForURL(/\/batches\/[^/]+$/);
    await expect(page.getByText('Seen: layers part.')).toBeVisible();
    const { events } = await batchOf(page, id);
    expect(events.flatMap((e) => (e.kind === 'tasted' ? [[e.overall, e.axes, e.sign]] : []))).toEqual([
      [4, { chewy: 'less' }, 'layers part'],
    ]);
  },
);
