import { kitchenSchema } from '../kitchen';
import { equilibriumGel, gelRate, plainGelling } from '../model/heat';
import {
  driftedC,
  fermentTimeS,
  heldSet,
  squeezedShare,
  uncoveredTauS,
  waitToReachS,
  wiltedShare,
  yeastRate,
} from '../model/batter';
import { planSchema, type Plan } from '../plan';
import { flowEnv } from '../forecast';
import { formula, lightOf, resolvedIn, told } from '../testing/made';
import {
  evaluate,
  flowBuilder,
  flowLines,
  partsOfStream,
  setDegreeOf,
  streamMass,
  type EvaluatedNode,
  type FlowBuilder,
  type Input,
} from '.';

type InLine = { ingredient: string; massG: number; [k: string]: unknown };
const planOf = (lines: InLine[], more: object = {}): Plan =>
  planSchema.parse({
    format: 'idle-ladle/plan',
    version: 2,
    name: 'T',
    family: 'dimpled-cups',
    batters: [{ id: 'b', name: 'B', lines }],
    ...more,
  });

/** Builds a little flow by hand, serves its last stream, and evaluates it in the default kitchen (21 °C). */
function cook(lines: InLine[], build: (b: FlowBuilder) => Input[], readings: Plan['readings'] = {}) {
  const r = resolvedIn(planOf(lines));
  const b = flowBuilder(flowLines(r, undefined));
  b.node('serve', 'plate', {}, build(b), [], { resources: ['hands'] });
  const flow = b.end();
  const e = evaluate(flow, flowEnv(r), readings);
  const at = (id: string): EvaluatedNode => {
    const n = e.byId.get(id);
    if (!n) throw new Error(id);
    return n;
  };
  return { e, flow, at };
}
const hands = { resources: ['hands'] } as const;
const MIX = { firstShare: 1, bowl: 'none' as const, bowlG: 0 };

// Specific heats by hand: water 4.18, starch and sugar 1.62, protein 2.06, fat 2.04, ash 1.91 J/(g·K).
const C_FLOUR = (12 * 4.18 + 79 * 1.62 + 0.2 * 1.62 + 1 * 2.04 + 6.3 * 2.06 + 1.5 * 1.91) / 100;

