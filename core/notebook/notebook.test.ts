import { answerCheck, normalCdf, steamerPosterior, textureOffsets, tickedSteps, type StampedEvent } from '.';

test('the normal distribution function agrees with tables', () => {
  expect(normalCdf(0)).toBeCloseTo(0.5, 6);
  expect(normalCdf(1)).toBeCloseTo(0.841345, 6);
  expect(normalCdf(-1.96)).toBeCloseTo(0.0249979, 6);
});

describe('steamer factor', () => {
  test('without checks it is the prior: median 1, 80 % within e^(±1.2816·0.30)', () => {
    const p = steamerPosterior([]);
    expect(p.median).toBeCloseTo(1, 2);
    expect(p.low).toBeCloseTo(Math.exp(-1.2816 * 0.3), 2);
    expect(p.high).toBeCloseTo(Math.exp(1.2816 * 0.3), 2);
  });
  test('sticky beyond the model time means slow, clean before it means fast', () => {
    expect(steamerPosterior([{ afterS: 1200, state: 'sticky', modelS: 1000 }]).median).toBeGreaterThan(1.15);
    expect(steamerPosterior([{ afterS: 800, state: 'clean', modelS: 1000 }]).median).toBeLessThan(0.85);
  });
  test('many checks that bracket 1.3 close in on 1.3', () => {
    const checks = Array.from({ length: 12 }, () => [
      { afterS: 1250, state: 'sticky' as const, modelS: 1000 },
      { afterS: 1350, state: 'clean' as const, modelS: 1000 },
    ]).flat();
    const p = steamerPosterior(checks);
    expect(p.median).toBeCloseTo(1.3, 1);
    expect(p.high / p.low).toBeLessThan(1.15);
  });
  test('one sticky check agrees with numerical integration of the truncated prior', () => {
    // Posterior ∝ φ(x/0.3)·Φ((x − ln 1.1)/0.12); median by a fine Riemann sum here.
    let total = 0;
    const density: [number, number][] = [];
    for (let x = -1.5; x <= 1.5; x += 0.0005) {
      const w = Math.exp(-0.5 * (x / 0.3) ** 2) * normalCdf((x - Math.log(1.1)) / 0.12);
      density.push([x, w]);
      total += w;
    }
    let run = 0;
    const median = density.find(([, w]) => (run += w) >= total / 2)?.[0] ?? NaN;
    expect(Math.log(steamerPosterior([{ afterS: 1100, state: 'sticky', modelS: 1000 }]).median)).toBeCloseTo(median, 2);
  });
});

describe('answers at the stove', () => {
  test('sticky gets minutes and a range, clean gets none', () => {
    const sticky = answerCheck({ afterS: 24 * 60, state: 'sticky', modelS: 25 * 60 });
    expect(sticky.sentence).toMatch(/^Sticky at 24 min: give it \d+ more \(\d+ to \d+\)\./);
    expect(sticky.moreS).toBeGreaterThanOrEqual(sticky.lowS);
    expect(sticky.moreS).toBeLessThanOrEqual(sticky.highS);
    expect(answerCheck({ afterS: 1500, state: 'clean', modelS: 1500 }).moreS).toBe(0);
  });
  test('a steamer known to be slow is given longer', () => {
    const now = { afterS: 1000, state: 'sticky' as const, modelS: 1000 };
    const slow = Array.from({ length: 4 }, () => ({ afterS: 1300, state: 'sticky' as const, modelS: 1000 }));
    expect(answerCheck(now, slow).moreS).toBeGreaterThan(answerCheck(now).moreS);
  });
});

test('texture offsets are shrunken: one "more" of 1.5 over 1 + 3 tastings', () => {
  expect(textureOffsets([{ chewy: 'more' }]).chewy).toBeCloseTo(1.5 / 4, 12);
  expect(textureOffsets([{ chewy: 'more' }, { chewy: 'right' }, { chewy: 'less' }]).chewy).toBe(0);
});

test('the last word on a step counts', () => {
  const e = (id: number, done: boolean): StampedEvent => ({ id, at: `t${id}`, kind: 'ticked', stepId: 'a', done });
  expect(tickedSteps([e(1, true)]).get('a')).toBe('t1');
  expect(tickedSteps([e(1, true), e(2, false)]).has('a')).toBe(false);
  expect(tickedSteps([e(1, true), e(2, false), e(3, true)]).get('a')).toBe('t3');
});
