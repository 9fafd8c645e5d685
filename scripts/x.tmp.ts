import { chromium } from '@playwright/test';
import { CHROMIUM_FLAGS } from './chromium';
const b = await chromium.launch({ executablePath: '/usr/bin/chromium', args: CHROMIUM_FLAGS });
const page = await b.newPage({ viewport: { width: 1280, height: 800 } });
page.on('console', (m) => {
  if (m.type() !== 'log') console.log(m.type(), m.text().slice(0, 300));
});
page.on('pageerror', (e) => console.log('PAGEERROR', e.message.slice(0, 300)));
for (const p of ['/', '/rack', '/larder', '/notebook', '/notebook/learned']) {
  console.log('==', p);
  await page.goto('http://127.0.0.1:3000' + p);
  await page.waitForTimeout(700);
  await page.screenshot({ path: `/tmp/s${p.replaceAll('/', '_')}.png` });
}
await page.goto('http://127.0.0.1:3000/');
await page.getByRole('link', { name: 'Wednesday radish slab' }).first().click();
await page.waitForURL(/plans/);
await page.waitForTimeout(4000);
console.log(await page.getByTestId('headline-steam').innerText(), await page.getByTestId('save-state').innerText());
const f = page.getByLabel('Grams of Rice flour, wet-milled fine');
await f.click();
await f.pressSequentially('99', { delay: 50 });
await page.waitForTimeout(300);
console.log(
  'typing',
  await page.getByTestId('save-state').innerText(),
  await page.getByTestId('headline-mix').innerText(),
);
await f.press('Escape');
console.log('esc', await f.inputValue(), await page.getByTestId('headline-mix').innerText());
await f.fill('70');
await f.press('Enter');
await page.waitForTimeout(900);
console.log(await page.getByTestId('save-state').innerText());
await page.screenshot({ path: '/tmp/s_bench.png' });
await page.getByRole('link', { name: 'Earlier versions' }).click();
await page.waitForURL(/versions/);
await page.waitForTimeout(500);
await page.screenshot({ path: '/tmp/s_versions.png' });
await b.close();
