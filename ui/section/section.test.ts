import { FAMILIES, formulaOf } from '@/core/families';
import { forecast } from '@/core/forecast';
import { emptyKitchen } from '@/core/kitchen';
import { COARSE_GRID, type FieldFrames } from '@/core/model/steam';
import { cellAt, COLUMNS, edgeAt, fieldAt, frameAt, paintField, placeAt, ROWS } from './fieldImage';
import { apart, isolines } from './isolines';
import { specks } from './specks';
import { headlineOf, STATIONS } from '../timeline/headline';
import { eventWords } from '../stove/eventWords';
import { pourSteam } from '@/core/stations/steam/cooking';

const frames: FieldFrames = {
  nx: 3,
  nz: 2,
  halfWidthM: 0.1,
  edgesXM: [0, 0.05, 0.08, 0.1],
  edgesZM: [0, 0.01, 0.03],
  depthM: 0.03,
  timesS: [0, 10, 40],
  tempC: [20, 50, 100].map((t) => new Float32Array(6).fill(t)),
  gel: [0, 0.2, 1].map((g) => new Float32Array(6).fill(g)),
};
const field = (timeS: number) => {
  const t = new Float32Array(6);
  const g = new Float32Array(6);
  fieldAt(frames, timeS, t, g);
  return { t, g };
};

describe('frames in time', () => {
  test('between frames it is in proportion, beyond the ends it stays', () => {
    expect(frameAt(frames, 25)).toEqual([1, 0.5]);
    expect(field(25).t[0]).toBeCloseTo(75, 5);
    expect(field(25).g[0]).toBeCloseTo(0.6, 5);
    expect(field(-5).t[0]).toBe(20);
    expect(field(999).t[0]).toBe(100);
  });
  test('a place says how warm and how far set it is, and nothing before its layer is poured', () => {
    const place = { xM: 0.07, zM: 0.02 };
    expect(placeAt(frames, 40, place)).toEqual({ tempC: 100, gel: 1 });
    const unpoured = Float32Array.from([50, 50, 50, NaN, NaN, NaN]);
    const stack = { ...frames, tempC: frames.tempC.map(() => unpoured), gel: frames.gel.map(() => unpoured) };
    expect(placeAt(stack, 5, place)).toBeUndefined();
    expect(placeAt(stack, 5, { xM: 0.07, zM: 0.005 })?.tempC).toBe(50);
  });
  test('cells of different width are found by their edges, and places are carried back', () => {
    expect([0, 0.049, 0.051, 0.09, 0.2].map((x) => cellAt(frames.edgesXM, x))).toEqual([0, 0, 1, 2, 2]);
    expect(edgeAt(frames.edgesXM, 1.5)).toBeCloseTo(0.065, 9);
    expect(edgeAt(frames.edgesXM, 3)).toBeCloseTo(0.1, 9);
  });
});

describe('painting', () => {
  const paint = (show: 'heat' | 'set', temp: Float32Array, gel: Float32Array) => {
    const image = { data: new Uint8ClampedArray(4 * 2 * COLUMNS * ROWS) } as ImageData;
    paintField(image, frames, temp, gel, show, 20, 100);
    return (x: number, y: number) => [...image.data.slice(4 * (y * 2 * COLUMNS + x), 4 * (y * 2 * COLUMNS + x) + 4)];
  };
  test('cold is milk, hot is pea-flower, set is pandan, and the two halves mirror', () => {
    const temp = Float32Array.from([20, 60, 100, 20, 60, 100]);
    const at = paint('heat', temp, new Float32Array(6));
    expect(at(COLUMNS, 0)).toEqual([247, 250, 248, 255]);
    expect(at(2 * COLUMNS - 1, 0)).toEqual([92, 110, 196, 255]);
    expect(at(0, 0)).toEqual(at(2 * COLUMNS - 1, 0));
    expect(paint('set', temp, new Float32Array(6).fill(1))(COLUMNS, 0)).toEqual([150, 206, 172, 255]);
  });
  test('between the middles of two cells it is as warm as the way there, up to the surface of what is poured', () => {
    const at = paint('heat', Float32Array.from([20, 100, 100, 20, 100, 100]), new Float32Array(6));
    // Half way from the middle of the first cell (25 mm) to that of the second (65 mm): half of the way from milk to flower.
    const half = at(COLUMNS + Math.round((COLUMNS * 45) / 100 - 0.5), 0);
    expect(half[0]).toBeGreaterThan(160);
    expect(half[0]).toBeLessThan(180);
    const poured = paint('heat', Float32Array.from([20, 20, 20, NaN, NaN, NaN]), new Float32Array(6));
    expect(poured(COLUMNS, ROWS - 1)).toEqual([247, 250, 248, 255]);
    // The last row of the lower layer has nothing over it to mix with.
    expect(poured(COLUMNS, ROWS - Math.floor(ROWS / 3))).toEqual([247, 250, 248, 255]);
  });
  test('what is not poured yet is left clear', () => {
    const temp = Float32Array.from([50, 50, 50, NaN, NaN, NaN]);
    const at = paint('heat', temp, temp);
    expect(at(COLUMNS, 0)[3]).toBe(0);
    expect(at(COLUMNS, ROWS - 1)[3]).toBe(255);
  });
});