describe('temperature at the pour, by hand', () => {
  test('hot and cold water: equal grams at 100 and 21 °C meet at 60.5 °C', () => {
    const { at } = cook(
      [
        { ingredient: 'water', massG: 300, id: 'hot' },
        { ingredient: 'water', massG: 300, id: 'cold' },
      ],
      (b) => b.node('mix', 'b', MIX, [b.take('hot', 'rest', { tempC: 100 }), b.take('cold')], ['water'], hands),
    );
    expect(at('mix:b').outs[0].tempC).toBeCloseTo(60.5, 1);
  });
  test('a bowl that is told takes its share: 300 g of steel is 150 J/K against 600 g of water', () => {
    const { at } = cook([{ ingredient: 'water', massG: 600, id: 'w' }], (b) =>
      b.node(
        'mix',
        'b',
        { firstShare: 1, bowl: 'steel', bowlG: 300 },
        [b.take('w', 'rest', { tempC: 90 })],
        ['water'],
        hands,
      ),
    );
    expect(at('mix:b').outs[0].tempC).toBeCloseTo((600 * 4.18 * 90 + 150 * 21) / (600 * 4.18 + 150), 1);
  });
  test('a scald: 300 g flour in 450 g cold water, 420 g boiling water poured in, lands near 53.5 °C and stays raw', () => {
    const { at, flow } = cook(
      [
        { ingredient: 'rice-flour-fine', massG: 300 },
        { ingredient: 'water', massG: 450, id: 'cold' },
        { ingredient: 'water', massG: 420, id: 'hot' },
      ],
      (b) =>
        b.node(
          'scald',
          'b',
          { forS: 60 },
          [
            ...b.node('mix', 'b', MIX, [b.take('rice-flour-fine'), b.take('cold')], ['slurry'], hands),
            b.take('hot', 'rest', { tempC: 100 }),
          ],
          ['batter'],
          hands,
        ),
    );
    const flour = 300 * C_FLOUR;
    const byHand = ((flour + 450 * 4.18) * 21 + 420 * 4.18 * 100) / (flour + 870 * 4.18);
    expect(at('scald:b').outs[0].tempC).toBeCloseTo(byHand, 0);
    expect(Math.abs(at('scald:b').outs[0].tempC - byHand)).toBeLessThan(0.3);
    expect(setDegreeOf(flow.lines, at('scald:b').outs[0])).toBeLessThan(0.001);
  });
  test('dimpled cups as shipped: the cold top-up counts, so they are poured raw, not set', () => {
    const l = lightOf(formula('dimpled-cups'));
    expect(l.evaluated.byId.get('scald:batter')?.outs[0].tempC).toBeCloseTo(53.5, 0);
    expect(l.pour.startC.value).toBeLessThan(40);
    expect(l.pour.startG).toBeLessThan(0.01);
  });
  test('paste with cold pieces: 800 g at 75 °C and 400 g of raw vegetable at 21 °C', () => {
    const { at } = cook(
      [
        { ingredient: 'rice-flour-fine', massG: 200 },
        { ingredient: 'water', massG: 600, id: 'w' },
        { ingredient: 'carrot', massG: 400 },
      ],
      (b) =>
        b.node(
          'fold-in',
          'b',
          {},
          [
            ...b.node(
              'mix',
              'b',
              MIX,
              [b.take('rice-flour-fine', 'rest', { tempC: 75 }), b.take('w', 'rest', { tempC: 75 })],
              ['paste'],
              hands,
            ),
            b.take('carrot', 'rest', { phase: 'piece' }),
          ],
          ['cake'],
          hands,
        ),
    );
    const paste = 200 * C_FLOUR + 600 * 4.18;
    const carrot = 400 * (0.885 * 4.18 + 0.06 * 1.62 + 0.002 * 2.04 + 0.008 * 2.06 + 0.045 * 1.91);
    expect(Math.abs(at('fold-in:b').outs[0].tempC - (paste * 75 + carrot * 21) / (paste + carrot))).toBeLessThan(0.4);
  });
  test('a syrup batter: 170 g sugar and 250 g water at 58 °C, 300 g flour and 200 g water at 21 °C', () => {
    const { at } = cook(
      [
        { ingredient: 'white-sugar', massG: 170 },
        { ingredient: 'water', massG: 250, id: 'hot' },
        { ingredient: 'water', massG: 200, id: 'cold' },
        { ingredient: 'rice-flour-fine', massG: 300 },
      ],
      (b) =>
        b.node(
          'mix',
          'b',
          MIX,
          [
            ...b.node('melt', 'b', { toC: 58 }, [b.take('white-sugar'), b.take('hot')], ['syrup'], hands),
            b.take('rice-flour-fine'),
            b.take('cold'),
          ],
          ['batter'],
          hands,
        ),
    );
    const hot = 170 * 1.62 + 250 * 4.18;
    const cold = 300 * C_FLOUR + 200 * 4.18;
    expect(Math.abs(at('mix:b').outs[0].tempC - (hot * 58 + cold * 21) / (hot + cold))).toBeLessThan(0.3);
  });
  test('a roux: 45 g flour cooked through in 315 g water sets only its own share of the rice', () => {
    const { at, flow } = cook(
      [
        { ingredient: 'rice-flour-fine', massG: 300 },
        { ingredient: 'water', massG: 560, id: 'w' },
      ],
      (b) =>
        b.node(
          'mix',
          'b',
          MIX,
          [
            ...b.node('roux', 'b', {}, [b.take('rice-flour-fine', 0.15), b.take('w', 315 / 560)], ['paste'], hands),
            b.take('rice-flour-fine'),
            b.take('w'),
          ],
          ['batter'],
          hands,
        ),
    );
    expect(setDegreeOf(flow.lines, at('roux:b').outs[0])).toBe(1);
    expect(setDegreeOf(flow.lines, at('mix:b').outs[0])).toBeCloseTo(0.15, 6);
    expect(at('roux:b').waitS).toBeGreaterThan(600);
  });
  test('a rested batter drifts to its place by the covered time constant, 100 min × (m/kg)^⅓', () => {
    const { at } = cook([{ ingredient: 'water', massG: 1000, id: 'w' }], (b) =>
      b.node('rest', 'b', { leastS: 0, usualS: 6000, mostS: 9000 }, [b.take('w', 'rest', { tempC: 41 })], ['w'], hands),
    );
    expect(at('rest:b').outs[0].tempC).toBeCloseTo(21 + 20 * Math.exp(-1), 2);
  });
  test('a reading of the temperature replaces the computed one from there on', () => {
    const { at } = cook(
      [{ ingredient: 'water', massG: 300, id: 'w' }],
      (b) => b.node('mix', 'b', MIX, [b.take('w')], ['w'], hands),
      { 'mix:b': { tempC: 44 } },
    );
    expect(at('serve:plate').carried[0].tempC).toBe(44);
  });
});

