import { expect, type Locator, type Page } from '@playwright/test';
import {
  finger,
  touched,
  accessFaults,
  atRest,
  awake,
  choose,
  headline,
  heated,
  LONG,
  newPlan,
  openStation,
  put,
  saved,
  test,
} from './helpers';

const surface = (page: Page) => page.getByRole('slider', { name: 'Depth of the batter' });
const rice = (page: Page) => page.getByLabel('Grams of Rice flour, wet-milled fine');
const depthOf = async (page: Page) => Number(await surface(page).getAttribute('aria-valuenow'));
const steamMinutes = async (page: Page) => {
  await heated(page);
  return parseFloat(await headline(page, 'steam'));
};
const undone = async (page: Page, before: { grams: string; depth: number; minutes: number }) => {
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(rice(page)).toHaveValue(before.grams);
  await expect.poll(() => depthOf(page)).toBe(before.depth);
  await expect.poll(() => steamMinutes(page)).toBe(before.minutes);
  await expect(page.getByRole('button', { name: 'Undo', exact: true })).toBeDisabled();
};
const asItIs = async (page: Page) => ({
  grams: await rice(page).inputValue(),
  depth: await depthOf(page),
  minutes: await steamMinutes(page),
});

test('the surface dragged by mouse: depth and grams follow while it moves, minutes too; it is one step of undo', async ({
  page,
}) => {
  await newPlan(page, 'Savoury coconut slab');
  const before = await asItIs(page);
  const box = await surface(page).boundingBox();
  if (!box) throw new Error('no handle');
  expect(Math.min(box.width, box.height)).toBeGreaterThanOrEqual(43.5);
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x, y - 12, { steps: 6 });
  const inTheHand = await atRest(page, () => depthOf(page));
  expect(inTheHand).toBeGreaterThan(before.depth);
  expect(Number(await rice(page).inputValue())).toBeGreaterThan(Number(before.grams));
  // The coarse heat answers while the hand is still on it.
  await expect.poll(() => headline(page, 'steam')).not.toBe(`${before.minutes} min`);
  await page.mouse.move(x, y - 24, { steps: 6 });
  const once = await atRest(page, () => depthOf(page));
  expect(once).toBeGreaterThan(inTheHand);
  await page.mouse.up();
  await expect.poll(() => depthOf(page)).toBe(once);
  // Taken hold of again at once, it is another step.
  const again = await surface(page).boundingBox();
  await page.mouse.move(x, (again?.y ?? 0) + (again?.height ?? 0) / 2);
  await page.mouse.down();
  await page.mouse.move(x, (again?.y ?? 0) + (again?.height ?? 0) / 2 - 14, { steps: 4 });
  await page.mouse.up();
  await expect.poll(() => depthOf(page)).toBeGreaterThan(once);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect.poll(() => depthOf(page)).toBe(once);
  await expect.poll(() => steamMinutes(page)).toBeGreaterThan(before.minutes);
  await undone(page, before);
});

test('by keys alone: depth, water at the pour scale, needle and stations', async ({ page }) => {
  await newPlan(page, 'Savoury coconut slab');
  const before = await asItIs(page);
  await surface(page).focus();
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('ArrowUp');
  // Depths go by half millimetres.
  await expect.poll(async () => Math.abs((await depthOf(page)) - before.depth - 2)).toBeLessThanOrEqual(0.5);
  await expect.poll(() => steamMinutes(page)).toBeGreaterThan(before.minutes);
  await page.locator('body').press('Control+z');
  await expect(rice(page)).toHaveValue(before.grams);
  const pour = page.getByRole('slider', { name: /^Water in the batter/ });
  const thick = Number(await pour.getAttribute('aria-valuenow'));
  await pour.focus();
  await page.keyboard.press('PageDown');
  await expect.poll(async () => Number(await pour.getAttribute('aria-valuenow'))).toBeGreaterThan(thick);
  // With its new minutes the same moment stands elsewhere.
  await heated(page);
  const needle = page.getByRole('slider', { name: 'Moment of its life' });
  await needle.focus();
  const at = Number(await needle.getAttribute('aria-valuenow'));
  await page.keyboard.press('ArrowRight');
  await expect.poll(async () => Number(await needle.getAttribute('aria-valuenow'))).toBeGreaterThan(at);
  await page.keyboard.press('End');
  await expect(page.getByRole('img', { name: /^A plate:/ })).toBeVisible();
  await page.keyboard.press('Home');
  await expect(page.getByRole('img', { name: /^In the bowl:/ })).toBeVisible();
});

