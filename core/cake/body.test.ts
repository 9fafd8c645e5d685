import { lookUp } from '../model/heat';
import { maxwell, poreConductivity, thermalProperties } from '../larder';
import { scaleParts, thermalShares } from '../model/batter';
import { chooseSchool, type Plan } from '../plan';
import { cakeMaterial } from '../model/steam';
import { PARTS, PLAIN_POUR } from '../model/steam/testing/rooms';
import { formula, lightOf } from '../testing/made';

const paste = (id: string): Plan => chooseSchool(formula(id), 'intoPan', 'part-cooked');
const bodyOf = (plan: Plan) => lightOf(plan).body;
const alone = (plan: Plan): Plan => ({ ...plan, addIns: plan.addIns.slice(0, 1) });
const cut = (plan: Plan, form: 'shreds' | 'cubes'): Plan => ({
  ...plan,
  addIns: plan.addIns.map((l) => ({ ...l, cut: { form } })),
});

describe('pieces in a cake', () => {
  test('time constants by hand, L²/(n·π²·α): a shred of 5 mm takes 9 s, a cube of 12 mm 35', () => {
    const tau = (form: 'shreds' | 'cubes') => bodyOf(cut(alone(formula('radish-slab')), form)).pieces?.tauS ?? NaN;
    expect(tau('shreds')).toBeCloseTo(0.005 ** 2 / (2 * Math.PI ** 2 * 1.4e-7), 6);
    expect(tau('cubes')).toBeCloseTo(34.7, 1);
  });
  test('a paste holds 3 to 8 % of air between its pieces, a raw batter runs between them, one without pieces holds none', () => {
    for (const id of ['radish-slab', 'taro-slab']) {
      const { gasShare } = bodyOf(paste(id));
      expect(gasShare).toBeGreaterThan(0.025);
      expect(gasShare).toBeLessThan(0.08);
      expect(bodyOf(chooseSchool(formula(id), 'intoPan', 'raw')).gasShare).toBeCloseTo(0, 12);
    }
    expect(bodyOf(paste('savoury-coconut-slab'))).toMatchObject({ gasShare: 0, pieces: undefined });
  });
  test('pieces folded in cold are colder than what flows, and the two have the mean of the pour', () => {
    const plan = paste('taro-slab');
    const cold = {
      ...plan,
      addIns: plan.addIns.map((l) => ({ ...l, tempC: 5, treatment: 'as-is' as const })),
    };
    const light = lightOf(cold);
    const { pieces, flowingC } = light.body;
    if (!pieces) throw new Error('no pieces');
    expect(pieces.initialC).toBeLessThan(flowingC);
    expect(pieces.share * pieces.initialC + (1 - pieces.share) * flowingC).toBeCloseTo(light.pour.startC.value, 6);
    // Cubes lag behind shreds.
    const shreds = lightOf(cut(cold, 'shreds')).body;
    expect(shreds.flowingC - (shreds.pieces?.initialC ?? NaN)).toBeLessThan(flowingC - pieces.initialC);
  });
});

describe('conductivity', () => {
  test('inclusions by Maxwell: none changes nothing, like in like changes nothing, all is the other', () => {
    expect(maxwell(0.5, 0.03, 0)).toBe(0.5);
    expect(maxwell(0.5, 0.5, 0.4)).toBeCloseTo(0.5, 12);
    expect(maxwell(0.5, 0.03, 1)).toBeCloseTo(0.03, 12);
    // A third of still air in 0.5 W/mK by hand: 0.5·(1.03 − 2·0.333·0.47)/(1.03 + 0.333·0.47) = 0.302.
    expect(maxwell(0.5, 0.03, 1 / 3)).toBeCloseTo(0.3021, 3);
  });
  test('pieces of the batter’s own composition conduct as the batter does', () => {
    const whole = { ...PLAIN_POUR, inPieces: scaleParts(PARTS, 0.4) };
    for (const t of [20, 60, 95])
      expect(lookUp(cakeMaterial(whole).k, t)).toBeCloseTo(lookUp(cakeMaterial(PLAIN_POUR).k, t), 6);
  });
  test('wet bubbles by hand: at 95 °C 0.03 + 0.6·(D·L/(R·T))·p′·P/(P − p), about 4 W/mK; cold ones are still air; the factor stops at 15', () => {
    const [t, T] = [95, 368.15];
    const d = 2.6e-5 * (T / 298) ** 1.8;
    // Steam tables: 84.6 kPa at 95 °C, slope 3.1 kPa/K.
    const byTables = 0.03 + 0.6 * ((d * 42_000) / (8.3145 * T)) * 3100 * (101.325 / (101.325 - 84.6));
    expect(poreConductivity(t) / byTables).toBeGreaterThan(0.8);
    expect(poreConductivity(t) / byTables).toBeLessThan(1.3);
    expect(poreConductivity(5)).toBeLessThan(0.06);
    expect(Number.isFinite(poreConductivity(101))).toBe(true);
    expect(poreConductivity(95, 70_000)).toBeGreaterThan(poreConductivity(95));
  });
  test('so hot bubbles carry heat where cold ones hold it back', () => {
    const shares = thermalShares(PARTS);
    const [cold, hot] = [20, 90].map((t) => thermalProperties(shares, t, 0.33).k / thermalProperties(shares, t).k);
    expect(cold).toBeLessThan(0.75);
    expect(hot).toBeGreaterThan(1);
  });
});