describe('drift of a kilogram in a bowl', () => {
  test('uncovered the time constant is 27 min at 75 °C, 38 at 60, 55 at 40', () => {
    expect([75, 60, 40].map((t) => uncoveredTauS(t) / 60)).toEqual([27, 38, 55]);
  });
  test('a lid slows it, a larger bowl slows it, and it never passes its place', () => {
    expect(driftedC(80, 20, 1800, 1000, true)).toBeGreaterThan(driftedC(80, 20, 1800, 1000, false));
    expect(driftedC(80, 20, 1800, 8000, false)).toBeGreaterThan(driftedC(80, 20, 1800, 1000, false));
    expect(driftedC(80, 20, 1e6, 1000, false)).toBeCloseTo(20, 3);
    expect(driftedC(5, 21, 3600, 1000, true)).toBeLessThan(21);
  });
  test('the wait to a temperature, waited, arrives there', () => {
    const s = waitToReachS(95, 40, 21, 700, false) ?? NaN;
    expect(driftedC(95, 21, s, 700, false)).toBeCloseTo(40, 0);
    expect(waitToReachS(95, 15, 21, 700, false)).toBeUndefined();
  });
});

describe('set and swelling', () => {
  test('a minute at 75 °C sets about a third of tapioca and a tenth of rice', () => {
    const exact = (mid: number) => equilibriumGel(75, plainGelling(mid)) * (1 - Math.exp(-gelRate(75) * 60));
    expect(heldSet(0, 75, plainGelling(73), 60)).toBeCloseTo(exact(73), 12);
    expect(heldSet(0, 75, plainGelling(73), 60)).toBeGreaterThan(0.3);
    expect(heldSet(0, 75, plainGelling(73), 60)).toBeLessThan(0.4);
    expect(heldSet(0, 75, plainGelling(77), 60)).toBeGreaterThan(0.08);
    expect(heldSet(0, 75, plainGelling(77), 60)).toBeLessThan(0.14);
  });
  test('cooling never unsets', () => expect(heldSet(0.6, 25, plainGelling(77), 3600)).toBe(0.6));
});

