import fc from 'fast-check';
import { DEFAULT_VESSEL, vesselSchema } from '../../kitchen';
import {
  cleanPickSpread,
  UNKNOWN_START,
  COARSE_GRID,
  FINE_GRID,
  heatCourse,
  powerAt,
  readyBetween,
  isSofter,
  readyAt,
  surfaceC,
  SHIPPED_GRID,
  singlePour,
  slowed,
  steamTimes,
  type SinglePour,
} from '.';
import { plainGelling } from '../heat';
import { figure, whole } from '../../units';
import { PLAIN_POUR, roomWith } from './testing/rooms';

const pour = PLAIN_POUR;
const clean = (change: Partial<SinglePour>, size = COARSE_GRID) =>
  whole(singlePour({ ...pour, ...change }, 0, size)).firstCleanPickS ?? Infinity;

describe('first clean pick', () => {
  test('a deeper pour is never done sooner', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 0.055, noNaN: true }),
        fc.double({ min: 0.01, max: 0.055, noNaN: true }),
        (a, b) => {
          expect(clean({ depthM: Math.max(a, b) })).toBeGreaterThanOrEqual(clean({ depthM: Math.min(a, b) }) - 0.5);
        },
      ),
      { numRuns: 12 },
    );
  });
  test('metal is never slower than ceramic, no guard never slower than foil, no paper never slower than paper', () => {
    expect(clean({ material: 'aluminium' })).toBeLessThanOrEqual(clean({ material: 'ceramic' }));
    expect(clean({ material: 'steel' })).toBeLessThanOrEqual(clean({ material: 'ceramic' }));
    expect(clean({ foil: false })).toBeLessThanOrEqual(clean({ foil: true }));
    expect(clean({ paper: false })).toBeLessThanOrEqual(clean({ paper: true }));
  });
  test('more power, a hotter start and a lower gelling point are never slower', () => {
    expect(clean({ room: roomWith(1500) })).toBeLessThanOrEqual(clean({ room: roomWith(300) }));
    expect(clean({ startC: 60 })).toBeLessThanOrEqual(clean({ startC: 20 }));
    expect(clean({ gelling: plainGelling(72) })).toBeLessThanOrEqual(clean({ gelling: plainGelling(84) }));
  });
  test('halving the grid changes it by less than 2 %, in a round pan and in a box', () => {
    const square = vesselSchema.parse({ ...DEFAULT_VESSEL, shape: 'rectangular', lengthM: 0.2, widthM: 0.15 });
    const half = { ...FINE_GRID, nr: 12, nz: 16, nxy: 8, nzBox: 13, maxStepS: 60 };
    for (const vessel of [DEFAULT_VESSEL, square])
      expect(Math.abs(clean({ vessel }, half) / clean({ vessel }, { ...FINE_GRID, maxStepS: 60 }) - 1)).toBeLessThan(
        0.02,
      );
  });
  test('energy is conserved within 0.5 %', () => expect(whole(singlePour(pour)).energyError).toBeLessThan(0.005));
  test('a cake that needs more than boiling heat never sets, and says so', () =>
    expect(
      whole(singlePour({ ...pour, gelling: plainGelling(108) }, 0.2, COARSE_GRID)).firstCleanPickS,
    ).toBeUndefined());
  test('the coldest spot of a round pan lies on its axis', () =>
    expect(whole(singlePour(pour, 0, COARSE_GRID)).coldSpot.xM).toBeLessThan(0.02));
});

