import { readFileSync } from 'node:fs';
import type { Browser, Locator, Page } from '@playwright/test';

/** What the bench may take; tests hold it to twice of each. */
export const GOALS = {
  taskMs: 50,
  framesPerS: 50,
  keyMs: 50,
  firstMs: 1000,
  /** On the wire: scripts of the page, and all before it can be used. */
  scriptKb: 330,
  beforeKb: 480,
  htmlKb: 40,
  /** From the press for a new plan to eighteen cakes drawn, ms. */
  galleryMs: 300,
  /** Two hundred forecasts of a round pour on the cores there are, ms. */
  sweepMs: 1000,
} as const;

/**
 * Of the time in which this machine had work to do, since the last call, the share in which it ran and no neighbour had its processors, 0 to 1;
 * 1 where the system does not say. So much of a measured time is the work's own.
 */
export function ownTime(): () => number {
  const read = () => {
    try {
      const [user, nice, system, , , irq, softirq, taken] = readFileSync('/proc/stat', 'utf8')
        .split('\n', 1)[0]
        .split(/\s+/)
        .slice(1)
        .map(Number);
      return { ran: user + nice + system + irq + softirq, taken };
    } catch {
      return { ran: 1, taken: 0 };
    }
  };
  let last = read();
  return () => {
    const [before, now] = [last, read()];
    last = now;
    const [ran, taken] = [now.ran - before.ran, now.taken - before.taken];
    return ran > 0 && taken > 0 ? ran / (ran + taken) : 1;
  };
}

/** Long tasks and frames of a page, from here on; as text, since what compiles this file adds names of its own to functions. */
const WATCH = `
  const seen = (window.seen = { tasks: [], frames: [], on: true });
  new PerformanceObserver((list) => list.getEntries().forEach((e) => seen.tasks.push(e.duration))).observe({
    entryTypes: ['longtask'],
  });
  requestAnimationFrame(function frame(t) {
    seen.frames.push(t);
    if (seen.on) requestAnimationFrame(frame);
  });
`;

/** A drag of so long up and down a handle: the longest task on the main thread, ms (0: none over 50), and frames a second. */
export async function measureDrag(
  page: Page,
  handle: Locator,
  forMs = 2000,
): Promise<{ readonly longestMs: number; readonly framesPerS: number }> {
  const box = await handle.boundingBox();
  if (!box) throw new Error('nothing to take hold of');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x, y - 6);
  await page.evaluate(WATCH);
  const until = Date.now() + forMs;
  for (let i = 0; Date.now() < until; i++) {
    await page.mouse.move(x, y - 18 * Math.sin(i / 9));
    await page.waitForTimeout(14);
  }
  const seen = await page.evaluate(() => {
    const { seen } = window as unknown as { seen: { tasks: number[]; frames: number[]; on: boolean } };
    seen.on = false;
    return { tasks: seen.tasks, frames: seen.frames };
  });
  await page.mouse.up();
  const spanS = (seen.frames[seen.frames.length - 1] - seen.frames[0]) / 1000;
  return { longestMs: Math.max(0, ...seen.tasks), framesPerS: (seen.frames.length - 1) / spanS };
}

/** From a key in a field to a changed figure elsewhere on the page, ms, the slowest twentieth of so many. */
export async function measureKeys(page: Page, field: Locator, figure: Locator, times = 40): Promise<number> {
  await field.click();
  const took: number[] = [];
  const [from, to] = [await field.elementHandle(), await figure.elementHandle()];
  for (let i = 0; i < times; i++) {
    const ms = await page.evaluate(
      ([input, shown, text]) =>
        new Promise<number>((done, fail) => {
          const el = input as HTMLInputElement;
          const began = performance.now();
          const watcher = new MutationObserver(() => {
            watcher.disconnect();
            done(performance.now() - began);
          });
          watcher.observe(shown as Node, { childList: true, characterData: true, subtree: true });
          setTimeout(() => fail(new Error('the figure did not change')), 5000);
          Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set?.call(el, text);
          el.dispatchEvent(new Event('input', { bubbles: true }));
        }),
      [from, to, String(180 + ((i * 37) % 140))] as const,
    );
    took.push(ms);
    await page.waitForTimeout(30);
  }
  await page.keyboard.press('Escape');
  return took.sort((a, b) => a - b)[Math.min(times - 1, Math.floor(times * 0.95))];
}