describe('drawing', () => {
  test('f = f_m + (f∞ − f_m)(1 − e^(−t/τ)): shreds squeezed by hand after half an hour of salt', () => {
    const fm = 0.09;
    expect(squeezedShare('by-hand', 'shreds', 1800, true)).toBeCloseTo(
      fm + (0.38 - fm) * (1 - Math.exp(-1800 / 480)),
      12,
    );
  });
  test('unsalted it gives only what squeezing brings at once: pulp 0.18, shreds half, cubes none', () => {
    expect((['pulp', 'shreds', 'cubes'] as const).map((f) => squeezedShare('by-hand', f, 1800, false))).toEqual([
      0.18, 0.09, 0,
    ]);
  });
  test('salt dissolves evenly: what stays is salt × water kept ÷ all water', () => {
    const { at } = cook([{ ingredient: 'radish', massG: 1000, drawSaltG: 20 }], (b) =>
      b.node(
        'squeeze',
        'radish',
        { how: 'hard', form: 'shreds', drawnS: 1800, salted: true, keep: false },
        b.node(
          'draw',
          'radish',
          { forS: 1800 },
          [b.take('radish', 'rest', { phase: 'piece' }), b.take('radish/draw')],
          ['salted'],
          hands,
        ),
        ['squeezed'],
        hands,
      ),
    );
    const n = at('squeeze:radish');
    const kept = n.outs[0];
    const away = n.lost[0].stream;
    expect(n.lost[0].sink).toBe('drawn');
    const share = partsOfStream(kept).water / (partsOfStream(kept).water + partsOfStream(away).water);
    expect(partsOfStream(kept).salt).toBeCloseTo(20 * share, 9);
    expect(partsOfStream(kept).salt + partsOfStream(away).salt).toBeCloseTo(20, 9);
    expect(n.figures.juiceG.value).toBeCloseTo(1000 * squeezedShare('hard', 'shreds', 1800, true), 6);
  });
  test('wilted: 1000 g for 12 min gives 1000·0.30·(1 − e^(−2.4)) of juice, kept', () => {
    const { at } = cook([{ ingredient: 'radish', massG: 1000 }], (b) =>
      b.node(
        'wilt',
        'radish',
        { forS: 720, lid: true },
        [b.take('radish', 'rest', { phase: 'piece' })],
        ['wilted', 'juice'],
        hands,
      ),
    );
    expect(streamMass(at('wilt:radish').outs[1])).toBeCloseTo(1000 * wiltedShare(720), 6);
  });
  test('an open pan boils water away while it wilts, a lid does not', () => {
    const at = (lid: boolean) =>
      cook([{ ingredient: 'radish', massG: 1000 }], (b) =>
        b.node(
          'wilt',
          'radish',
          { forS: 900, lid },
          [b.take('radish', 'rest', { phase: 'piece' })],
          ['wilted', 'juice'],
          hands,
        ),
      ).e.account.boiledAwayG;
    expect(at(true)).toBe(0);
    expect(at(false)).toBeGreaterThan(20);
  });
});

