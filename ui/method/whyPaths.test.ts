import { readdirSync, readFileSync } from 'node:fs';
import { forecastJson } from '@/core/formats';
import { emptyKitchen } from '@/core/kitchen';
import { formula, madeOf } from '@/core/testing/made';
import { whyOf } from '@/core/explain';

const sources = (folder: string): readonly string[] =>
  (readdirSync(folder, { recursive: true }) as string[])
    .filter((f) => /(?<!\.test)\.tsx?$/.test(f))
    .map((f) => `${folder}/${f}`);
/** Figures of the screens, and of the sentences, by the paths they name. */
const named = ['ui', 'core/steps']
  .flatMap(sources)
  .flatMap((file) =>
    [...readFileSync(file, 'utf8').matchAll(/(?:<Why\w+[^>]*?path="|saidFigure\(\s*')([\w.]+)/g)].map(
      (m) => [m[1], file] as const,
    ),
  );
const docs = ['radish-slab', 'dimpled-cups', 'stirred-set-pudding'].map((id) =>
  forecastJson(madeOf({ ...formula(id), readings: {} }, emptyKitchen()), false),
);

test('many figures say why', () => expect(named.length).toBeGreaterThan(30));
// A steamer that keeps up is short of no steam, and one topped up never has no first time.
const SELDOM = new Set(['heat.steam.shortS', 'heat.steam.water.firstTopUpS']);
test.each(named.filter(([path]) => !SELDOM.has(path)))('%s, named in %s, is in a forecast and says why', (path) => {
  const found = docs.map((doc) => whyOf(doc, path)).find((w) => w.ok);
  expect(found?.ok && found.value.law).toMatch(/[a-z]{3}/);
});