describe('of a real cake', () => {
  const made = forecast(formulaOf(FAMILIES[0]), emptyKitchen(), COARSE_GRID);
  const steam = made.ok ? pourSteam(made.value.heat) : undefined;
  if (!made.ok || !steam) throw new Error('no forecast');
  test('an isotherm between the start and the steam has a path in both halves, one beyond the steam has none', () => {
    const lines = isolines(
      steam.frames,
      steam.frames.timesS[10],
      'temp',
      [80, 200],
      (i) => 100 + i,
      (k) => 50 - k,
      100,
    );
    expect(lines[0].path.length).toBeGreaterThan(20);
    expect(lines[0].path).toMatch(/M1\d\d\./);
    expect(lines[0].path).toMatch(/[ML]9\d\./);
    expect(lines[1].path).toBe('');
  });
  test('the surface of a layer is no line of heat, and without a layer there is none', () => {
    const [nx, nz] = [12, 12];
    const grid = (valueAt: (i: number, k: number) => number): FieldFrames => ({
      nx,
      nz,
      halfWidthM: 0.12,
      depthM: 0.12,
      edgesXM: Array.from({ length: nx + 1 }, (_, i) => i / 100),
      edgesZM: Array.from({ length: nz + 1 }, (_, k) => k / 100),
      timesS: [0],
      tempC: [Float32Array.from({ length: nx * nz }, (_, c) => valueAt(c % nx, Math.floor(c / nx)))],
      gel: [new Float32Array(nx * nz)],
    });
    const lines = (of: FieldFrames) =>
      isolines(
        of,
        0,
        'temp',
        [60],
        (i) => 10 * i,
        (k) => 200 - 10 * k,
        0,
      );
    expect(lines(grid((_, k) => (k < 6 ? 30 : NaN)))[0].path).toBe('');
    expect(lines(grid(() => NaN))).toEqual([]);
    // Warm from below: one line, whose number keeps off the edges.
    const [line] = lines(grid((_, k) => 100 - 8 * k));
    expect(line.path).not.toBe('');
    const [x, y] = line.label ?? [0, 0];
    expect(120 - x).toBeGreaterThan(8);
    expect(y).toBeGreaterThan(88);
    expect(y).toBeLessThan(192);
    // Heat that comes in one step has its lines in one place: the coldest keeps its number.
    const steps = isolines(
      grid((_, k) => (k < 5 ? 20 : 100)),
      0,
      'temp',
      [40, 60, 80, 95],
      (i) => 10 * i,
      (k) => 200 - 10 * k,
      0,
    );
    expect(steps.map((l) => l.label !== undefined)).toEqual([true, true, true, true]);
    expect(apart(steps).map((l) => l.label !== undefined)).toEqual([true, false, false, false]);
    expect(apart(steps).map((l) => l.path)).toEqual(steps.map((l) => l.path));
    // Outside a vessel that narrows to its base there is no heat, and no line along its side.
    const tapered = grid((i, k) => (i > 5 + k ? NaN : 93));
    const along = (of: ReturnType<typeof grid>) =>
      isolines(
        of,
        0,
        'temp',
        [40, 80, 95],
        (i) => 10 * i,
        (k) => 200 - 10 * k,
        0,
      ).map((l) => [l.level, l.path.includes('L'), l.label !== undefined]);
    expect(along(tapered)).toEqual([40, 80, 95].map((level) => [level, false, false]));
    // Too near the base there is no room for it.
    const low = grid((_, k) => (k === 0 ? 100 : 20));
    expect(
      isolines(
        low,
        0,
        'temp',
        [60],
        (i) => 10 * i,
        (k) => 200 - 5 * k,
        0,
      )[0].label,
    ).toBeUndefined();
  });
  test('every station has its headline, and says stop only where there is trouble', () => {
    const heads = STATIONS.map((s) => headlineOf(s, made.value));
    expect(heads.map((h) => h.figure)).toEqual(expect.arrayContaining(['3.33', '34 mm', '16']));
    expect(heads.filter((h) => h.trouble === 'stop')).toHaveLength(0);
    const empty = { ...made.value, heat: undefined };
    expect(headlineOf('steam', empty)).toEqual({ unit: 'working it out', heat: true });
  });
});

describe('specks', () => {
  test('none for a plain cake, more for more pieces, always inside, and the same each time', () => {
    expect(specks(0, 0.2, 0.03)).toHaveLength(0);
    expect(specks(0.5, 0.2, 0.03).length).toBeGreaterThan(specks(0.1, 0.2, 0.03).length);
    expect(specks(0.4, 0.2, 0.03)).toEqual(specks(0.4, 0.2, 0.03));
    for (const [x, z] of specks(0.6, 0.2, 0.03)) {
      expect(Math.abs(x)).toBeLessThanOrEqual(0.1);
      expect(z).toBeGreaterThan(0);
      expect(z).toBeLessThan(0.03);
    }
  });
});

test('events read as sentences', () => {
  const at = { id: 1, at: '2026-01-01T00:00:00Z' };
  expect(eventWords({ ...at, kind: 'checked', state: 'sticky', afterS: 1440 }, [])).toBe(
    'Pick came out sticky at 24 min',
  );
  expect(eventWords({ ...at, kind: 'tasted', overall: 4, axes: {}, note: 'Good' }, [])).toBe('Tasted: 4 of 5, “Good”');
  expect(eventWords({ ...at, kind: 'ticked', stepId: '01-weigh', done: false }, [])).toBe('Taken back: 01-weigh');
});