describe('other operations', () => {
  test('leaves infused, blended and strained: the cloth holds four times their fibre', () => {
    const { at, e } = cook(
      [
        { ingredient: 'spring-onion', massG: 100 },
        { ingredient: 'water', massG: 200, id: 'w' },
      ],
      (b) =>
        b.node(
          'blend-strain',
          'leaf',
          {},
          b.node(
            'infuse',
            'leaf',
            { forS: 600 },
            [b.take('spring-onion', 'rest', { phase: 'piece' }), b.take('w')],
            ['steeped'],
            hands,
          ),
          ['juice'],
          hands,
        ),
    );
    // Spring onion: 90 g water, 3 g sugar and 4.5 g fibre and ash in 100 g; 90 + 3 + 200 − 4·4.5 = 275 g.
    const fibre = 4.5;
    const serum = 90 + 3 + 200;
    expect(at('blend-strain:leaf').figures.yieldG.value).toBeCloseTo(serum - 4 * fibre, 0);
    expect(e.account.leftG).toBeGreaterThan(4 * fibre);
  });
  test('poured off and topped up: 200 of 1000 g of free water takes a fifth of the salt, and seasoning puts it back', () => {
    const { at } = cook(
      [
        { ingredient: 'rice-flour-fine', massG: 300 },
        { ingredient: 'water', massG: 1000, id: 'w' },
        { ingredient: 'fine-salt', massG: 5 },
      ],
      (b) =>
        b.node(
          'season',
          'b',
          {},
          b.node(
            'pour-off',
            'b',
            { pouredG: 200 },
            b.node('mix', 'b', MIX, [b.take('rice-flour-fine'), b.take('w'), b.take('fine-salt')], ['slurry'], hands),
            ['topped'],
            hands,
          ),
          ['seasoned'],
          hands,
        ),
    );
    expect(at('pour-off:b').figures.saltG.value).toBeCloseTo(1, 6);
    expect(partsOfStream(at('pour-off:b').outs[0]).salt).toBeCloseTo(4, 6);
    expect(partsOfStream(at('pour-off:b').outs[0]).water).toBeCloseTo(1000 + 36, 6);
    expect(partsOfStream(at('season:b').outs[0]).salt).toBeCloseTo(5, 6);
  });
  test('reduced to two thirds: a third has boiled away, all of it water', () => {
    const { e, at } = cook([{ ingredient: 'light-soy', massG: 300 }], (b) =>
      b.node('reduce', 's', { toShare: 2 / 3, forS: 0 }, [b.take('light-soy')], ['glaze'], hands),
    );
    expect(e.account.boiledAwayG).toBeCloseTo(100, 6);
    expect(partsOfStream(at('reduce:s').outs[0]).salt).toBeCloseTo(48, 1);
  });
  test('fried in order: the oil is shared by mass, each piece keeps its own grams', () => {
    const { at } = cook(
      [
        { ingredient: 'cured-sausage', massG: 60 },
        { ingredient: 'dried-shrimp', massG: 40 },
        { ingredient: 'oil', massG: 10 },
      ],
      (b) =>
        b.node(
          'fry',
          'add-ins',
          { additions: [{ forS: 180 }, { forS: 60 }] },
          [
            b.take('cured-sausage', 'rest', { phase: 'piece' }),
            b.take('dried-shrimp', 'rest', { phase: 'piece' }),
            b.take('oil'),
          ],
          ['fried sausage', 'fried shrimp'],
          hands,
        ),
    );
    expect(
      at('fry:add-ins')
        .outs.map(streamMass)
        .map((g) => Math.round(g * 1e6) / 1e6),
    ).toEqual([66, 44]);
  });
  test('a fat that is itself fried comes out as its own addition; only the oil of the pan is shared', () => {
    const { at } = cook(
      [
        { ingredient: 'cured-sausage', massG: 60 },
        { ingredient: 'oil', massG: 10 },
      ],
      (b) =>
        b.node(
          'fry',
          'filling-f',
          { additions: [{ forS: 180 }, { forS: 60 }] },
          [b.take('cured-sausage', 'rest', { phase: 'piece' }), b.take('oil', 0.5, { phase: 'piece' }), b.take('oil')],
          ['fried sausage', 'fried oil'],
          hands,
        ),
    );
    const [sausage, oil] = at('fry:filling-f').outs.map(streamMass);
    expect(sausage).toBeCloseTo(60 + (5 * 60) / 65, 9);
    expect(oil).toBeCloseTo(5 + (5 * 5) / 65, 9);
  });
  test('an oil used again, a sieve, a knock-back and a colour pass every gram on', () => {
    const { e, at } = cook(
      [
        { ingredient: 'oil', massG: 30 },
        { ingredient: 'pandan-juice', massG: 5 },
      ],
      (b) =>
        b.node(
          'colour',
          'green',
          { name: 'Green' },
          [
            ...b.node(
              'sieve',
              'b',
              {},
              b.node('reuse', 'oil', { what: 'the scallion oil' }, [b.take('oil')], ['oil'], hands),
              ['oil'],
              hands,
            ),
            b.take('pandan-juice'),
          ],
          ['x'],
          hands,
        ),
    );
    expect(e.account.servedG).toBeCloseTo(35, 9);
    expect(at('reuse:oil').outs[0].g).toEqual(at('sieve:b').outs[0].g);
  });
  test('knocking back takes three fifths of the gas; powder brings 65 ml a gram, a third at once', () => {
    const { at } = cook(
      [
        { ingredient: 'rice-flour-fine', massG: 300 },
        { ingredient: 'water', massG: 500, id: 'w' },
        { ingredient: 'dry-yeast', massG: 3 },
        { ingredient: 'baking-powder', massG: 4 },
      ],
      (b) => {
        const [risen] = b.node(
          'ferment',
          'b',
          { where: 'room', groundGrain: false, rise: 1.5 },
          b.node('mix', 'b', MIX, [b.take('rice-flour-fine'), b.take('w'), b.take('dry-yeast')], ['x'], hands),
          ['risen'],
          hands,
        );
        return b.node(
          'add-powder',
          'b',
          { standS: 0 },
          [...b.node('knock-back', 'b', {}, [risen], ['y'], hands), b.take('baking-powder')],
          ['z'],
          hands,
        );
      },
    );
    const gas = at('ferment:b').outs[0].gasMl;
    expect(gas).toBeGreaterThan(200);
    expect(at('knock-back:b').outs[0].gasMl).toBeCloseTo(0.4 * gas, 6);
    expect(at('add-powder:b').outs[0].gasMl).toBeCloseTo(0.4 * gas + (4 * 65) / 3, 6);
  });
});

