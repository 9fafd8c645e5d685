/** @jest-environment jsdom */
import { cleanup, render } from '@testing-library/react';
import { FAMILIES } from '@/core/families';
import { emptyKitchen } from '@/core/kitchen';
import { formula, madeOf } from '@/core/testing/made';
import { someOf } from '@/core/testing/runs';
import { METRIC, type UnitChoice } from '@/core/units';
import { CutStation } from '../cut/CutStation';
import { NamesKept, UnitsProvider } from '../kit';
import { KitchenContext, type KitchenHand } from '../kitchen/useKitchen';
import { MixStation } from '../mix/MixStation';
import { RestStation } from '../rest/RestStation';
import { SearStation } from '../sear/SearStation';
import { ServeStation } from '../serve/ServeStation';
import { SteamStation } from '../steam/SteamStation';
import { VesselStation } from '../vessel/VesselStation';

jest.mock('next/navigation', () => ({
  ...jest.requireActual<object>('next/navigation'),
  useRouter: () => ({ push: () => undefined, prefetch: () => undefined }),
}));

const STATIONS = [
  ['mix', MixStation],
  ['vessel', VesselStation],
  ['steam', SteamStation],
  ['rest', RestStation],
  ['cut', CutStation],
  ['sear', SearStation],
  ['serve', ServeStation],
] as const;
const OUNCES: UnitChoice = { ...METRIC, mass: 'oz', length: 'in', temp: 'F' };
const kitchen = emptyKitchen();
const hand = {
  kitchen,
  keepSettings: () => Promise.resolve(),
  keepThing: () => Promise.resolve(),
} as unknown as KitchenHand;
HTMLCanvasElement.prototype.getContext = () => null;
afterEach(cleanup);

describe.each(FAMILIES.map((f, n) => [f.id, n] as const))('the stations of a %s', (id, n) => {
  const f = madeOf(formula(id));
  const { document: plan, vessel, steamer, fryingPan } = f.light.resolved;
  const names = [vessel, steamer, fryingPan].map((x) => x.name);
  // As a sentence says it: the round tin (20 cm).
  const said = names.flatMap((n) => [n, n.toLowerCase(), n.toLowerCase().replace(/, (.*)$/, ' ($1)')]);
  const page = (Panel: (typeof STATIONS)[number][1], units: UnitChoice) => {
    const { container } = render(
      <KitchenContext value={hand}>
        <UnitsProvider units={units}>
          <NamesKept names={names}>
            <Panel plan={plan} forecast={f} kitchen={kitchen} heating={false} past={[]} edit={() => undefined} />
          </NamesKept>
        </UnitsProvider>
      </KitchenContext>,
    );
    return container;
  };
  /** All that is said on it, names of things that carry a measure left out. */
  const words = (container: HTMLElement): string =>
    said.reduce(
      (text, name) => text.replaceAll(name, ''),
      [...container.querySelectorAll('*')]
        .filter((e) => !e.closest('option'))
        .flatMap((e) => [
          ...[...e.childNodes].filter((n) => n.nodeType === Node.TEXT_NODE).map((n) => n.textContent ?? ''),
          e.getAttribute('aria-label') ?? '',
          e.getAttribute('placeholder') ?? '',
        ])
        .join(' ')
        .replace(/\s+/g, ' ')
        // Nutrition is told in grams everywhere.
        .replace(/fat [\d.]+ g.*?salt [\d.]+ g/g, ''),
    );
  test.each(someOf(STATIONS, n))('%s says figures, and in ounces, inches and °F no other unit', (station, Panel) => {
    const container = page(Panel, OUNCES);
    expect([station, /NaN|undefined|Infinity|\[object/.exec(container.innerHTML)?.[0]]).toEqual([station, undefined]);
    expect(words(container)).not.toBe('');
    // What is under three grams is weighed on a scale that reads grams, whatever the rest is weighed in.
    const others = [...words(container).matchAll(/.{0,40}?(\d+(?:\.\d+)?)\s?(g|kg|mm|cm|°C)(?![\w/]).{0,20}/g)];
    expect([station, others.filter(([, n, unit]) => unit !== 'g' || Number(n) >= 3).map((m) => m[0])]).toEqual([
      station,
      [],
    ]);
  });
});
