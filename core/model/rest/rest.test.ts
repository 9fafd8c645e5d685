import { airFilm, constantMaterial, conduct, freeFactor, lossTo, plainGelling, roundGrid } from '../heat';
import { slabTheta } from '../heat/testing/analytic';
import { saturationPa, whole } from '../../units';
import type { CoolingStage } from '../../plan';
import {
  carryOver,
  cool,
  coolingCheck,
  daysUntilHarder,
  recrystallisingRate,
  resteamTime,
  roomCheck,
  staling,
  type CoolingInput,
  type Eaten,
} from '.';
import { lookerIn, mindOf } from '../../desk/advice';
import { FAMILIES, formulaOf } from '../../families';
import { DEFAULT_VESSEL, kitchenSchema, vesselSchema } from '../../kitchen';
import { forecast } from '../../forecast';
import { cakeMaterial, COARSE_GRID, pourGrid } from '../steam';

describe('cooling', () => {
  test('a slab cooled from both faces follows the analytic series', () => {
    const side = { filmH: 350, outerR: 0, innerR: 0, capacity: 0, ambientC: 0 };
    const shut = { ...side, filmH: 1e-9 };
    const run = conduct({
      grid: roundGrid(() => 0.1, 0.04, 1, 32),
      materials: [constantMaterial(0.5, 3.6e6)],
      initialC: 95,
      sides: { base: side, wall: shut, top: side },
    });
    while (run.timeS() < 3000) run.advance(3000);
    const mid = (run.temp[15] + run.temp[16]) / 2;
    expect(mid).toBeCloseTo(95 * slabTheta(0, (350 * 0.02) / 0.5, ((0.5 / 3.6e6) * 3000) / 0.0004), 0);
  });
  test('a field carried to a coarser grid keeps its mean and its extremes', () => {
    const fine = roundGrid(() => 0.1, 0.04, 24, 32);
    const coarse = roundGrid(() => 0.1, 0.04, 12, 16);
    const values = Float64Array.from({ length: 24 * 32 }, (_, c) => 20 + 80 * ((c % 24) / 24) ** 2);
    const carried = carryOver(fine, values, coarse);
    const mean = (g: typeof fine, v: Float64Array) =>
      v.reduce((s, x, c) => s + x * g.volume[c], 0) / g.volume.reduce((a, b) => a + b, 0);
    expect(mean(coarse, carried)).toBeCloseTo(mean(fine, values), 0);
    expect(Math.max(...carried)).toBeLessThanOrEqual(Math.max(...values) + 1e-9);
  });
});

describe('remedies', () => {
  const kitchen = kitchenSchema.parse({
    vessels: [{ id: 'v', name: 'Tin', shape: 'round', material: 'steel', diameterM: 0.24, heightM: 0.06, count: 3 }],
    steamers: [
      { id: 's', name: 'S', tiers: 3, innerDiameterM: 0.3, clearHeightM: 0.1, potDiameterM: 0.3, waterDepthM: 0.06 },
    ],
  });
  const slow = {
    ...formulaOf(FAMILIES[1]),
    cooling: [
      { where: 'counter' as const, timeS: 10_800 },
      { where: 'fridge' as const, timeS: 14_400 },
    ],
  };
  test('a slab left three hours on the counter misses the gate, and every remedy offered passes it when taken', () => {
    const before = forecast(slow, kitchen, COARSE_GRID);
    expect(before.ok && before.value.heat?.rest?.check.safe).toBe(false);
    const look = lookerIn(kitchen, COARSE_GRID);
    const [slowest] = whole(mindOf(whole(look(slow)), kitchen, look, 1));
    expect(slowest.advice.id).toBe('cools-slow');
    expect(slowest.ways.length).toBeGreaterThan(0);
    for (const r of slowest.ways) {
      const after = forecast(r.plan, kitchen, COARSE_GRID);
      expect(after.ok && after.value.heat?.rest?.check.safe).toBe(true);
    }
  });
});