describe('yeast', () => {
  const at = (t: number) => fermentTimeS({ dosePct: 1, sugarPhase: 0, groundGrain: false, tempC: () => t });
  test('1 % at 28 °C takes an hour; half the dose 2^0.8 times; sugar at 35 % 1.2 times; ground grain eight hours', () => {
    expect(at(28)).toBeCloseTo(3600, 6);
    expect(fermentTimeS({ dosePct: 0.5, sugarPhase: 0, groundGrain: false, tempC: () => 28 })).toBeCloseTo(
      3600 * 2 ** 0.8,
      6,
    );
    expect(fermentTimeS({ dosePct: 1, sugarPhase: 0.35, groundGrain: false, tempC: () => 28 })).toBeCloseTo(4320, 6);
    expect(fermentTimeS({ dosePct: 1, sugarPhase: 0, groundGrain: true, tempC: () => 28 })).toBeCloseTo(8 * 3600, 6);
  });
  test('fastest at 34 °C; nothing at 2 or at 44 °C; above 46 °C it is dead', () => {
    const rates = Array.from({ length: 45 }, (_, t) => yeastRate(t));
    expect(rates.indexOf(Math.max(...rates))).toBe(34);
    expect([yeastRate(2), yeastRate(44), yeastRate(60)]).toEqual([0, 0, 0]);
    expect(at(47)).toBeUndefined();
    expect(at(2)).toBeUndefined();
  });
  test('a batter that starts warm and cools to the room takes longer than one kept warm, and less than one cold throughout', () => {
    const drifting =
      fermentTimeS({ dosePct: 1, sugarPhase: 0, groundGrain: false, tempC: (t) => driftedC(36, 20, t, 900, true) }) ??
      NaN;
    expect(drifting).toBeGreaterThan(at(34) ?? NaN);
    expect(drifting).toBeLessThan(at(20) ?? NaN);
  });
  test('the guard speaks wherever the yeast enters: too hot a syrup names the wait and the cold water', () => {
    const sponge = formula('yeast-sponge');
    const hot = {
      ...sponge,
      batters: sponge.batters.map((b) => ({
        ...b,
        lines: b.lines.map((l) => (l.treatment === 'syrup' ? { ...l, tempC: 96 } : l)),
      })),
    };
    expect(told(lightOf(hot))).toMatch(
      /The yeast goes in at 5\d °C, and above 43 °C it dies: wait \d+ min, or hold back \d+ g/,
    );
    expect(told(lightOf(sponge))).not.toMatch(/yeast/);
  });
  test('a warm box shortens it', () => {
    const sponge = formula('yeast-sponge');
    const cold = kitchenSchema.parse({ roomC: 15 });
    const box = lightOf({ ...sponge, proving: { where: 'warm-box' } }, cold).ferment?.timeS ?? NaN;
    expect(box).toBeLessThan(lightOf(sponge, cold).ferment?.timeS ?? NaN);
  });
});

test('thickening to a look stops where the look is reached, each starch part set, and says so when it cannot', () => {
  const taro = lightOf(formula('taro-slab'));
  const n = taro.evaluated.byId.get('thicken:batter');
  expect(n?.figures.viscosityMPas.value).toBeGreaterThan(2500);
  expect(n?.figures.viscosityMPas.value).toBeLessThan(20_000);
  expect(n?.figures.toC.value).toBeGreaterThan(65);
  expect(n?.figures.toC.value).toBeLessThan(90);
  expect(n?.outs[0].swelling[2]).toBeGreaterThan(n?.outs[0].swelling[0] ?? 1);
  const thin = formula('taro-slab');
  const watery = { ...thin, batters: thin.batters.map((b) => ({ ...b, wantedLiquidG: 9000 })) };
  expect(told(lightOf(watery))).toMatch(/never gets as thick as thick batter that ribbons/);
});

test('settling has no cliff: a percent more coarse flour never changes the stirring interval by more than a fifth', () => {
  const at = (coarse: number) =>
    lightOf(
      planOf([
        { ingredient: 'rice-flour-fine', massG: 300 * (1 - coarse) },
        { ingredient: 'rice-flour-coarse', massG: 300 * coarse },
        { ingredient: 'water', massG: 700 },
      ]),
    ).consistency[0].stirEveryS;
  for (let c = 0.01; c < 0.98; c += 0.01) {
    expect(at(c + 0.01) / at(c)).toBeGreaterThan(0.8);
    expect(at(c + 0.01)).toBeLessThan(at(c));
  }
});