describe('ready', () => {
  test('a cake poured hot and set is ready at once, and never before', () =>
    expect(whole(singlePour({ ...pour, startC: 95, startG: 0.97 }, 0.2)).firstCleanPickS).toBe(0));
  test('set is not enough: the coldest cell must have been to δ over the midpoint, whatever sugar makes of that', () => {
    const poured = whole(singlePour({ ...pour, startG: 1 }, 0));
    const last = poured.history[poured.history.length - 1];
    expect(last[1]).toBeGreaterThanOrEqual(poured.ready.tempC);
    expect(poured.history.at(-2)?.[1] ?? NaN).toBeLessThan(poured.ready.tempC + 0.5);
    expect(poured.ready.tempC).toBeCloseTo(77 + 0.6 * (surfaceC(pour.room) - 77), 6);
    const sweet = { ...plainGelling(84), plainC: 77 };
    expect(readyAt(sweet, 99, 99).tempC).toBe(readyAt(plainGelling(77), 99, 99).tempC);
  });
  test('never more than six tenths of the way to the steam at open pressure; pressure itself does not enter', () => {
    const rice = plainGelling(77);
    expect(readyAt(rice, 92, 92).tempC).toBeCloseTo(77 + 0.6 * 15, 9);
    expect(readyAt(rice, 116, 99.2).tempC).toBe(readyAt(rice, 105, 99.2).tempC);
    expect(readyAt(plainGelling(63), 99.2, 99.2).tempC).toBeLessThan(readyAt(plainGelling(78), 99.2, 99.2).tempC);
  });
  test('set as far as this steam can set it: softer from 80 to 85 % of its starch, never below', () => {
    const at = (most: number) => readyAt(plainGelling(77), 77 + 1.8 * Math.log(most / (1 - most)), 100);
    expect(at(0.9).gel).toBeCloseTo(0.855, 6);
    expect([0.79, 0.82, 0.86].map((m) => isSofter(at(m)))).toEqual([false, true, false]);
    expect(at(0.79).gel).toBe(Infinity);
  });
  test('between two moments by hand: a lack of 20 °C that falls to 5 passes 10 half way', () => {
    // ln 20 − ln 10 = ln 10 − ln 5
    const at = readyBetween(
      { timeS: 100, gel: 1, tempC: 80 },
      { timeS: 200, gel: 1, tempC: 95 },
      { gel: 0.95, tempC: 90, most: 1 },
      100,
    );
    expect(at).toBeCloseTo(150, 9);
    expect(
      readyBetween(
        { timeS: 0, gel: 0.2, tempC: 90 },
        { timeS: 9, gel: 0.9, tempC: 99 },
        { gel: 0.95, tempC: 90, most: 1 },
        100,
      ),
    ).toBeUndefined();
  });
  test('what a family waits for besides is added once it is ready', () =>
    expect(whole(singlePour({ ...pour, moreS: 720 }, 0, COARSE_GRID)).firstCleanPickS).toBeCloseTo(clean({}) + 720, 6));
  test('standing goes on from the steam, with the fire off, and cools', () => {
    const still = { filmH: 8, outerR: 0, innerR: 0, capacity: 0, ambientC: 55 };
    const stood = whole(
      singlePour({ ...pour, stand: { timeS: 600, sides: { base: still, wall: still, top: still } } }, 0.2, COARSE_GRID),
    );
    const end = stood.history[stood.history.length - 1];
    expect(end[0]).toBeCloseTo(stood.steamedS + 600, 6);
    expect(end[2]).toBeLessThan(stood.history.find(([t]) => t >= stood.steamedS)?.[2] ?? 0);
  });
});

describe('phases of heat', () => {
  type Phases = Parameters<typeof heatCourse>[0];
  const inCourse = (phases: Phases, leftoverS = 0) => {
    const course = heatCourse(phases, leftoverS);
    return { course, room: roomWith(1100, { powerW: (t) => powerAt(course, t) }) };
  };
  const at = (phases: Phases) => clean(inCourse(phases), COARSE_GRID);
  test('one phase is as none; strong then gentle lies between strong and gentle throughout', () => {
    const mixed = at([{ powerW: 1100, timeS: 600 }, { powerW: 600 }]);
    expect(at([{ powerW: 1100 }])).toBeCloseTo(clean({}), 6);
    expect(mixed).toBeGreaterThan(clean({}));
    expect(mixed).toBeLessThan(clean({ room: roomWith(600) }));
  });
  test('the fire turned off too soon never cooks it; a plate that stays hot carries it further', () => {
    const off = { powerW: undefined };
    expect(at([{ powerW: 1100, timeS: 300 }, off])).toBe(Infinity);
    const [cold, plate] = [0, 240].map(
      (leftover) =>
        whole(singlePour({ ...pour, ...inCourse([{ powerW: 1100, timeS: 900 }, off], leftover) }, 0, COARSE_GRID))
          .heatInJ,
    );
    expect(plate).toBeGreaterThan(cold);
  });
  test('lit late it starts late: ten minutes with the fire off cost about ten minutes', () => {
    const late = at([{ powerW: undefined, timeS: 600 }, { powerW: 1100 }]) - clean({});
    expect(late).toBeGreaterThan(400);
    expect(late).toBeLessThan(640);
  });
  test('power left in a plate falls in a line: half of it times its length, by hand', () => {
    const left = heatCourse([{ powerW: 1100, timeS: 100 }, { powerW: undefined }], 240);
    let joule = 0;
    for (let t = 100; t < 400; t++) joule += powerAt(left, t + 0.5);
    expect(joule).toBeCloseTo((1100 * 240) / 2, -3);
  });
});

