import { whole } from '../../units';
import { constantMaterial, heatMaterial, plainGelling } from '../heat';
import { DEFAULT_VESSEL, vesselSchema } from '../../kitchen';
import {
  layerRun,
  cleanPickSpread,
  heatCourse,
  powerAt,
  walledSide,
  stackSpread,
  singlePour,
  COARSE_GRID,
  SHIPPED_GRID,
  type PourGrid,
  type LayerBatter,
  type LayerInput,
} from '.';
import { layerOrder } from '../../plan';
import { PLAIN_POUR, roomWith } from './testing/rooms';

const material = heatMaterial(
  () => 0.5,
  () => 3.6e6,
  77,
);
const batter = (massG = 600): LayerBatter => ({
  material,
  gelling: plainGelling(77),
  massG,
  volumeMl: massG / 1.1,
  stirEveryS: 200,
});
const input: LayerInput = {
  batters: [batter(600), batter(450)],
  order: layerOrder(7, 2),
  vessel: DEFAULT_VESSEL,
  vesselCount: 1,
  startC: 25,
  mouldC: 25,
  material: 'aluminium',
  paper: false,
  foil: false,
  kitchenC: 21,
  room: roomWith(),
};
/** @param layers in all, by turns */
const run = (
  { layers, ...change }: Partial<LayerInput> & { readonly layers?: number } = {},
  size: PourGrid = SHIPPED_GRID,
) => {
  const all = { ...input, ...change };
  const order = layers === undefined ? all.order : layerOrder(layers, all.batters.length);
  const r = whole(layerRun({ ...all, order }, size));
  if (!r) throw new Error('never sets');
  return r;
};

