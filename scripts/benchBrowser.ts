import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { FAMILIES, familyOf, formulaOf } from '@/core/families';
import { CHROMIUM_FLAGS } from './chromium';
import { GOALS, measureDrag, measureFirst, measureGallery, measureKeys, measureMap, measureWire } from './benchMeasure';
import { answering, spawnServer } from './soak/kit';

/** How the bench answers in a browser, on the production build: a drag, keys, the first look and what it is sent. */
const folder = mkdtempSync(join(tmpdir(), 'idle-ladle-browser-'));
const server = spawnServer(join(folder, 'kitchen.sqlite'), 3352);
await answering(server);
/** The address of a new plan of a family's own formula. */
async function planOf(familyId: string): Promise<string> {
  const family = familyOf(familyId);
  if (!family.ok) throw new Error(family.problems[0].sentence);
  const made = await fetch(`${server.url}/api/plans`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(formulaOf(family.value)),
  });
  return `${server.url}/plans/${((await made.json()) as { id: string }).id}`;
}
const address = await planOf('radish-slab');
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: CHROMIUM_FLAGS });
const looks = await browser.newContext({ viewport: { width: 1280, height: 800 } });
const page = await looks.newPage();

const row = (name: string, value: number, unit: string, goal: number, least = false) =>
  console.log(
    `${name.padEnd(58)} ${value.toFixed(0).padStart(6)} ${unit.padEnd(4)} goal ${goal} ${(least ? value >= goal : value <= goal) ? '' : '  MISSED'}`,
  );
console.log('\nThe bench in a browser');
const first = await measureFirst(page, address);
row('first plan page, until it answers', first.firstMs, 'ms', GOALS.firstMs);
row('with its sentences', first.sentencesMs, 'ms', 2 * GOALS.firstMs);
const wire = await measureWire(browser, address);
row('its scripts, on the wire', wire.scriptKb, 'kB', GOALS.scriptKb);
row('all that is sent before it can be used, on the wire', wire.beforeKb, 'kB', GOALS.beforeKb);
console.log(`${'  and what is fetched once it is awake'.padEnd(58)} ${wire.afterKb.toFixed(0).padStart(6)} kB`);
row('its page', first.htmlKb, 'kB', GOALS.htmlKb);
await page.goto(address);
await page.locator('section[aria-busy=false]').first().waitFor();
await page.waitForTimeout(1500);
const drag = await measureDrag(page, page.getByRole('slider', { name: 'Depth of the batter' }));
row('longest task of a drag of 2 s (0: none over 50)', drag.longestMs, 'ms', GOALS.taskMs);
row('frames of it', drag.framesPerS, '/s', GOALS.framesPerS, true);
const keys = await measureKeys(
  page,
  page.getByLabel('Grams of Rice flour, wet-milled fine'),
  page.getByTestId('headline-mix'),
);
row('a key to a changed figure, slowest twentieth', keys, 'ms', GOALS.keyMs);
let galleryMs = 0;
// Once to warm the server.
for (let i = 0; i < 2; i++) {
  await page.goto(`${server.url}/`);
  await page.waitForTimeout(1500);
  galleryMs = await measureGallery(page, FAMILIES.length);
}
row('eighteen cakes drawn, from the press for a new plan', galleryMs, 'ms', GOALS.galleryMs);
await page.goto(`${await planOf('savoury-coconut-slab')}/try`);
await page.getByText('Working out the curves').waitFor({ state: 'visible' });
await page.getByText('Working out the curves').waitFor({ state: 'hidden', timeout: 120_000 });
await measureMap(page);
row('two hundred forecasts of a round pour, on all cores', await measureMap(page), 'ms', GOALS.sweepMs);
await browser.close();
await server.kill();
rmSync(folder, { recursive: true, force: true });
