import { expect, type BrowserContext, type Page } from '@playwright/test';
import type { StoredBatch } from '../db';
import {
  finger,
  awake,
  heated,
  LONG,
  newPlan,
  openStation,
  put,
  saved,
  showStep,
  test,
  touched,
  typeIn,
  view,
} from './helpers';
import { OTHER } from './kitchens';

test.use(OTHER);

const RICE = 'Grams of Rice flour, wet-milled fine';
const idOf = (page: Page) => /\/(?:plans|batches)\/([^/?#]+)/.exec(page.url())?.[1] ?? '';
interface Kept {
  revision: number;
  plan: { name: string; guests: number; batters: { lines: { ingredient: string; massG: number }[] }[] };
}
const kept = async (page: Page, id = idOf(page)): Promise<Kept> =>
  (await (await page.request.get(`/api/plans/${id}`)).json()) as Kept;
const grams = (k: Kept, ingredient: string) => k.plan.batters[0].lines.find((l) => l.ingredient === ingredient)?.massG;
const batchOf = async (page: Page): Promise<StoredBatch> =>
  (await (await page.request.get(`/api/batches/${idOf(page)}`)).json()) as StoredBatch;
/** The window is looked at again. */
const lookedAt = (page: Page) => page.evaluate(() => window.dispatchEvent(new Event('visibilitychange')));
const another = async (context: BrowserContext, url: string): Promise<Page> => {
  const page = awake(await context.newPage());
  await page.goto(url);
  return page;
};
const cook = async (page: Page) => {
  await page.getByRole('button', { name: 'Cook this' }).click();
  await page.waitForURL(/\/stove/);
};

/** How it went, whatever step is in hand. */
const showAfterwards = async (page: Page) => {
  await page.getByRole('button', { name: 'Whole method' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'How it went' }).click();
};

test('Back after “Cook this” shows the plan as it was saved, and the next save keeps it', async ({ page }) => {
  const id = await newPlan(page, 'Savoury coconut slab');
  await put(page.getByLabel(RICE), '222');
  await put(page.getByLabel('Grams of Tapioca starch'), '77');
  await cook(page);
  await page.goBack();
  await expect(page.getByLabel(RICE)).toHaveValue('222');
  await expect(page.getByLabel('Grams of Tapioca starch')).toHaveValue('77');
  await put(page.getByRole('textbox', { name: 'Name of the plan' }), 'After the stove');
  await saved(page);
  const now = await kept(page, id);
  expect([now.plan.name, grams(now, 'rice-flour-fine'), grams(now, 'tapioca')]).toEqual(['After the stove', 222, 77]);
});

test('cups typed key by key are the cups that were typed; a comma that could be two things is asked about', async ({
  page,
}) => {
  await newPlan(page, 'Savoury coconut slab');
  await page.getByRole('button', { name: 'Cups and spoons' }).click();
  const rice = page.getByLabel('Amount of Rice flour, wet-milled fine');
  await typeIn(rice, '0.5');
  await expect(page.getByTestId('save-state')).toHaveText('Enter takes it');
  await rice.press('Tab');
  await saved(page);
  const half = grams(await kept(page), 'rice-flour-fine') ?? 0;
  await typeIn(rice, '1');
  await rice.press('Enter');
  await saved(page);
  expect((grams(await kept(page), 'rice-flour-fine') ?? 0) / half).toBeCloseTo(2, 2);
  expect(half).toBeGreaterThan(40);
  await page.getByRole('button', { name: 'By weight' }).click();
  const before = await page.getByLabel(RICE).inputValue();
  await typeIn(page.getByLabel(RICE), '1,250');
  await page.getByLabel('Grams of Fine salt').focus();
  await expect(page.getByText('could be 1.25 or 1250: which is it?')).toBeVisible();
  expect(grams(await kept(page), 'rice-flour-fine')).toBeCloseTo(Number(before), 0);
  await page.getByRole('button', { name: '1250 g', exact: true }).click();
  await expect.poll(async () => grams(await kept(page), 'rice-flour-fine')).toBe(1250);
});

test('settings take a whole number, Escape puts it back, and undo follows', async ({ page }) => {
  const put = { count: 0 };
  page.on('request', (r) => (put.count += r.method() === 'PUT' && r.url().endsWith('/api/kitchen') ? 1 : 0));
  await page.goto('/rack');
  const altitude = page.getByLabel('Altitude');
  const before = await altitude.inputValue();
  await typeIn(altitude, '1450');
  await altitude.press('Escape');
  await expect(altitude).toHaveValue(before);
  expect(put.count).toBe(0);
  await typeIn(altitude, '1450');
  await altitude.press('Enter');
  await expect(page.getByText('water boils at 95.1 °C')).toBeVisible();
  expect(put.count).toBe(1);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(altitude).toHaveValue(before);
});

test('a lost answer is no conflict with oneself', async ({ page, context }) => {
  const id = await newPlan(page, 'Savoury coconut slab');
  let lost = 0;
  await context.route(`**/api/plans/${id}`, async (route) => {
    if (route.request().method() !== 'PUT' || lost > 0) return route.continue();
    lost++;
    // It arrives; what the kitchen says of it does not.
    await route.fetch();
    return route.abort();
  });
  await put(page.getByLabel(RICE), '210');
  await expect(page.getByText('Your changes are kept on this device')).toBeVisible();
  await put(page.getByLabel(RICE), '215');
  await saved(page);
  await expect(page.getByRole('dialog')).toHaveCount(0);
  expect(grams(await kept(page), 'rice-flour-fine')).toBe(215);
});

test(
  'two windows: one takes in what the other saved; what a closed one never saved is offered to the next',
  { tag: LONG },
  async ({ page, context }) => {
    const id = await newPlan(page, 'Savoury coconut slab');
    const other = await another(context, page.url());
    await put(other.getByLabel(RICE), '260');
    await saved(other);
    await lookedAt(page);
    await expect(page.getByLabel(RICE)).toHaveValue('260');
    await context.setOffline(true);
    await put(other.getByLabel(RICE), '270');
    await expect(other.getByText('Your changes are kept on this device')).toBeVisible();
    await other.close();
    await context.setOffline(false);
    expect(grams(await kept(page, id), 'rice-flour-fine')).toBe(260);
    await page.reload();
    await expect(page.getByLabel(RICE)).toHaveValue('260');
    await page.getByRole('button', { name: 'Take them in' }).click();
    await expect(page.getByLabel(RICE)).toHaveValue('270');
    await saved(page);
  },
);

test('“Cook this” does not cook an older plan than the one on screen', async ({ page, context }) => {
  const id = await newPlan(page, 'Savoury coconut slab');
  await context.route(`**/api/plans/${id}`, (route) =>
    route.request().method() === 'PUT' ? route.abort() : route.continue(),
  );
  await put(page.getByLabel(RICE), '240');
  await page.getByRole('button', { name: 'Cook this' }).click();
  await expect(page.getByText('The plan is not saved yet')).toBeVisible();
  expect(page.url()).toContain('/plans/');
});

test(
  'at the stove: what is refused stays with why, what happened while cut off bears its own time, and can be taken back',
  { tag: LONG },
  async ({ page, context }) => {
    await newPlan(page, 'Savoury coconut slab');
    await cook(page);
    await showAfterwards(page);
    await context.route('**/events', (route) =>
      route.fulfill({ status: 422, json: { problems: [{ code: 'x', path: '', sentence: 'The pan has no name.' }] } }),
    );
    await page.getByRole('group', { name: 'Overall, one to five' }).getByRole('button', { name: '4' }).click();
    await page.getByLabel('A few words').fill('Soft');
    await page.getByRole('button', { name: 'Write the tasting down' }).click();
    await expect(page.getByText('Not written down: The pan has no name.')).toBeVisible();
    await expect(page.getByLabel('A few words')).toHaveValue('Soft');
    const refused = page.getByRole('region', { name: 'Not written down' });
    await expect(refused).toContainText('Tasted: 4 of 5');
    await context.unroute('**/events');
    await page.reload();
    await expect(refused).toContainText('The pan has no name.');
    await refused.getByRole('button', { name: 'Send again' }).click();
    await expect(refused).toHaveCount(0);
    await showAfterwards(page);
    await expect(page.getByText('1 tasting in the notebook.')).toBeVisible();

    await context.route('**/events', (route) => route.abort());
    await showStep(page, /Check Push/);
    const at = Date.now();
    await page.getByRole('button', { name: 'Sticky' }).click();
    // It was never begun here, so it asks.
    await page.getByRole('textbox', { name: 'In the steam' }).fill('20');
    await page.keyboard.press('Enter');
    await expect(
      page.getByText('Kept on this device; it is written down as soon as the kitchen answers.'),
    ).toBeVisible();
    await expect(page.getByText(/Sticky at/)).toBeVisible();
    await page.waitForTimeout(5000);
    await context.unroute('**/events');
    await expect.poll(async () => (await batchOf(page)).events.some((e) => e.kind === 'checked')).toBe(true);
    const checked = (await batchOf(page)).events.find((e) => e.kind === 'checked');
    expect(Math.abs(Date.parse(checked?.at ?? '') - at)).toBeLessThan(3000);

    await page.getByRole('button', { name: 'Take back' }).click();
    await expect(page.getByText('Taken back: Pick came out sticky')).toBeVisible();
    await showAfterwards(page);
    await page.getByRole('list', { name: 'Tastings' }).getByRole('button', { name: 'Take back' }).click();
    await expect(page.getByText('1 tasting in the notebook.')).toHaveCount(0);
    await page.goto(`/batches/${idOf(page)}`);
    await expect(page.locator('s').filter({ hasText: 'Tasted: 4 of 5' })).toBeVisible();
  },
);

test('in the notebook a tasting is taken back and the taking back undone', async ({ page }) => {
  await page.goto('/notebook');
  await page.getByRole('link', { name: 'Wednesday radish slab' }).first().click();
  await page.waitForURL(/\/batches\//);
  const tasted = page.getByRole('button', { name: /^Take back: Tasted/ });
  await tasted.click();
  await expect(tasted).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(tasted).toHaveCount(1);
});

test(
  'two devices at one stove, one on plain http: each sees what the other ticked, by its own clock',
  { tag: LONG },
  async ({ browser, baseURL, page }) => {
    await newPlan(page, 'Savoury coconut slab');
    await cook(page);
    const tokyo = await browser.newContext({ baseURL, timezoneId: 'Asia/Tokyo' });
    // Over plain http the browser has no maker of ids.
    await tokyo.addInitScript(() => Object.defineProperty(Crypto.prototype, 'randomUUID', { value: undefined }));
    const faults: string[] = [];
    const far = awake(await tokyo.newPage());
    far.on('pageerror', (e) => faults.push(e.message));
    far.on('console', (m) => m.type() === 'error' && faults.push(m.text()));
    await far.goto(page.url());
    await expect(page.getByRole('heading', { level: 1 })).toHaveText('Weigh');
    await far.getByRole('button', { name: 'Done', exact: true }).click();
    await expect(far.getByRole('heading', { level: 1 })).not.toHaveText('Weigh');
    await expect(page.getByRole('heading', { level: 1 })).not.toHaveText('Weigh');
    const hour = async (p: Page) => {
      await p.getByRole('button', { name: 'Whole method' }).click();
      return Number(
        /(\d\d):\d\d/.exec(
          await p
            .getByRole('dialog')
            .getByText(/^done \d/)
            .innerText(),
        )?.[1],
      );
    };
    const here = await page.evaluate(() => new Date().getTimezoneOffset());
    expect(((await hour(far)) - (await hour(page)) + 24) % 24).toBe((9 + here / 60 + 24) % 24);
    await far.goto('/rack');
    await far.getByRole('button', { name: 'Add a steamer' }).click();
    await far.getByRole('dialog').getByLabel('Name').fill('Far steamer');
    await far.getByRole('button', { name: 'Keep it' }).click();
    await expect(far.getByText('Far steamer is on the rack.')).toBeVisible();
    await far.getByRole('button', { name: 'Undo' }).click();
    await expect(far.getByRole('button', { name: 'Far steamer', exact: true })).toHaveCount(0);
    expect(faults).toEqual([]);
    await tokyo.close();
  },
);

test(
  'two devices change one tin: the second is told, and has the last word only if it says so',
  { tag: LONG },
  async ({ page, context }) => {
    await page.goto('/rack');
    const tin = page.getByRole('list').getByRole('button', { name: 'Square tin, 24 cm', exact: true });
    const other = await another(context, '/rack');
    await tin.click();
    await put(page.getByRole('dialog').getByLabel('Height'), '61');
    await other.getByRole('button', { name: 'Square tin, 24 cm', exact: true }).click();
    await put(other.getByRole('dialog').getByLabel('Height'), '55');
    await other.getByRole('button', { name: 'Keep it' }).click();
    await expect(other.getByText(/55 mm high/)).toBeVisible();
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(page.getByText('was changed on another page meanwhile')).toBeVisible();
    await expect(page.getByRole('dialog').getByLabel('Height')).toHaveValue('61');
    await page.getByRole('button', { name: 'Keep it' }).click();
    await expect(page.getByText(/61 mm high/)).toBeVisible();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByText(/55 mm high/)).toBeVisible();
  },
);

test(
  'an earlier version is found by what changed, and made the newest; nothing is lost',
  { tag: LONG },
  async ({ page }) => {
    await newPlan(page, 'Savoury coconut slab');
    const was = await page.getByLabel(RICE).inputValue();
    await put(page.getByLabel(RICE), '250');
    await saved(page);
    await put(page.getByLabel('Grams of Tapioca starch'), '61');
    await saved(page);
    await page.getByRole('link', { name: 'Earlier versions' }).click();
    const versions = page.getByRole('list', { name: 'Versions' }).getByRole('listitem');
    await expect(versions).toHaveCount(3);
    await expect(versions.nth(0)).toContainText('Tapioca starch 60 g to 61 g');
    await expect(versions.nth(1)).toContainText(`Rice flour ${was} g to 250 g`);
    await versions.nth(2).getByRole('button', { name: 'Make it the newest' }).click();
    await page.waitForURL(/\/plans\/[^/]+$/);
    await expect(page.getByLabel(RICE)).toHaveValue(was);
    await page.getByRole('link', { name: 'Earlier versions' }).click();
    await expect(versions).toHaveCount(4);
  },
);

test(
  'a finger that scrolls over a drawing changes nothing; one that takes hold of the handle does',
  { tag: LONG },
  async ({ browser, baseURL }) => {
    const context = await touched(browser, baseURL);
    const page = awake(await context.newPage());
    const id = await newPlan(page, 'Savoury coconut slab');
    await view(page, 'Blend');
    const swipe = await finger(page);
    const field = page.getByRole('group', { name: /^Blend field/ });
    await field.evaluate((e) => e.scrollIntoView({ block: 'start' }));
    const box = await field.boundingBox();
    const handle = page.getByRole('slider', { name: /^Blend/ });
    if (!box) throw new Error('no field');
    const words = await handle.getAttribute('aria-valuetext');
    await swipe([box.x + box.width * 0.3, box.y + box.height * 0.85], [box.width * 0.05, -box.height * 0.45]);
    expect(await handle.getAttribute('aria-valuetext')).toBe(words);
    expect((await kept(page, id)).revision).toBe(1);
    await handle.evaluate((e) => e.scrollIntoView({ block: 'center' }));
    const grip = await handle.boundingBox();
    if (!grip) throw new Error('no handle');
    const middle = [grip.x + grip.width / 2, grip.y + grip.height / 2] as const;
    await swipe(middle, [30, 40]);
    await expect(handle).not.toHaveAttribute('aria-valuetext', words ?? '');
    await expect.poll(async () => (await kept(page, id)).revision).toBe(2);
    await context.close();
  },
);

test('dragged by the grip, the cut is one step that undo takes back', { tag: LONG }, async ({ page }) => {
  await newPlan(page, 'Savoury coconut slab');
  await openStation(page, 'Cut');
  const grip = page.getByRole('slider', { name: /^Width of a piece/ });
  const before = await grip.getAttribute('aria-valuetext');
  const box = await grip.boundingBox();
  if (!box) throw new Error('no grip');
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 25, box.y + box.height / 2, { steps: 6 });
  await page.mouse.up();
  await expect(grip).not.toHaveAttribute('aria-valuetext', before ?? '');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(grip).toHaveAttribute('aria-valuetext', before ?? '');
  await expect(page.getByRole('button', { name: 'Undo', exact: true })).toBeDisabled();
  await grip.press('ArrowRight');
  await expect(grip).not.toHaveAttribute('aria-valuetext', before ?? '');
});

test(
  'a plan, a tin and settings that cannot be read are shown as they are, and break no page',
  { tag: LONG },
  async ({ page }) => {
    const id = await newPlan(page, 'Savoury coconut slab');
    await put(page.getByLabel(RICE), '250');
    await saved(page);
    await heated(page);
    // As a disk, a hand or a later version might have left them.
    const { openDatabase } = await import('../db');
    const port = new URL(page.url()).port;
    const db = await openDatabase(`${process.env.IDLE_LADLE_TEST_FOLDER}/${port}.sqlite`);
    await db.write(async (transaction) => {
      for (const sql of [
        `UPDATE plans SET document = '{"format":"idle-ladle/plan","version":2,"name":"Torn' WHERE id = '${id}'`,
        "INSERT INTO vessels (id, document, revision, created_at, updated_at) VALUES ('torn', '{\"shape\":\"spiral\"}', 1, '', '')",
      ])
        await db.sequelize.query(sql, { transaction });
    });
    await db.close();
    await page.goto('/');
    await expect(page.getByText('It cannot be read; open it to see what is kept.')).toBeVisible();
    await page.goto(`/plans/${id}`);
    await expect(page.getByText('"name":"Torn')).toBeVisible();
    await page.getByRole('link', { name: 'Earlier versions' }).click();
    await page.getByRole('button', { name: 'Make it the newest' }).first().click();
    await expect(page.getByLabel(RICE)).toHaveValue('250');
    await page.goto('/rack');
    const torn = page.getByRole('region', { name: 'Cannot be read' });
    await torn.getByText('What is kept').click();
    await expect(torn).toContainText('spiral');
    await torn.getByRole('button', { name: 'Put it away' }).click();
    await expect(torn).toHaveCount(0);
  },
);

test(
  'what is half entered is there after a reload: a tasting, a form of the rack, the notes of a plan',
  { tag: LONG },
  async ({ page }) => {
    const id = await newPlan(page, 'Savoury coconut slab');
    await openStation(page, 'Serve');
    await page.getByLabel('Notes').pressSequentially('Half a note');
    await page.reload();
    await openStation(page, 'Serve');
    await expect(page.getByLabel('Notes')).toHaveValue('Half a note');
    await saved(page);
    expect(((await kept(page, id)).plan as { notes?: string }).notes).toBe('Half a note');

    await cook(page);
    await showAfterwards(page);
    await page.getByRole('button', { name: '4', exact: true }).click();
    await page.getByLabel('A few words').pressSequentially('Soft, a little');
    await page.reload();
    await showAfterwards(page);
    await expect(page.getByLabel('A few words')).toHaveValue('Soft, a little');
    await page.getByLabel('A few words').press('End');
    await page.getByLabel('A few words').pressSequentially(' salty');
    await page.getByRole('button', { name: 'Write the tasting down' }).click();
    await expect(page.getByText('4 of 5, “Soft, a little salty”')).toBeVisible();
    await page.reload();
    await showAfterwards(page);
    await expect(page.getByLabel('A few words')).toHaveValue('');

    await page.goto('/rack');
    await page.getByRole('button', { name: 'Add a steamer' }).click();
    await page.getByRole('dialog').getByLabel('Name').pressSequentially('Attic steamer');
    await page.reload();
    await page.getByRole('button', { name: 'Add a steamer' }).click();
    await expect(page.getByRole('dialog').getByLabel('Name')).toHaveValue('Attic steamer');
    await expect(page.getByText('What you had typed is back.')).toBeVisible();
    await page.getByRole('button', { name: 'Leave it' }).click();
  },
);
