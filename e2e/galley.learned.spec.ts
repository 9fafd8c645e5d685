import { expect } from '@playwright/test';
import { accessFaults, choose, heated, LONG, newPlan, openStation, test } from './helpers';

test(
  'lid and guard are one choice: minutes, water and the puddle change with it, key by key',
  { tag: LONG },
  async ({ page }) => {
    await newPlan(page, 'Radish slab');
    await openStation(page, 'Steam');
    const chamber = page.getByTestId('chamber');
    const boilsAway = async () => {
      await heated(page);
      return Number((await page.getByText(/^\d+ ml\/min$/).innerText()).replace(/\D/g, ''));
    };
    const wrapped = await boilsAway();
    await expect(chamber).not.toContainText('drip');

    const choice = page.getByRole('combobox', { name: 'How it is closed' });
    await choose(page, 'How it is closed', /^Bare lid/);
    await expect(chamber).toContainText(/\d+ g drip from the lid/);

    await choose(page, 'How it is closed', /^Lid left loose/);
    await expect(chamber).not.toContainText('drip');
    await expect.poll(boilsAway).toBeGreaterThan(wrapped);

    // Two choices in one breath would be one step of undo.
    await page.waitForTimeout(1000);
    await choose(page, 'How it is closed', /^Foil over the pan/);
    await expect(chamber).toContainText('the foil keeps it off');
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await expect(choice).toHaveValue('loose');
  },
);

test(
  'what was learned stands in the notebook with what it is from; one batch left out, all forgotten, and taken in again',
  { tag: LONG },
  async ({ page }) => {
    await page.goto('/notebook');
    await page.getByRole('link', { name: 'What was learned' }).click();
    const table = page.getByRole('table', { name: 'Learned factors' });
    await expect(table.getByRole('row', { name: /^Radish slab/ })).toContainText('3 batches');
    const evidence = page.getByRole('list', { name: 'Evidence' }).getByRole('listitem');
    await expect(evidence).toHaveCount(6);
    expect(await accessFaults(page)).toEqual([]);

    const radish = evidence.filter({ hasText: 'Novices' });
    await radish.getByRole('button', { name: 'Leave out' }).click();
    await expect(radish).toContainText('Left out.');
    await expect(table.getByRole('row', { name: /^Radish slab/ })).toContainText('2 batches');

    await page.getByRole('button', { name: 'Forget all of it' }).click();
    await expect(page.getByText('Nothing that counts: what was learned is forgotten.')).toBeVisible();
    await page.reload();
    await expect(page.getByText('Nothing that counts: what was learned is forgotten.')).toBeVisible();
    await page.getByRole('button', { name: 'Take everything in again' }).click();
    await expect(table.getByRole('row', { name: /^Radish slab/ })).toContainText('3 batches');
  },
);