describe('layers', () => {
  test('batters take turns', () => expect(layerOrder(7, 2)).toEqual([0, 1, 0, 1, 0, 1, 0]));
  test('equal grams per layer of each batter, and all of it is poured', () => {
    const { pours } = run();
    expect(pours.filter((p) => p.batter === 0).map((p) => p.grams)).toEqual(
      [150, 150, 150, 150].map((g) => expect.closeTo(g, 9)),
    );
    expect(pours.filter((p) => p.batter === 1).every((p) => Math.abs(p.grams - 150) < 1e-9)).toBe(true);
    expect(pours.reduce((s, p) => s + p.grams, 0)).toBeCloseTo(1050, 6);
    expect(pours[pours.length - 1].toM).toBeCloseTo(1050 / 1.1 / 1e6 / (Math.PI * 0.01), 6);
  });
  test('pours follow each other, each waits for the one below, and the window closes when it has stood fully set', () => {
    const { pours, totalS } = run();
    for (let i = 1; i < pours.length; i++)
      expect(pours[i].atS).toBeGreaterThanOrEqual(pours[i - 1].atS + pours[i - 1].waitS);
    // A layer that has stood fully set for twenty minutes takes no other.
    for (const p of pours.slice(0, -1)) {
      expect(p.tooLateS).toBeGreaterThan(p.waitS + 1190);
      expect(p.tooLateS).toBeLessThan(p.waitS + 1700);
    }
    expect(totalS).toBeCloseTo(pours[6].atS + pours[6].waitS, 9);
  });
  test('thinner layers wait less; a single layer takes as long as a single pour', () => {
    expect(run({ layers: 11 }).pours[4].waitS).toBeLessThan(run({ layers: 5 }).pours[2].waitS);
    const one = run({ layers: 1, batters: [batter(600)] });
    const pour = whole(singlePour({ ...PLAIN_POUR, depthM: one.pours[0].toM }, 0, COARSE_GRID));
    // Different property laws (constant here), the same physics, but for the lid that is up at first: within 15 %.
    expect(Math.abs((one.totalS - 20) / (pour.firstCleanPickS ?? NaN) - 1)).toBeLessThan(0.15);
  });
  test('a layer waits until the one below is set through, its coldest cell, not its top alone', () => {
    const { pours, frames } = run({ layers: 3 });
    const rows = frames.nz / 3;
    const at = frames.timesS.findIndex((t) => t >= pours[1].atS - 21);
    const below = frames.gel[at].slice(0, rows * frames.nx).filter((g) => !Number.isNaN(g));
    expect(Math.min(...below)).toBeGreaterThanOrEqual(0.84);
  });
  test('thicker layers are never faster, whatever the count, depth and vessel: no jumps by cells', () => {
    const vessels = [
      DEFAULT_VESSEL,
      vesselSchema.parse({ ...DEFAULT_VESSEL, diameterM: 0.22, baseDiameterM: 0.14 }),
      vesselSchema.parse({ ...DEFAULT_VESSEL, shape: 'rectangular', lengthM: 0.2, widthM: 0.14 }),
    ];
    for (const vessel of vessels)
      for (const layers of [3, 5]) {
        const totals = Array.from({ length: 9 }, (_, i) =>
          run({ vessel, layers, batters: [batter(300 + 40 * i)] }, COARSE_GRID),
        );
        for (let i = 1; i < totals.length; i++) {
          expect(totals[i].totalS).toBeGreaterThanOrEqual(totals[i - 1].totalS - 1);
          totals[i].pours.forEach((p, k) => expect(p.waitS).toBeGreaterThanOrEqual(totals[i - 1].pours[k].waitS - 1.5));
        }
      }
  });
  test('equal layers on a growing stack wait longer and longer, without steps', () => {
    const waits = run({ layers: 8, batters: [batter(900)] })
      .pours.slice(0, -1)
      .map((p) => p.waitS);
    for (let i = 1; i < waits.length; i++) {
      expect(waits[i]).toBeGreaterThanOrEqual(waits[i - 1] - 2);
      expect(waits[i] / waits[i - 1]).toBeLessThan(1.45);
    }
  });
  test('energy is conserved over every pour, lid openings and standing in', () => {
    const still = { ...walledSide({ material: 'aluminium', paper: false }, 8, 55) };
    const r = run({
      layers: 12,
      stand: { timeS: 300, sides: { base: still, wall: still, top: { ...still, capacity: 0 } } },
    });
    expect(r.energyError).toBeLessThan(0.005);
  });
  test('the lid up cools the top of the stack, and its middle not', () => {
    const { frames, pours } = run({ layers: 3, material: 'steel' });
    // Just before the lid comes up for the third pour, and as it is poured: the top row of the second layer, and the row in its middle.
    const at = frames.timesS.findIndex((t) => t >= pours[2].atS - 1e-6);
    const rows = frames.nz / 3;
    const row = (frame: number, k: number) => frames.tempC[frame][k * frames.nx];
    const fallen = (k: number) => row(at - 1, k) - row(at, k);
    expect(fallen(2 * rows - 1)).toBeGreaterThan(5);
    expect(fallen(2 * rows - 1)).toBeLessThan(30);
    expect(Math.abs(fallen(Math.floor(1.5 * rows)))).toBeLessThan(2);
  });
  test('drops from a bare lid keep the top wet: it is blotted before the next pour; under foil it need not be', () => {
    // More falls than the gel takes up: a minute for it, then the top is blotted, and no longer.
    const wet = run({ dripsKgM2S: 1e-3 });
    expect(wet.pours.slice(1, -1).every((p) => p.waitsFor === 'blotting')).toBe(true);
    expect(wet.pours[1].waitS).toBeGreaterThan(run().pours[1].waitS + 50);
    expect(wet.totalS).toBeLessThan(run().totalS + 7 * 90);
    expect(run({ foil: true, dripsKgM2S: 1e-3 }).pours.every((p) => p.waitsFor === 'set')).toBe(true);
  });
  test('walls keep their own temperature over a pour: ceramic is the slower, the first layer and all', () => {
    const [steel, ceramic] = (['steel', 'ceramic'] as const).map((material) => run({ material }));
    expect(ceramic.pours[0].waitS).toBeGreaterThan(steel.pours[0].waitS);
    expect(ceramic.totalS).toBeGreaterThan(steel.totalS);
  });
  test('each batter sets by its own gelling: the one that gels at a higher temperature waits longer', () => {
    const late = heatMaterial(
      () => 0.5,
      () => 3.6e6,
      plainGelling(84),
    );
    const { pours } = run({
      batters: [batter(600), { ...batter(600), material: late, gelling: plainGelling(84) }],
      layers: 6,
    });
    expect(pours[1].waitS).toBeGreaterThan(pours[2].waitS);
    expect(pours[3].waitS).toBeGreaterThan(pours[4].waitS);
  });
  test('turned down after some minutes it takes longer, and the phases run on from pour to pour', () => {
    const course = heatCourse([{ powerW: 1100, timeS: 600 }, { powerW: 400 }], 0);
    const room = roomWith(1100, { powerW: (t) => powerAt(course, t) });
    const [same, lower] = [run(), run({ course, room })];
    expect(lower.pours[1].waitS).toBeCloseTo(same.pours[1].waitS, 6);
    expect(lower.totalS).toBeGreaterThan(same.totalS * 1.05);
  });
  test('standing is apart from the steam: the fire is on for a fifth of the last layer more', () => {
    const still = { filmH: 8, outerR: 0, innerR: 0, capacity: 0, ambientC: 55 };
    const stood = run({ stand: { timeS: 400, sides: { base: still, wall: still, top: still } } });
    const end = stood.frames.timesS[stood.frames.timesS.length - 1];
    expect(stood.steamedS).toBeCloseTo(stood.totalS + 0.2 * stood.lastS, 0);
    expect(end).toBeCloseTo(stood.steamedS + 400, 0);
  });
  test('its spread holds the likely time; the coarse grid is near the shipped one', () => {
    const shipped = run();
    const likely = shipped.totalS;
    const s = whole(stackSpread(input, shipped, { factor: 0, batch: 0 }));
    expect(s?.low ?? Infinity).toBeLessThan(likely);
    expect(s?.high ?? 0).toBeGreaterThan(likely);
    expect(run({}, COARSE_GRID).totalS / likely).toBeGreaterThan(0.93);
    expect(run({}, COARSE_GRID).totalS / likely).toBeLessThan(1.07);
  });
  test('rectangular trays are layered too, and a batter that cannot gel gives no run', () => {
    expect(
      run({
        vessel: vesselSchema.parse({ ...DEFAULT_VESSEL, shape: 'rectangular', lengthM: 0.2, widthM: 0.2 }),
        layers: 3,
      }).pours,
    ).toHaveLength(3);
    expect(
      whole(
        layerRun({
          ...input,
          order: layerOrder(2, 1),
          batters: [{ ...batter(), material: constantMaterial(0.5, 3.6e6) }],
        }),
      ),
    ).toBeUndefined();
  });
});

test('the spread holds the likely time, and a deeper pour has a wider one in minutes', () => {
  const at = (depthM: number) => {
    const p = { ...PLAIN_POUR, depthM };
    return whole(
      cleanPickSpread(p, whole(singlePour(p, 0, COARSE_GRID)).firstCleanPickS ?? NaN, { factor: 0, batch: 0 }),
    );
  };
  const [thin, deep] = [at(0.015), at(0.045)];
  if (!thin || !deep) throw new Error('never sets');
  expect(thin.low).toBeLessThan(thin.likely);
  expect(thin.high ?? NaN).toBeGreaterThan(thin.likely);
  expect((deep.high ?? NaN) - deep.low).toBeGreaterThan((thin.high ?? NaN) - thin.low);
});
