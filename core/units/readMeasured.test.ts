import { readMeasured } from './readMeasured';

test.each([
  ['6 cm', 'mm', 60],
  ['6cm', 'mm', 60],
  ['2 1/2 in', 'mm', 63.5],
  ['8"', 'mm', 203.2],
  ['0.3 kg', 'g', 300],
  ['1,5 l', 'ml', 1500],
  ['½ lb', 'g', 226.796],
  ['4 h', 'min', 240],
  ['1.2 kW', 'W', 1200],
  ['50 °F', '°C', 10],
  ['4 °C', '°C', 4],
])('%s in a field of %s is %d', (text, unit, value) => {
  const read = readMeasured(text, unit);
  expect(read?.kind === 'amount' && read.value).toBeCloseTo(value, 2);
});
test('what is no unit of that kind, or no figure, is not read', () => {
  for (const [text, unit] of [
    ['6 kg', 'mm'],
    ['6 bushels', 'ml'],
    ['cm', 'mm'],
    ['six cm', 'mm'],
    ['6', 'mm'],
    ['', 'g'],
  ])
    expect(readMeasured(text, unit)).toBeUndefined();
});