test(
  'by touch on a phone: the surface is taken hold of, and scrolling over the stage changes nothing',
  { tag: LONG },
  async ({ browser, baseURL }) => {
    const context = await touched(browser, baseURL);
    const page = awake(await context.newPage());
    await newPlan(page, 'Savoury coconut slab');
    const before = await asItIs(page);
    const swipe = await finger(page);
    const stage = await page.getByRole('region', { name: 'The cake on its stage' }).boundingBox();
    if (!stage) throw new Error('no stage');
    await swipe([stage.x + 40, stage.y + 220], [0, -120]);
    expect(await depthOf(page)).toBe(before.depth);
    await surface(page).scrollIntoViewIfNeeded();
    const box = await surface(page).boundingBox();
    if (!box) throw new Error('no handle');
    await swipe([box.x + box.width / 2, box.y + box.height / 2], [0, -14]);
    await expect.poll(() => depthOf(page)).toBeGreaterThan(before.depth);
    await undone(page, before);
    await context.close();
  },
);

test(
  'the needle, a mark and a segment show the cake then: it is mixed, steamed, cooled, cut, seared and served',
  { tag: LONG },
  async ({ page }) => {
    await newPlan(page, 'Radish slab');
    const life = page.getByRole('region', { name: 'Life of the cake' });
    const shows = (part: string) => expect(page.locator(`[data-part="${part}"]`)).toBeVisible();
    for (const [station, part] of [
      ['Mix', 'bowl'],
      ['Vessel', 'section'],
      ['Steam', 'section'],
      ['Rest', 'section'],
      ['Sear', 'sear'],
      ['Serve', 'plate'],
    ] as const) {
      await openStation(page, station);
      await shows(part);
    }
    await openStation(page, 'Cut');
    await expect(page.getByRole('group', { name: /pieces of about \d+ grams/ })).toBeVisible();
    await life.getByRole('button', { name: /^no later/ }).click();
    await life.getByRole('button', { name: /^plan for/ }).click();
    await expect(page.getByRole('group', { name: /cold spot is at \d+ °C and (9\d|100) percent set/ })).toBeVisible();
    await page.getByRole('button', { name: 'Play' }).click();
    const needle = page.getByRole('slider', { name: 'Moment of its life' });
    const at = Number(await needle.getAttribute('aria-valuenow'));
    await expect.poll(async () => Number(await needle.getAttribute('aria-valuenow'))).toBeGreaterThan(at);
    await page.getByRole('button', { name: 'Stop' }).click();
  },
);

test(
  'parts of where it sits are pressed to change them, and the sentences say the same',
  { tag: LONG },
  async ({ page }) => {
    await newPlan(page, 'Savoury coconut slab');
    await openStation(page, 'Steam');
    await choose(page, 'Lid and guard', /^Bare lid/);
    await expect(page.getByRole('combobox', { name: 'How it is closed' })).toHaveValue('none');
    await choose(page, 'Dial', /^gentle/);
    await heated(page);
    await expect(page.getByRole('combobox', { name: 'Heat', exact: true })).toHaveValue('gentle');
    await expect(page.getByRole('group', { name: /^Where it sits, to scale: .*gentle heat.*bare lid/ })).toBeVisible();
    // The dial is turned by hand too: one turn, one step of undo.
    const dial = page.getByRole('slider', { name: 'Dial, turned' });
    const box = await dial.boundingBox();
    if (!box) throw new Error('no dial');
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x + 4, y - 14, { steps: 3 });
    await page.mouse.move(x + 16, y + 2, { steps: 4 });
    await expect(dial).toHaveAttribute('aria-valuetext', /^strong/);
    await page.mouse.up();
    await expect(page.getByRole('combobox', { name: 'Heat', exact: true })).toHaveValue('strong');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('combobox', { name: 'Heat', exact: true })).toHaveValue('gentle');
  },
);

