import { expect } from '@playwright/test';
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { LONG, newPlan, openStation, saved, STATION_NAMES, test } from './helpers';
import { OTHER } from './kitchens';

test.use(OTHER);

test('out of reach once it is awake, every press of the bench goes on, and nothing that was typed is lost', async ({
  page,
  context,
}) => {
  await newPlan(page, 'Radish slab');
  // What comes later is fetched once the page is awake.
  await page.waitForLoadState('networkidle');
  await page.waitForTimeout(4000);
  await context.setOffline(true);
  const grams = page.getByLabel('Grams of Rice flour, wet-milled fine').first();
  await grams.fill('321');
  await grams.press('Enter');
  for (const name of STATION_NAMES) {
    await openStation(page, name);
    const panels = page.locator('#station button[aria-expanded="false"]');
    for (let i = 0, n = Math.min(await panels.count(), 12); i < n; i++) {
      const one = page.locator('#station button[aria-expanded]').nth(i);
      if (!(await one.isVisible()) || (await one.isDisabled())) continue;
      await one.click();
      await expect(page.getByRole('heading', { name: 'This page did not come out' })).toHaveCount(0);
      await expect(page.getByText('it comes when the kitchen answers')).toHaveCount(0);
    }
  }
  await openStation(page, 'Mix');
  await expect(grams).toHaveValue('321');
  await context.setOffline(false);
  await saved(page);
});

test('a plan and a batch that were deleted are brought back from where deleted things are, also after the page was left', async ({
  page,
}) => {
  const id = await newPlan(page, 'Taro slab');
  const name = await page.getByRole('textbox', { name: 'Name of the plan' }).inputValue();
  const begun = await page.request.post('/api/batches', { data: { planId: id } });
  const batch = (await begun.json()) as { id: string };
  await page.getByRole('button', { name: 'Delete this plan' }).click();
  await page.waitForURL(/deleted=/);
  await page.goto(`/batches/${batch.id}`);
  await page.getByRole('button', { name: 'Delete', exact: true }).click();
  await page.waitForURL(/\/notebook$/);
  await page.goto('/rack');
  await page.goto('/');
  await page.getByRole('link', { name: /^Deleted/ }).click();
  await page.getByRole('button', { name: `Bring back: Plan: ${name}` }).click();
  await page.getByRole('button', { name: `Bring back: Batch: ${name}` }).click();
  await expect(page.getByRole('button', { name: new RegExp(`Bring back: .*${name}`) })).toHaveCount(0);
  expect((await page.request.get(`/api/plans/${id}`)).status()).toBe(200);
  expect((await page.request.get(`/api/batches/${batch.id}`)).status()).toBe(200);
  // Erased, it is gone: that is asked about first.
  await page.request.delete(`/api/batches/${batch.id}`);
  await page.reload();
  await page.getByRole('button', { name: `Erase now: Batch: ${name}` }).click();
  await page.getByRole('button', { name: `Erase for good: Batch: ${name}` }).click();
  await expect(page.getByRole('button', { name: `Erase now: Batch: ${name}` })).toHaveCount(0);
  const again = await page.request.post('/api/trash', { data: { what: 'bring-back', kind: 'batch', id: batch.id } });
  expect(again.status()).toBe(404);
});

test('a pan is not kept while one of its fields is red; a length is read in the unit that is typed', async ({
  page,
}) => {
  await page.goto('/rack');
  await page.getByRole('button', { name: 'Add a vessel' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Name').fill('Quay tin');
  await dialog.getByLabel('Height').fill('6 bushels');
  await dialog.getByRole('button', { name: 'Keep it' }).click();
  await expect(dialog.getByRole('alert')).toContainText('Height:');
  await expect(dialog.getByLabel('Height')).toBeFocused();
  await dialog.getByLabel('Height').fill('6 cm');
  await dialog.getByRole('button', { name: 'Keep it' }).click();
  await expect(dialog).toHaveCount(0);
  const { kitchen } = (await (await page.request.get('/api/kitchen')).json()) as {
    kitchen: { vessels: { name: string; heightM: number }[] };
  };
  expect(kitchen.vessels.find((v) => v.name === 'Quay tin')?.heightM).toBeCloseTo(0.06, 9);
});

test('eight pages at the stove in one browser all load, and hear of each other', async ({ page, context }) => {
  const id = await newPlan(page, 'Savoury coconut slab');
  const begun = await page.request.post('/api/batches', { data: { planId: id } });
  const batch = (await begun.json()) as { id: string };
  const pages = [page];
  await page.goto(`/batches/${batch.id}/stove`);
  for (let i = 0; i < 7; i++) {
    const next = await context.newPage();
    await next.goto(`/batches/${batch.id}/stove`, { timeout: 20_000 });
    pages.push(next);
  }
  for (const p of pages) await expect(p.getByRole('heading', { level: 1 })).toHaveText('Weigh');
  await pages[7].getByRole('button', { name: 'Done', exact: true }).click();
  for (const p of pages) await expect(p.getByRole('heading', { level: 1 })).not.toHaveText('Weigh');
});

test('open to a network it asks each device for its code, once', { tag: LONG }, async ({ browser }) => {
  const folder = mkdtempSync(join(tmpdir(), 'idle-ladle-open-'));
  const start = (env: Record<string, string>) => {
    const child = spawn(process.execPath, ['dist/idle-ladle.mjs'], {
      stdio: ['ignore', 'pipe', 'pipe'],
      env: { ...process.env, NODE_ENV: 'production', IDLE_LADLE_DB: join(folder, 'k.sqlite'), HOST: '0.0.0.0', ...env },
    });
    let said = '';
    for (const out of [child.stdout, child.stderr]) out.on('data', (x) => (said += String(x)));
    return { child, said: () => said, ended: new Promise((done) => child.on('exit', done)) };
  };
  const bare = start({ PORT: '3993' });
  expect(await bare.ended).toBe(1);
  expect(bare.said()).toMatch(/set IDLE_LADLE_CODE/);
  const short = start({ PORT: '3993', IDLE_LADLE_CODE: 'taro' });
  expect(await short.ended).toBe(1);
  expect(short.said()).toMatch(/too short/);
  const open = start({ PORT: '3993', IDLE_LADLE_CODE: 'taro-and-ladle' });
  try {
    await expect.poll(open.said).toContain('Ready');
    expect(open.said()).toMatch(/asked for the code once.*can read what is sent/);
    const context = await browser.newContext();
    const page = await context.newPage();
    await page.goto('http://127.0.0.1:3993/rack');
    await page.getByLabel('Code').fill('not the code');
    await page.getByRole('button', { name: 'Come in' }).click();
    await expect(page.getByRole('alert')).toContainText('not the code');
    await page.getByLabel('Code').fill('taro-and-ladle');
    await page.getByRole('button', { name: 'Come in' }).click();
    await page.waitForURL('http://127.0.0.1:3993/rack');
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await page.goto('http://127.0.0.1:3993/larder');
    await expect(page.getByLabel('Code')).toHaveCount(0);
    await context.close();
  } finally {
    open.child.kill('SIGTERM');
    await open.ended;
    rmSync(folder, { recursive: true, force: true });
  }
});
