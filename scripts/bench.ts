import { whole } from '@/core/units';
import { performance } from 'node:perf_hooks';
import { FAMILIES, formulaOf } from '@/core/families';
import { composeForecast, forecastHeat, forecastLight } from '@/core/forecast';
import { analyticErrors, BIOTS, type Body } from '@/core/model/heat/testing/analyticCases';
import { BATCH_SIGMA, DEFAULT_VESSEL, emptyKitchen, kitchenSchema, PRIOR_SIGMA, vesselSchema } from '@/core/kitchen';
import { cool } from '@/core/model/rest';
import { searPiece } from '@/core/model/sear';
import { cutPlan } from '@/core/model/cut';
import { evaluate } from '@/core/flow';
import { INGREDIENT_TABLE } from '@/core/larder';
import { solveBlend } from '@/core/model/batter';
import {
  cakeMaterial,
  cleanPickSpread,
  COARSE_GRID,
  FINE_GRID,
  layerRun,
  SHIPPED_GRID,
  singlePour,
  type PourGrid,
  type SinglePour,
} from '@/core/model/steam';
import { PLAIN_POUR } from '@/core/model/steam/testing/rooms';
import { CASES, caseAccuracy, formulaAccuracy, off, STEAMED_FAMILIES, type Compared } from '@/core/testing/accuracy';

/** Speed and accuracy of the models, side by side: medians in milliseconds, errors against analytic series in °C. */
function median(work: () => unknown, runs = 15): number {
  for (let i = 0; i < (runs > 50 ? 800 : runs > 6 ? 8 : 2); i++) work();
  const times = Array.from({ length: runs }, () => {
    const t = performance.now();
    work();
    return performance.now() - t;
  });
  return times.sort((a, b) => a - b)[runs >> 1];
}
const row = (name: string, ms: number, limit: number) =>
  console.log(`${name.padEnd(58)} ${ms.toFixed(2).padStart(8)} ms   limit ${limit} ms ${ms <= limit ? '' : '  OVER'}`);

const square = vesselSchema.parse({ ...DEFAULT_VESSEL, shape: 'rectangular', lengthM: 0.2, widthM: 0.2 });
const pour = (vessel: SinglePour['vessel'], depthM = 0.035): SinglePour => ({ ...PLAIN_POUR, vessel, depthM });

console.log('Speed');
for (const family of FAMILIES) {
  const plan = formulaOf(family);
  const kitchen = emptyKitchen();
  const first = forecastLight(plan, kitchen);
  if (!first.ok) throw new Error(first.problems[0].sentence);
  const { flow, env } = first.value;
  const heat = forecastHeat(first.value);
  const evaluation = median(() => evaluate(flow, env), 201);
  row(`flow evaluated, ${family.name} (${flow.nodes.length} operations)`, evaluation, 0.3);
  const light = median(() => forecastLight(plan, kitchen), 201);
  row(`light forecast, ${family.name}`, light, 1);
  const all = median(() => {
    const l = forecastLight(plan, kitchen);
    if (l.ok) composeForecast(l.value, heat);
  }, 51);
  row(`all but heat, ${family.name}`, all, 5);
}
const loaf = vesselSchema.parse({
  ...DEFAULT_VESSEL,
  shape: 'rectangular',
  lengthM: 0.21,
  widthM: 0.11,
  baseLengthM: 0.19,
  baseWidthM: 0.085,
  heightM: 0.07,
});
const grid = `${SHIPPED_GRID.nr} × ${SHIPPED_GRID.nz}`;
const box = `${SHIPPED_GRID.nxy} × ${SHIPPED_GRID.nxy} × ${SHIPPED_GRID.nzBox}`;
const single = median(() => whole(singlePour(pour(DEFAULT_VESSEL))), 40);
row(`heat, one round pour, ${grid}`, single, 4);
row(
  'the same with its spread, as a share of the single run',
  median(() => {
    const p = whole(singlePour(pour(DEFAULT_VESSEL)));
    whole(cleanPickSpread(pour(DEFAULT_VESSEL), p.firstCleanPickS ?? 1, { factor: PRIOR_SIGMA, batch: BATCH_SIGMA }));
  }, 20) / single,
  3,
);
row(
  `heat, rectangular quarter in 3-D, ${box}`,
  median(() => whole(singlePour(pour(square))), 7),
  30,
);
row(
  `heat, tapered loaf, ${box}`,
  median(() => whole(singlePour(pour(loaf, 0.045))), 7),
  60,
);
const done = whole(singlePour(pour(DEFAULT_VESSEL)));
row(
  'cooling in three stages',
  median(() =>
    whole(
      cool({
        from: done.run,
        vessel: DEFAULT_VESSEL,
        depthM: 0.035,
        material: cakeMaterial(PLAIN_POUR),
        wall: { material: 'aluminium', paper: false },
        stages: [
          { where: 'counter', timeS: 1800 },
          { where: 'ice-bath', timeS: 3600 },
          { where: 'fridge', timeS: 36000 },
        ],
        kitchen: kitchenSchema.parse({}),
        releaseC: 30,
        cutC: 20,
        open: false,
      }),
    ),
  ),
  60,
);
row(
  'searing one 15 mm piece',
  median(() =>
    whole(
      searPiece({
        thicknessM: 0.015,
        startC: 5,
        panC: 185,
        airC: 21,
        k: 0.5,
        rho: 1080,
        c: 3600,
        waterShare: 0.72,
        browning: 1,
      }),
    ),
  ),
  10,
);

