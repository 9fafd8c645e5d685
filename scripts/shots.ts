import { mkdirSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { CHROMIUM_FLAGS } from './chromium';

/**
 * Pictures of the main views from a running demo, for docs/screenshots.
 * Use: npm run shots -- http://127.0.0.1:3000 [folder] [name …]
 */
const [address = 'http://127.0.0.1:3000', folder = 'docs/screenshots', ...only] = process.argv.slice(2);

const openPlan = async (page: Page, name: string, station?: string) => {
  await page.goto(address);
  await page.getByRole('link', { name }).first().click();
  await page.getByRole('tab').first().waitFor();
  if (station) await page.getByRole('tab', { name: new RegExp(`^${station}`) }).click();
  await page.waitForTimeout(1500);
};

/** A plan of a family, made afresh and opened at a station. */
const fromFamily = async (page: Page, family: string, station: string) => {
  await page.goto(`${address}/plans/new`);
  await page.getByRole('button', { name: new RegExp(`^${family}`) }).click();
  await page.waitForURL(/plans\/(?!new)/);
  await page.getByRole('tab', { name: new RegExp(`^${station}`) }).click();
  await page.waitForTimeout(2500);
};

const VIEWS: Readonly<Record<string, (page: Page) => Promise<void>>> = {
  home: async (page) => {
    await page.goto(address);
    await page.waitForTimeout(600);
  },
  bench: (page) => openPlan(page, 'Wednesday radish slab'),
  blend: async (page) => {
    await openPlan(page, 'Wednesday radish slab');
    await page.getByRole('button', { name: 'Blend', exact: true }).click();
    await page.waitForTimeout(900);
  },
  water: async (page) => {
    await openPlan(page, 'Wednesday radish slab');
    await page.getByRole('button', { name: 'Water', exact: true }).click();
    await page.waitForTimeout(600);
  },
  sauces: async (page) => {
    await openPlan(page, 'Wednesday radish slab');
    await page.getByRole('button', { name: 'Sauces', exact: true }).click();
    await page.waitForTimeout(600);
  },
  rack: async (page) => {
    await page.goto(`${address}/rack`);
    await page.waitForTimeout(600);
  },
  copies: async (page) => {
    await page.goto(`${address}/copies`);
    // One that a picture before this left open.
    const open = page.getByRole('button', { name: 'Close the copy' });
    if (await open.isVisible()) await open.click();
    const saved = page.waitForEvent('download');
    await page.getByRole('button', { name: 'Save a copy' }).click();
    const made = await saved;
    const copy = join(mkdtempSync(join(tmpdir(), 'idle-ladle-shot-')), made.suggestedFilename());
    await made.saveAs(copy);
    // Changed since, so that there is something to choose.
    const { rows } = (await (await page.request.get(`${address}/api/plans`)).json()) as {
      rows: { id: string; name: string }[];
    };
    const at = `${address}/api/plans/${rows.find((r) => r.name === 'Wednesday radish slab')?.id}`;
    const { revision, plan } = (await (await page.request.get(at)).json()) as { revision: number; plan: object };
    await page.request.put(at, {
      data: { revision, plan: { ...plan, guests: 31 + revision, notes: 'For the visitors too.' } },
    });
    await page.request.delete(`${address}/api/plans/${rows[rows.length - 1].id}`);
    const { rows: batches } = (await (await page.request.get(`${address}/api/batches`)).json()) as {
      rows: { id: string }[];
    };
    await page.request.delete(`${address}/api/batches/${batches[0].id}`);
    await page.request.post(`${address}/api/plans`, { data: { ...plan, name: 'Slab for the autumn head' } });
    await page.getByLabel('Choose a copy').setInputFiles(copy);
    await page.getByRole('button', { name: 'Close the copy' }).waitFor();
    await page.getByText(/guests \d+ to/).waitFor();
    await page.waitForTimeout(500);
  },
  loads: (page) => fromFamily(page, 'Dimpled cups', 'Steam'),
  'new-plan': async (page) => {
    await page.goto(`${address}/plans/new`);
    await page
      .getByText(/in all/)
      .nth(17)
      .waitFor({ timeout: 60_000 });
    await page.waitForTimeout(500);
  },
  find: async (page) => {
    await page.goto(address);
    await page.keyboard.press('/');
    await page.getByRole('combobox').pressSequentially('rad');
    await page.waitForTimeout(600);
  },
  compare: async (page) => {
    await openPlan(page, 'Wednesday radish slab');
    await page.goto(`${page.url()}/compare`);
    const other = page.getByRole('combobox', { name: 'Laid beside' });
    await other.selectOption({ label: "Novices' plain radish slab" });
    await page.waitForTimeout(3500);
  },
  try: async (page) => {
    await openPlan(page, 'Wednesday radish slab');
    await page.goto(`${page.url()}/try`);
    await page.getByText('Working out the curves').waitFor({ state: 'visible' });
    await page.getByText('Working out the curves').waitFor({ state: 'hidden', timeout: 60_000 });
    await page.waitForTimeout(1500);
  },
  mind: async (page) => {
    await openPlan(page, 'Wednesday radish slab', 'Rest');
    await page.getByRole('button', { name: /^Take out stage 2/ }).click();
    await page.getByLabel('Time of stage 1').fill('180');
    await page.keyboard.press('Enter');
    await page
      .getByRole('button', { name: /^Take it/ })
      .first()
      .waitFor({ timeout: 30_000 });
    await page.waitForTimeout(2500);
  },
  card: async (page) => {
    await openPlan(page, 'Wednesday radish slab');
    await page.goto(`${page.url()}/card`);
    await page.waitForTimeout(900);
  },
  'stand-ins': async (page) => {
    await openPlan(page, 'Wednesday radish slab');
    await page.getByRole('button', { name: 'cured pork sausage', exact: true }).click();
    await page.getByRole('button', { name: 'Stand-ins for Cured pork sausage' }).click();
    await page.waitForTimeout(4000);
  },
  learned: async (page) => {
    await page.goto(`${address}/notebook/learned`);
    await page.waitForTimeout(800);
  },
  larder: async (page) => {
    await page.goto(`${address}/larder`);
    await page.waitForTimeout(1200);
  },
  vessel: (page) => openPlan(page, 'Boathouse slab', 'Vessel'),
  steam: (page) => openPlan(page, 'Regatta morning', 'Steam'),
  rest: (page) => openPlan(page, 'Regatta morning', 'Rest'),
  cut: (page) => openPlan(page, 'plain radish slab', 'Cut'),
  sear: (page) => openPlan(page, 'Wednesday radish slab', 'Sear'),
  serve: (page) => openPlan(page, 'Wednesday radish slab', 'Serve'),
  stove: async (page) => {
    await openPlan(page, 'Regatta morning');
    await page.getByRole('button', { name: 'Cook this' }).click();
    await page.waitForURL(/stove/);
    const id = /batches\/([^/]+)/.exec(page.url())?.[1] ?? '';
    const { snapshot } = (await (await page.request.get(`${address}/api/batches/${id}`)).json()) as {
      snapshot: { steps: { id: string }[] };
    };
    const send = (event: object, n: number) =>
      page.request.post(`${address}/api/batches/${id}/events`, { data: { key: `shot-${id}-${n}`, event } });
    for (const [n, step] of snapshot.steps.entries()) {
      if (step.id === 'steam:cake') break;
      await send({ kind: 'ticked', stepId: step.id, done: true }, n);
    }
    await send({ kind: 'begun', stepId: 'steam:cake' }, 100);
    // On a practice clock the steam has run in seconds.
    const clock = (speed: number) => page.request.post(`${address}/api/devices/clock`, { data: { speed } });
    await clock(200);
    await page.getByRole('heading', { level: 1, name: 'Check' }).waitFor({ timeout: 60_000 });
    await clock(1);
    await send({ kind: 'timer-set', timer: `tea-${id}`, name: 'tea for the crew', forS: 560 }, 101);
    await page.getByRole('button', { name: 'Sticky' }).click();
    await page.waitForTimeout(2500);
  },
  versions: async (page) => {
    await openPlan(page, 'Regatta morning');
    for (const [label, text] of [
      ['Grams of Tapioca starch', '100'],
      ['Grams of Rice flour, wet-milled fine', '320'],
      ['Grams of Fine salt', '10'],
    ] as const) {
      await page.getByLabel(label).fill(text);
      await page.getByLabel(label).press('Enter');
      await page.waitForTimeout(900);
    }
    await page.getByRole('link', { name: 'Earlier versions' }).click();
    await page.getByRole('list', { name: 'Versions' }).waitFor();
    await page.waitForTimeout(400);
  },
  notebook: async (page) => {
    await page.goto(`${address}/notebook`);
    await page.waitForTimeout(500);
  },
  batch: async (page) => {
    await page.goto(`${address}/notebook`);
    await page.getByRole('link', { name: 'Wednesday radish slab' }).first().click();
    await page.getByText('As it went').waitFor();
    await page.waitForTimeout(400);
  },
};

mkdirSync(folder, { recursive: true });
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: CHROMIUM_FLAGS });
const wanted = (only.length > 0 ? only : Object.keys(VIEWS)).map((o) => o.split('@'));
for (const [name, look = ''] of wanted) {
  const go = VIEWS[name];
  const page = await browser.newPage({
    viewport: look.includes('phone') ? { width: 390, height: 844 } : { width: 1280, height: 800 },
    colorScheme: look.includes('night') ? 'dark' : 'light',
  });
  page.on('console', (m) => {
    if (m.type() === 'error') console.error(name, m.text().slice(0, 400));
  });
  page.on('pageerror', (e) => console.error(name, e.message.slice(0, 400)));
  await go(page);
  await page.screenshot({ path: `${folder}/${name}${look ? `-${look}` : ''}.png` });
  await page.close();
}
await browser.close();