describe('air round a cake', () => {
  const room = { tempC: 20, humidity: 0.5 };
  const face = { emissivity: 0, wet: 0, free: freeFactor('top', 0.05), alongM: 0.2 };
  test('free convection by hand: 1.32·(40/0.05)^¼ = 7.02 W/m²K over 40 °C is 281 W/m²', () =>
    expect(lossTo(room, 60, face)).toBeCloseTo(1.32 * (40 / 0.05) ** 0.25 * 40, 6));
  test('radiation by hand: 0.95·5.67e-8·(333.15⁴ − 293.15⁴) = 265.7 W/m²', () =>
    expect(lossTo({ ...room, blownH: 0 }, 60, { ...face, emissivity: 0.95 })).toBeCloseTo(265.7, 0));
  test('saturation pressure agrees with steam tables: 2.34 kPa at 20 °C, 19.95 at 60, 101 at 100', () => {
    expect(Math.abs(saturationPa(20) / 2339 - 1)).toBeLessThan(0.005);
    expect(Math.abs(saturationPa(60) / 19_940 - 1)).toBeLessThan(0.01);
    expect(Math.abs(saturationPa(100) / 101_325 - 1)).toBeLessThan(0.03);
  });
  test('evaporation by hand, Lewis, 25 W/m²K at 60 °C half wet: 25/1086·2.382e6·(0.1297 − 0.0087)/2 = 3.3 kW/m²', () =>
    expect(
      lossTo({ ...room, blownH: 25 }, 60, { ...face, wet: 0.5 }) - lossTo({ ...room, blownH: 25 }, 60, face),
    ).toBeCloseTo(3320, -2));
  test('a wet face at air temperature still loses heat, down to the wet bulb', () => {
    expect(lossTo(room, 20, { ...face, wet: 1, emissivity: 0.95 })).toBeGreaterThan(0);
    expect(lossTo(room, 5, { ...face, wet: 1, emissivity: 0.95 })).toBeLessThan(0);
  });
  test('the linearised film gives the loss itself at its own temperature', () => {
    for (const t of [25, 50, 90]) {
      const wet = { ...face, emissivity: 0.95, wet: 0.4 };
      const film = airFilm(room, t, wet);
      expect(film.filmH * (t - film.ambientC)).toBeCloseTo(lossTo(room, t, wet), 6);
    }
  });
});

/** A slab of 4 cm in a round pan, set and at 97 °C, cooled through stages. */
const slabCooled = (stages: CoolingStage[], change: Partial<CoolingInput> = {}) => {
  const parts = { water: 750, starch: 170, sugar: 10, fat: 20, protein: 15, fibreAsh: 10, salt: 5 };
  const vessel = vesselSchema.parse({ ...DEFAULT_VESSEL, diameterM: 0.2 });
  const depthM = change.depthM ?? 0.038;
  const shut = { filmH: 1e-9, outerR: 0, innerR: 0, capacity: 0, ambientC: 97 };
  const from = conduct({
    grid: pourGrid(vessel, depthM, COARSE_GRID),
    materials: [cakeMaterial({ parts: parts, gasShare: 0, gelling: plainGelling(77) })],
    initialC: 97,
    initialG: 1,
    sides: { base: shut, wall: shut, top: shut },
  });
  return whole(
    cool({
      from,
      vessel,
      depthM,
      material: cakeMaterial({ parts: parts, gasShare: 0, gelling: plainGelling(77) }),
      wall: { material: 'steel', paper: false },
      stages,
      kitchen: kitchenSchema.parse({}),
      releaseC: 30,
      cutC: 25,
      open: false,
      ...change,
    }),
  );
};
const minutes = (s: number | undefined) => (s ?? Infinity) / 60;

describe('cooling against practice', () => {
  const counter = (change: Partial<CoolingInput> = {}) =>
    minutes(slabCooled([{ where: 'counter', timeS: 43_200 }], change).cutReadyAtS);
  test('35 to 40 mm in its pan on the counter come to 25 °C in 150 to 270 min, widened by 1.2', () => {
    for (const depthM of [0.035, 0.038, 0.04]) {
      expect(counter({ depthM })).toBeGreaterThan(150 / 1.2);
      expect(counter({ depthM })).toBeLessThan(270 * 1.2);
    }
  });
  test('in iced water in 45 to 130 min', () => {
    const iced = minutes(slabCooled([{ where: 'ice-bath', timeS: 36_000 }]).cutReadyAtS);
    expect(iced).toBeGreaterThan(45);
    expect(iced).toBeLessThan(130);
  });
  test('a shallower slab, a fan, and air that is colder cool faster', () => {
    expect(counter({ depthM: 0.02 })).toBeLessThan(counter());
    expect(minutes(slabCooled([{ where: 'fan', timeS: 43_200 }]).cutReadyAtS)).toBeLessThan(counter());
    expect(counter({ kitchen: kitchenSchema.parse({ roomC: 15 }) })).toBeLessThan(counter());
  });
  test('an open top in the fridge cools faster than a covered one', () => {
    const fridge = (open: boolean) => minutes(slabCooled([{ where: 'fridge', timeS: 43_200 }], { open }).cutReadyAtS);
    expect(fridge(true)).toBeLessThan(fridge(false));
  });
  test('portions laid apart cool faster than the whole, more of them faster', () => {
    const to5 = (pieces?: number) =>
      coolingCheck(
        slabCooled([
          { where: 'counter', timeS: 1800 },
          { where: 'fridge', timeS: 43_200, pieces },
        ]).curve,
        { fridgeC: 4, coldFirst: false },
      ).to5S ?? Infinity;
    expect(to5(4)).toBeLessThan(to5());
    expect(to5(16)).toBeLessThan(to5(4));
  });
  test('typed minutes are what is computed: stages begin and end when they are said to', () => {
    const r = slabCooled([
      { where: 'counter', timeS: 1234 },
      { where: 'ice-bath', timeS: 2345 },
    ]);
    expect(r.stageStartsS[1]).toBeCloseTo(1234, 6);
    expect(r.stagesEndS).toBeCloseTo(3579, 6);
    expect(r.curve.every((p, i) => i === 0 || p.timeS > r.curve[i - 1].timeS)).toBe(true);
  });
});

