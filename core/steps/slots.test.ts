import { FAMILIES, formulaOf } from '../families';
import { forecast, forecastLight } from '../forecast';
import { emptyKitchen } from '../kitchen';
import { withWait } from '../flow';
import { COARSE_GRID } from '../model/steam';
import { partsOf, plain, slot, toldSteps } from '.';

const kitchen = emptyKitchen();
const MARKS = /[\uE000-\uE002]/;

test('a slot is its words to who reads plainly, and a part to who can change it', () => {
  const s = `Whisk ${slot('the', '', 'the ')}${slot('line', 'rice', 'rice flour')} for ${slot('wait', 'mix:a', '5 min')}.`;
  expect(plain(s)).toBe('Whisk the rice flour for 5 min.');
  expect(partsOf(s).filter((p) => p.slot)).toEqual([
    { text: 'the ', slot: { kind: 'the', key: '' } },
    { text: 'rice flour', slot: { kind: 'line', key: 'rice' } },
    { text: '5 min', slot: { kind: 'wait', key: 'mix:a' } },
  ]);
  expect(slot('line', 'x', '')).toBe('');
  expect(partsOf('No slot at all.')).toEqual([{ text: 'No slot at all.' }]);
});

describe.each(FAMILIES.map((f) => [f.id, f] as const))('the method of a %s', (_, family) => {
  const plan = formulaOf(family);
  const made = forecast(plan, kitchen, COARSE_GRID);
  if (!made.ok) throw new Error('no forecast');
  const { light, heat, evaluated } = made.value;
  const told = toldSteps({ light, heat, e: evaluated });
  const slots = told.flatMap((t) => t.parts.flatMap((p) => (p.slot ? [p.slot] : [])));
  test('its parts make up its sentences, and no mark is left in any words', () => {
    for (const t of told) expect(t.parts.map((p) => p.text).join('')).toBe(t.step.sentence);
    expect(JSON.stringify(made.value.steps)).not.toMatch(MARKS);
    expect(JSON.stringify(made.value.weighOut)).not.toMatch(MARKS);
  });
  test('every line of the cake can be weighed where it is said', () => {
    const said = new Set(
      slots.flatMap((s) =>
        s.kind === 'line' || s.kind === 'grams' || s.kind === 'dry'
          ? [s.key]
          : s.kind === 'part'
            ? [s.key.slice(0, s.key.lastIndexOf('@'))]
            : [],
      ),
    );
    const lines = [...plan.batters, ...plan.fillings].flatMap((x) => x.lines).concat(plan.addIns);
    for (const l of lines.filter((x) => x.massG > 0)) expect([...said]).toContain(l.id);
  });
  test('a wait that is said can be set there, and then is what was set', () => {
    for (const s of slots.filter((x) => x.kind === 'wait')) {
      const now = light.evaluated.byId.get(s.key);
      const wantedS = Math.round((now?.timedS ?? now?.waitS ?? 0) / 60) * 60 + 300;
      const next = forecastLight(withWait(plan, s.key, wantedS, light.resolved.larder), kitchen);
      if (!next.ok) throw new Error(next.problems[0].sentence);
      const after = next.value.evaluated.byId.get(s.key);
      expect([s.key, after?.timedS ?? after?.waitS]).toEqual([s.key, wantedS]);
    }
  });
});