test(
  'a whole plan is made by its sentences: amounts, way in, minutes, degrees, pan, heat, cooling, cut and guests',
  {
    tag: LONG,
  },
  async ({ page }) => {
    const id = await newPlan(page, 'Radish slab');
    await put(rice(page), '240');
    await put(page.getByLabel('Grams of White radish, raw'), '1100');
    await choose(page, 'How White radish, raw goes in', /^salted, squeezed by hand/);
    await put(page.getByLabel('Liquid wanted'), '560');
    await put(page.getByLabel('Time: soak dried mushroom'), '40');
    await put(page.getByLabel('Juice weighed'), '250');
    await openStation(page, 'Vessel');
    await choose(page, 'Pan', /^Wide round tin/);
    await put(page.getByLabel('Poured at'), '35');
    await openStation(page, 'Steam');
    await choose(page, 'Heat', /^medium/);
    await choose(page, 'How it is closed', /^Foil/);
    await put(page.getByLabel('Time: stand cake'), '8');
    await openStation(page, 'Rest');
    await choose(page, 'Stage 1', 'in an ice bath');
    await put(page.getByLabel('Time of stage 1'), '45');
    await openStation(page, 'Cut');
    await choose(page, 'By', 'pieces');
    await put(page.getByLabel('Pieces a pan'), '30');
    await openStation(page, 'Serve');
    await put(page.getByLabel('Guests', { exact: true }), '9');
    await saved(page);
    const { plan } = (await (await page.request.get(`/api/plans/${id}`)).json()) as { plan: Record<string, never> };
    expect(plan).toMatchObject({
      batters: [{ wantedLiquidG: 560, lines: expect.arrayContaining([expect.objectContaining({ massG: 240 })]) }],
      addIns: expect.arrayContaining([
        expect.objectContaining({ ingredient: 'radish', massG: 1100, treatment: 'squeezed-by-hand' }),
        expect.objectContaining({ ingredient: 'dried-mushroom', soakS: 2400 }),
      ]),
      readings: { 'squeeze:radish': { juiceG: 250 }, 'pour:cake': { tempC: 35 } },
      heat: 'medium',
      schools: expect.objectContaining({ dripGuard: 'foil' }),
      waits: expect.objectContaining({ 'stand:cake': 480 }),
      cut: { by: { kind: 'count', pieces: 30 } },
      guests: 9,
    });
    expect((plan.cooling as { where: string; timeS: number }[])[0]).toMatchObject({ where: 'ice-bath', timeS: 2700 });
  },
);

test(
  'any figure says why it is so; the bench has no boxed field, and no access fault at any station',
  { tag: LONG },
  async ({ page }) => {
    test.setTimeout(240_000);
    await newPlan(page, 'Radish slab');
    await openStation(page, 'Steam');
    await page.getByTestId('plan-for').click();
    await expect(page.getByRole('note').getByText(/1\.2 × first clean pick/)).toBeVisible();
    for (const station of ['Mix', 'Vessel', 'Steam', 'Rest', 'Cut', 'Sear', 'Serve']) {
      await openStation(page, station);
      await heated(page);
      expect([station, await page.locator('main fieldset legend, main .MuiOutlinedInput-root').count()]).toEqual([
        station,
        0,
      ]);
      expect([station, await accessFaults(page)]).toEqual([station, []]);
    }
  },
);

/** Drags a handle by so many pixels in a few moves, by its knob where it has one: beside it lies a dashed line, a pixel wide. */
async function dragBy(page: Page, handle: Locator, dx: number, dy: number) {
  await handle.scrollIntoViewIfNeeded();
  const box = await (
    (await handle.locator('rect').count()) > 0 ? handle.locator('rect').first() : handle
  ).boundingBox();
  if (!box) throw new Error('nothing to take hold of');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + dx / 2, y + dy / 2, { steps: 4 });
  await page.mouse.move(x + dx, y + dy, { steps: 4 });
  // At rest before it is let go, as a hand is: until the page has caught up with it.
  const shown = await atRest(page, () => handle.getAttribute('aria-valuenow'));
  await page.mouse.up();
  return shown;
}

test(
  'what a handle shows as it is dragged is what stays when it is let go: cooling, layers; each is one step of undo',
  { tag: LONG },
  async ({ page }) => {
    await newPlan(page, 'Rainbow layers');
    for (const [station, handle, dx, dy] of [
      ['Rest', page.getByRole('slider', { name: /^Cooling/ }).last(), -40, 0],
      ['Steam', page.getByRole('slider', { name: 'Layers' }), 0, -8],
    ] as const) {
      await openStation(page, station);
      const before = await handle.getAttribute('aria-valuenow');
      const shown = await dragBy(page, handle, dx, dy);
      expect(shown).not.toBe(before);
      expect(await atRest(page, () => handle.getAttribute('aria-valuenow'))).toBe(shown);
      await expect(handle).toHaveAttribute('aria-valuenow', shown ?? '');
      await page.getByRole('button', { name: 'Undo' }).click();
      await expect(handle).toHaveAttribute('aria-valuenow', before ?? '');
      await heated(page);
    }
  },
);

test(
  'the pour scale is as narrow on a tablet and on a phone, with a steamer beside it and without',
  { tag: LONG },
  async ({ page }) => {
    for (const family of ['Stirred set pudding', 'Radish slab']) {
      await page.setViewportSize({ width: 820, height: 1180 });
      await newPlan(page, family);
      const scale = page.locator('[data-part=pour-scale]');
      expect((await scale.boundingBox())?.width).toBeLessThan(150);
      await page.setViewportSize({ width: 390, height: 844 });
      await page.getByRole('button', { name: 'Where it sits' }).click();
      expect((await scale.boundingBox())?.width).toBeLessThan(150);
    }
  },
);
