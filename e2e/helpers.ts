import { test as base, expect, type Browser, type BrowserContext, type Locator, type Page } from '@playwright/test';
import axe from 'axe-core';
import { FAMILIES } from '../core/families';
import type { Kitchen } from '../core/kitchen';
import { newPlan as startOf } from '../core/desk/newPlan';
import { STATION_WORDS } from '../ui/timeline/headline';

export { LONG } from '../scripts/turns.mjs';

/** The page whose first look and reload wait until it answers to presses and keys. */
export function awake(page: Page): Page {
  const [goto, reload] = [page.goto.bind(page), page.reload.bind(page)];
  const answers = () => page.locator('main:not([inert])').waitFor();
  page.goto = async (...args) => {
    const got = await goto(...args);
    await answers();
    return got;
  };
  page.reload = async (...args) => {
    const got = await reload(...args);
    await answers();
    return got;
  };
  return page;
}
export const test = base.extend({
  page: async ({ page }, use) => {
    // The browser keeps what it has compiled from test to test; what the last one's page remembers goes.
    await page.goto('/icon.svg');
    await page.evaluate(() => sessionStorage.clear());
    await use(awake(page));
  },
});

/** Shows a step at the stove by its verb, from the whole method. */
export async function showStep(page: Page, verb: RegExp | string): Promise<void> {
  await page.getByRole('button', { name: 'Whole method' }).click();
  await page.getByRole('dialog').getByRole('button', { name: verb }).first().click();
}

/** The stations of the bench, in their order. */
export const STATION_NAMES = Object.values(STATION_WORDS);

/** A new plan of a family as the galley would start it, opened on its bench with its heat worked out. */
export async function newPlan(page: Page, name: string): Promise<string> {
  const family = FAMILIES.find((f) => f.name === name);
  if (!family) throw new Error(`no family is called ${name}`);
  const { kitchen } = (await (await page.request.get('/api/kitchen')).json()) as { kitchen: Kitchen };
  const made = await page.request.post('/api/plans', { data: startOf(family, kitchen, {}).plan });
  const { id } = (await made.json()) as { id: string };
  await page.goto(`/plans/${id}`);
  await heated(page);
  return id;
}

/** Waits until the heat solver has answered for the plan as it stands. */
export async function heated(page: Page): Promise<void> {
  await expect(page.getByRole('region', { name: 'Life of the cake' })).toHaveAttribute('aria-busy', 'false');
}

/** What is read once it has stayed the same for a while, however long a busy machine takes to get there. */
export async function atRest<T>(page: Page, read: () => Promise<T>): Promise<T> {
  let [now, same] = [await read(), 0];
  for (let i = 0; same < 4 && i < 100; i++) {
    await page.waitForTimeout(200);
    // The page has drawn twice since.
    await page.evaluate(() => new Promise((then) => requestAnimationFrame(() => requestAnimationFrame(then))));
    const next = await read();
    same = next === now ? same + 1 : 0;
    now = next;
  }
  return now;
}

/** Chooses from a list of the device's own by what its option says, or begins with. */
export async function choose(within: Page | Locator, label: string | RegExp, option: string | RegExp): Promise<void> {
  const list = within.getByRole('combobox', typeof label === 'string' ? { name: label, exact: true } : { name: label });
  await list.waitFor();
  const words = await list.locator('option').allTextContents();
  const found = words.find((w) =>
    typeof option === 'string' ? w === option || w.startsWith(`${option} (`) : option.test(w),
  );
  if (found === undefined) throw new Error(`no ${String(option)} in ${String(label)}: ${words.join('; ')}`);
  // A cook's hand leaves what it was in before.
  await list.focus();
  await list.selectOption({ label: found });
}

/** Opens what belongs to a line of the sentences: its salt, minutes, stand-ins. */
export const openLine = (page: Page, name: string | RegExp): Promise<void> =>
  page.locator('[data-step]').getByRole('button', { name, exact: true, expanded: false }).first().click();

export const headline = async (page: Page, station: string): Promise<string> =>
  (await page.getByTestId(`headline-${station}`).innerText()).trim();
export const openStation = (page: Page, name: string) =>
  page.getByRole('tab', { name: new RegExp(`^${name}`) }).click();
export const saved = (page: Page) => expect(page.getByTestId('save-state')).toHaveText('Saved');

/** Writes into a field and has it taken. */
export async function put(field: Locator, text: string): Promise<void> {
  await field.fill(text);
  await field.press('Enter');
}
/** Types into a field key by key, over what stands there. */
export async function typeIn(field: Locator, text: string): Promise<void> {
  await field.click();
  await field.press('Control+a');
  await field.pressSequentially(text, { delay: 25 });
}

/** WCAG A and AA faults on the page, as readable lines; none is expected. */
export async function accessFaults(page: Page): Promise<string[]> {
  await page.evaluate(axe.source);
  return page.evaluate(async () => {
    const run = (
      window as unknown as {
        axe: {
          run: (
            c: Document,
            o: object,
          ) => Promise<{ violations: { id: string; nodes: { html: string; failureSummary?: string }[] }[] }>;
        };
      }
    ).axe.run;
    const found = await run(document, {
      runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'],
      // What is in order is not told one by one.
      resultTypes: ['violations'],
    });
    return found.violations.flatMap((v) =>
      v.nodes.map((n) => `${v.id}: ${n.html.slice(0, 160)} ${n.failureSummary ?? ''}`),
    );
  });
}

/** Opens a part of the mix: the weigh-out table, or what stands under a sentence. */
export const view = (page: Page, name: string): Promise<void> =>
  name === 'Weigh'
    ? page.getByRole('group', { name: 'Shown as' }).getByRole('button', { name: 'Weigh-out table' }).click()
    : page.getByRole('button', { name, exact: true, expanded: false }).click();

/** A phone that is touched. */
export const touched = (browser: Browser, baseURL: string | undefined): Promise<BrowserContext> =>
  browser.newContext({ baseURL, hasTouch: true, isMobile: true, viewport: { width: 390, height: 800 } });

/** A finger on a page: from a place, by so much, px, as a screen that is touched tells it. */
export async function finger(
  page: Page,
): Promise<(from: readonly [number, number], by: readonly [number, number]) => Promise<void>> {
  const cdp = await page.context().newCDPSession(page);
  return async (from, by) => {
    const point = (k: number) => [{ x: from[0] + by[0] * k, y: from[1] + by[1] * k }];
    await cdp.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: point(0) });
    for (let k = 0.1; k <= 1; k += 0.1)
      await cdp.send('Input.dispatchTouchEvent', { type: 'touchMove', touchPoints: point(k) });
    await cdp.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
    await page.waitForTimeout(700);
  };
}