/** Waits in the page until a test holds after a press, frame by frame, and answers with the time that took, ms; as text, as {@link WATCH}. */
const untilHolds = (press: string, holds: string, mostMs: number) => `new Promise((done, fail) => {
  const pressed = ${press};
  if (!pressed) fail(new Error('there is nothing to press'));
  const began = performance.now();
  pressed.click();
  requestAnimationFrame(function seen() {
    const took = performance.now() - began;
    if (${holds}) done(took);
    else if (took > ${mostMs}) fail(new Error('it does not come to an end'));
    else requestAnimationFrame(seen);
  });
})`;

/** From the press for a new plan until so many cakes are drawn, ms. @param page shows the galley, and has come to rest */
export const measureGallery = (page: Page, cakes: number): Promise<number> =>
  page.evaluate<number>(
    untilHolds(
      `document.querySelector('main a[href="/plans/new"]')`,
      `document.querySelectorAll('[data-card] svg').length >= ${cakes}`,
      10_000,
    ),
  );

/** The map of two quantities, until all of it is worked out and drawn, ms for two hundred forecasts. @param page shows what is tried, its curves worked out */
export async function measureMap(page: Page): Promise<number> {
  const map = `document.querySelector('section[aria-label="Two quantities at once"]')`;
  const fields = `[...${map}.querySelectorAll('td button')]`;
  const took = await page.evaluate<number>(
    untilHolds(
      `[...${map}.querySelectorAll('button')].find((b) => b.textContent === 'Work it out')`,
      `${fields}.length > 0 && ${fields}.every((b) => !b.disabled)`,
      60_000,
    ),
  );
  return (took * 200) / (await page.evaluate<number>(`${fields}.length`));
}

/** What else the machine does meanwhile is not the page's: so many looks, the quickest counts. */
const LOOKS = 3;

/** What came over the wire, kB as it was sent: scripts of the page and all there was until it answered to presses; and what came after, once it was awake. */
export interface Wire {
  readonly scriptKb: number;
  readonly beforeKb: number;
  readonly afterKb: number;
}

/** What a browser that knows nothing yet is sent for a first look at an address, in bytes on the wire, headers with them. */
export async function measureWire(browser: Browser, address: string): Promise<Wire> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  try {
    const page = await context.newPage();
    await page.addInitScript(AWAKE);
    await page.goto(address, { waitUntil: 'commit' });
    await page.locator('#station [data-step]').first().waitFor();
    // What is fetched once it is awake has come by then.
    await page.waitForTimeout(LATER_MS);
    const { awakeAt, all } = await page.evaluate(() => ({
      awakeAt: (window as unknown as { awakeAt: number }).awakeAt,
      all: [...performance.getEntriesByType('navigation'), ...performance.getEntriesByType('resource')].map((e) => ({
        by: (e as PerformanceResourceTiming).initiatorType,
        bytes: (e as PerformanceResourceTiming).transferSize,
        at: (e as PerformanceResourceTiming).responseEnd,
        name: e.name,
      })),
    }));
    const kb = (of: typeof all) => of.reduce((sum, r) => sum + r.bytes, 0) / 1000;
    const before = all.filter((r) => r.at <= awakeAt);
    return {
      // A worker's own is not among the page's scripts.
      scriptKb: kb(before.filter((r) => ['script', 'link'].includes(r.by) && r.name.endsWith('.js'))),
      beforeKb: kb(before),
      afterKb: kb(all.filter((r) => r.at > awakeAt)),
    };
  } finally {
    await context.close();
  }
}
const LATER_MS = 6000;
/** Notes when the page answers to presses: from then on its workers, and what comes later, are fetched too; as text, as {@link WATCH}. */
const AWAKE = `
  requestAnimationFrame(function look() {
    if (document.querySelector('main:not([inert])')) window.awakeAt = performance.now();
    else requestAnimationFrame(look);
  });
`;

/** A first look at an address: until it answers to presses, and until its sentences are there too, ms; and its page, kB. */
export async function measureFirst(
  page: Page,
  address: string,
): Promise<{ readonly firstMs: number; readonly sentencesMs: number; readonly htmlKb: number }> {
  const html = await (await page.request.get(address)).text();
  // Once to warm the server, then as a cook opens it, the quickest of three.
  const look = await page.context().newPage();
  await look.goto(address);
  const took = { firstMs: Infinity, sentencesMs: Infinity };
  for (let i = 0; i < LOOKS; i++) {
    await look.goto('about:blank');
    const began = Date.now();
    await look.goto(address, { waitUntil: 'commit' });
    await look.locator('main:not([inert])').waitFor();
    took.firstMs = Math.min(took.firstMs, Date.now() - began);
    await look.locator('#station [data-step]').first().waitFor();
    took.sentencesMs = Math.min(took.sentencesMs, Date.now() - began);
  }
  await look.close();
  return { ...took, htmlKb: html.length / 1000 };
}