describe('what is eaten warm or at room temperature', () => {
  const counter = (eaten: Eaten) => roomCheck(slabCooled([{ where: 'counter', timeS: 3600 }]).curve, eaten);
  test('no two-stage rule where nothing is chilled: coconut, egg and meat within 4 h of leaving 60 °C', () => {
    const c = counter({ spoils: true, sugarPhase: 0.1 });
    expect(c.rule).toBe('room');
    expect(c.eatByS ?? 0).toBeGreaterThan(4 * 3600);
    expect(c.eatByS ?? 0).toBeLessThan(6 * 3600);
    expect(c.sentence).toMatch(/chilled or thrown away/);
  });
  test('plain ones the same day, sugar-rich ones longer', () => {
    expect(counter({ spoils: false, sugarPhase: 0.1 }).sentence).toMatch(/same day/);
    expect(counter({ spoils: false, sugarPhase: 0.55 }).sentence).toMatch(/day or two/);
  });
});

describe('over the days', () => {
  const rice = { hardens: 7, firm: 6, chewy: 3, amylose: 0.25 };
  test('recrystallising is fastest near 4 °C and stops above 60 °C and when frozen', () => {
    expect(recrystallisingRate(4)).toBeGreaterThan(recrystallisingRate(22));
    expect(recrystallisingRate(65)).toBe(0);
    expect(recrystallisingRate(-18)).toBe(0);
  });
  test('hardness never falls, is faster chilled than at room, and a day and a half at 4 °C is half of the amylopectin', () => {
    const chilled = staling(rice, 'chilled');
    for (let i = 1; i < chilled.length; i++)
      expect(chilled[i].hardness).toBeGreaterThanOrEqual(chilled[i - 1].hardness);
    expect(chilled[8].hardness).toBeGreaterThan(staling(rice, 'room')[8].hardness);
    const set = 0.25 + 0.75 * 0.5;
    // Under film moisture evens out: less 0.06 of the way by the first day, e^(−3) of it still to come at a day and a half.
    const softer = 0.06 * (1 - Math.exp(-3));
    expect(chilled[6].hardness).toBeCloseTo(6 + (0.7 * set - softer) * 4, 3);
    expect(daysUntilHarder(staling(rice, 'frozen'), 1.2)).toBeGreaterThan(daysUntilHarder(chilled, 1.2));
  });
  test('an open top is harder after a day than under film, a box between; a slow cooling sets more than a quick one', () => {
    const day = (wrap: 'film' | 'open' | 'box') => staling(rice, 'chilled', 4, wrap)[4].hardness;
    expect(day('open')).toBeGreaterThan(day('box'));
    expect(day('box')).toBeGreaterThan(day('film'));
    const cooled = (hours: number) => [
      { timeS: 0, meanC: 80 },
      { timeS: hours * 1800, meanC: 20 },
      { timeS: hours * 3600, meanC: 4 },
    ];
    expect(staling(rice, 'frozen', 4, 'film', cooled(12))[8].hardness).toBeGreaterThan(
      staling(rice, 'frozen', 4, 'film', cooled(2))[8].hardness,
    );
  });
  test('a thicker piece takes longer to re-steam, and hot through comes after tender', () => {
    const m = constantMaterial(0.5, 3.6e6);
    const [thin, thick] = [resteamTime(m, 0.015, 0.05, 5, 100), resteamTime(m, 0.03, 0.05, 5, 100)];
    expect(thin && thick && thick.tenderS > thin.tenderS).toBe(true);
    expect(thin && thin.hotS > thin.tenderS).toBe(true);
  });
});