describe('grids', () => {
  const vessels = {
    round: DEFAULT_VESSEL,
    tapered: vesselSchema.parse({ ...DEFAULT_VESSEL, diameterM: 0.22, baseDiameterM: 0.16 }),
    square: vesselSchema.parse({ ...DEFAULT_VESSEL, shape: 'rectangular', lengthM: 0.2, widthM: 0.2 }),
    loaf: vesselSchema.parse({
      ...DEFAULT_VESSEL,
      shape: 'rectangular',
      lengthM: 0.21,
      widthM: 0.11,
      baseLengthM: 0.19,
      baseWidthM: 0.085,
    }),
    dish: vesselSchema.parse({ ...DEFAULT_VESSEL, shape: 'dish', diameterM: 0.2, baseDiameterM: 0.12 }),
  };
  test.each(Object.entries(vessels))('%s: the shipped grid is within half a percent of a finer one', (_, vessel) => {
    const finer = { ...FINE_GRID, nr: 36, nz: 48, nxy: 20, nzBox: 32, toleranceC: 0.5, maxStepS: 30 };
    const shipped = clean({ vessel }, SHIPPED_GRID);
    expect(Math.abs(shipped / clean({ vessel }, finer) - 1)).toBeLessThan(0.005);
    expect(Math.abs(clean({ vessel }, COARSE_GRID) / shipped - 1)).toBeLessThan(0.02);
  });
  test('a tapered loaf takes no more steps than an upright one: slivers do not stiffen it', () => {
    const steps = (vessel: SinglePour['vessel']) =>
      whole(singlePour({ ...pour, vessel }, 0, SHIPPED_GRID)).history.length;
    expect(steps(vessels.loaf)).toBeLessThan(1.5 * steps(vessels.square));
  });
});

test('check at 0.85 ×, plan for 1.2 ×, standing apart, all with the learned factor; never too late before it has stood', () => {
  const t = steamTimes(1000, figure(1.1, 'learned'), 300, 1.2, 0);
  expect(t.firstCleanPickS.value).toBeCloseTo(1100, 9);
  expect(t.checkAtS).toBeCloseTo(935, 9);
  expect(t.planForS).toBeCloseTo(1320, 9);
  expect(t.totalS).toBeCloseTo(1620, 9);
  expect(t.noLaterThanS).toBeCloseTo(1620, 9);
  expect(steamTimes(60, figure(1), 0, 2, 240).noLaterThanS).toBe(300);
  // One that takes half as long again: its steam does, its standing does not.
  const slow = slowed(t, 1.5);
  expect([slow.firstCleanPickS.value, slow.planForS, slow.standS, slow.totalS]).toEqual([
    1.5 * t.firstCleanPickS.value,
    1.5 * t.planForS,
    t.standS,
    1.5 * t.planForS + t.standS,
  ]);
  expect(t.unlearnedS).toBe(1000);
});

/** Nothing that is not known of kitchen and batch: the pour's own spread alone. */
const OWN = { factor: 0, batch: 0 };
describe('uncertainty', () => {
  test('near what can set at all, the high end has no figure and it is said', () => {
    const never = [99, 99.5, 100, 100.5, 101, 101.5, 102, 102.5, 103]
      .map((midpointC) => ({ ...pour, gelling: plainGelling(midpointC) }))
      .map((p) => ({ p, likely: whole(singlePour(p, 0, COARSE_GRID)).firstCleanPickS }))
      .filter((x) => x.likely !== undefined)
      .map(({ p, likely }) => whole(cleanPickSpread({ ...p, room: roomWith(160) }, likely ?? 0, OWN)))
      .filter((s) => s !== undefined);
    for (const s of never) expect(s.high === undefined).toBe(s.mayNeverSet);
  });
  test('less known of the start makes the spread wider, where setting is what is waited for', () => {
    const late = { ...plainGelling(92), plainC: 65, rate: 0.2 };
    const spread = (set: number) =>
      whole(cleanPickSpread({ ...pour, gelling: late, startG: 0.5, startC: 60 }, 1200, OWN, { ...UNKNOWN_START, set }))
        ?.sigma ?? 0;
    expect(spread(0.2)).toBeGreaterThan(spread(0.01));
  });
});