const layer = (name: string) => ({
  name,
  colour: 'porcelain',
  gelling: PLAIN_POUR.gelling,
  material: cakeMaterial(PLAIN_POUR),
  massG: 600,
  volumeMl: 550,
  stirEveryS: 200,
});
row(
  'twelve layers, round',
  median(
    () =>
      whole(
        layerRun({
          ...pour(DEFAULT_VESSEL),
          kitchenC: 21,
          vesselCount: 1,
          order: Array.from({ length: 12 }, (_, i) => i % 2),
          batters: [layer('one'), layer('two')],
        }),
      ),
    5,
  ),
  60,
);
row(
  'cut plan of 200 pieces, round',
  median(() => cutPlan(DEFAULT_VESSEL, 0.03, 1200, { shape: 'squares', by: { kind: 'count', pieces: 200 } })),
  5,
);
const starches = INGREDIENT_TABLE.flatMap((i) =>
  i.starchKind && i.kind !== 'grain' && i.id !== 'rice-flour-coarse'
    ? [
        {
          id: i.id,
          name: i.name,
          kind: i.starchKind,
          starch: i.per100.starch / 100,
          water: i.per100.water / 100,
          protein: i.per100.protein / 100,
          min: 0,
          max: 1,
        },
      ]
    : [],
);
row(
  `blend solver, ${starches.length} starches`,
  median(() =>
    solveBlend({
      starches,
      target: { firm: 5, chewy: 5, sticky: 4, clear: 5 },
      weights: {},
      hydration: [2, 3.5],
      perDry: { sugar: 0.02, fat: 0.1, protein: 0.01, other: 0.05 },
    }),
  ),
  100,
);

console.log('\nAgainst the analytic series: largest error in any cell, °C (25 °C into 100 °C)');
console.log('body              Bi      Fo 0.05    0.1    0.2    0.5      1');
for (const body of ['slab', 'long cylinder', 'finite cylinder', 'box'] as readonly Body[])
  for (const bi of BIOTS) {
    console.log(
      `${body.padEnd(17)} ${String(bi).padEnd(9)}${analyticErrors(body, bi)
        .map((c) => c.worstC.toFixed(3).padStart(7))
        .join('')}`,
    );
  }

console.log('\nWork and precision: first clean pick against the finest, by vessel');
const sizes: readonly PourGrid[] = [
  COARSE_GRID,
  { ...SHIPPED_GRID, nr: 12, nz: 16, nxy: 10, nzBox: 14 },
  SHIPPED_GRID,
  { ...SHIPPED_GRID, toleranceC: 1, maxStepS: 60 },
  FINE_GRID,
  { ...FINE_GRID, nr: 36, nz: 48, nxy: 20, nzBox: 32 },
];
const vessels = { round: DEFAULT_VESSEL, square, loaf };
for (const [name, vessel] of Object.entries(vessels)) {
  const asked = pour(vessel);
  const finest = whole(singlePour(asked, 0.2, { ...FINE_GRID, nr: 64, nz: 84, nxy: 24, nzBox: 42, toleranceC: 0.5 }));
  for (const s of sizes) {
    const t = whole(singlePour(asked, 0.2, s));
    const off = 100 * ((t.firstCleanPickS ?? NaN) / (finest.firstCleanPickS ?? NaN) - 1);
    console.log(
      `${name.padEnd(7)} ${`${s.nr} × ${s.nz}, ${s.nxy} × ${s.nxy} × ${s.nzBox}, ${s.toleranceC} °C`.padEnd(34)} ${((t.firstCleanPickS ?? NaN) / 60).toFixed(3).padStart(8)} min  off ${off.toFixed(3).padStart(7)} %  energy off ${(100 * t.energyError).toFixed(4)} %  ${median(() => whole(singlePour(asked, 0.2, s)), 5).toFixed(1)} ms`,
    );
  }
}

console.log('\nTime of steaming as shipped, off a finer working-out');
const told = (c: Compared) =>
  console.log(
    `${c.name.padEnd(40)} ${(c.shippedS / 60).toFixed(2).padStart(8)} min  off ${(100 * off(c)).toFixed(2).padStart(6)} %`,
  );
console.log('formulas: the same grid, steps of 3 s at most (limit 0.5 %)');
for (const id of STEAMED_FAMILIES) told(formulaAccuracy(id));
console.log('families, vessels, depths: a finer grid, steps of 5 s at most (limit 1 %)');
for (const one of CASES) told(caseAccuracy(one));
