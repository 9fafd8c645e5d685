import fc from 'fast-check';
import { normalCdf, normalQuantile } from '../../units';
import {
  answerCheck,
  boundsOf,
  evidenceOf,
  learnedEffects,
  learnFromEvidence,
  learnTimes,
  readSnapshot,
  saySeen,
  snapshotOf,
  textureOffsets,
  type SeenBatch,
  seenOf,
  standing,
  type StampedEvent,
} from '.';
import { FAMILIES, formulaOf } from '../../families';
import { forecast } from '../../forecast';
import {
  BATCH_SIGMA,
  EFFECT_SIGMA,
  emptyKitchen,
  logFactor,
  timeFactor,
  timeFactorsSchema,
  whoIs,
  PRIOR_SIGMA,
} from '../../kitchen';

test('the normal distribution function agrees with tables, and its inverse with it', () => {
  expect(normalCdf(0)).toBeCloseTo(0.5, 6);
  expect(normalCdf(1)).toBeCloseTo(0.841345, 6);
  expect(normalCdf(-1.96)).toBeCloseTo(0.0249979, 6);
  expect(normalQuantile(0.9)).toBeCloseTo(1.281552, 4);
  expect(normalQuantile(0.025)).toBeCloseTo(-1.959964, 4);
});

describe('what the checks of a batch say together', () => {
  test('sticky, then nearly, then clean: between the last not and the first yes', () =>
    expect(
      boundsOf([
        { afterS: 1000, state: 'sticky' },
        { afterS: 1200, state: 'nearly' },
        { afterS: 1300, state: 'clean' },
      ]),
    ).toEqual({ notBeforeS: 1200, notAfterS: 1300 }));
  test('alone: sticky has no end, clean no beginning, nearly is within a seventh more', () => {
    expect(boundsOf([{ afterS: 600, state: 'sticky' }])).toEqual({ notBeforeS: 600, notAfterS: Infinity });
    expect(boundsOf([{ afterS: 600, state: 'clean' }])).toEqual({ notBeforeS: 0, notAfterS: 600 });
    expect(boundsOf([{ afterS: 600, state: 'nearly' }])?.notAfterS).toBeCloseTo(690, 9);
    expect(boundsOf([])).toBeUndefined();
  });
  test('beside the model, in words: between, by, not yet, nothing', () => {
    const say = (notBeforeS: number, notAfterS: number) => saySeen({ notBeforeS, notAfterS }, 1200);
    expect(say(1200, 1500)).toBe('Ready between 20 min and 25 min, 1.00 to 1.25 times the model’s 20 min.');
    expect(say(0, 900)).toBe('Ready by 15 min, at most 0.75 times the model’s 20 min.');
    expect(say(1800, Infinity)).toBe('Not ready at 30 min, more than 1.50 times the model’s 20 min.');
    expect(say(0, Infinity)).toBe('Nothing was seen of when it was ready.');
  });
  test('where they contradict each other the last word counts', () =>
    expect(
      boundsOf([
        { afterS: 600, state: 'clean' },
        { afterS: 700, state: 'sticky' },
      ]),
    ).toEqual({ notBeforeS: 700, notAfterS: Infinity }));
});

const who = whoIs('s', 'medium', 'radish-slab', 'Radish');
const sponge = whoIs('s', 'medium', 'yeast-sponge', 'Sponge');
const other = whoIs('t', 'strong', 'sticky-sweet-cake', 'Sticky');
const seen = (w: typeof who, low: number, high: number, modelS = 1000): SeenBatch => ({
  who: w,
  modelS,
  notBeforeS: low * modelS,
  notAfterS: high * modelS,
});

describe('learning of times, jointly', () => {
  test('nothing seen: factor 1 by default, and the prior’s spread', () => {
    const none = learnTimes([]);
    expect(timeFactor(none, who)).toEqual({ value: 1, source: 'default', sd: logFactor(none, who).sigma });
    expect(logFactor(none, who).sigma).toBeCloseTo(Math.sqrt(0.15 ** 2 + 0.1 ** 2 + 0.2 ** 2 + 0.08 ** 2), 12);
  });
  test('one sharp batch by hand: the normal update, shared out by the variances', () => {
    // An interval so narrow that it is a point at 1.3: posterior mean of the sum = ln 1.3 · V/(V + σ²).
    const l = learnTimes([seen(who, 1.2999, 1.3001)]);
    const v = PRIOR_SIGMA ** 2;
    expect(logFactor(l, who).mean).toBeCloseTo((Math.log(1.3) * v) / (v + BATCH_SIGMA ** 2), 3);
    expect(logFactor(l, who).sigma).toBeCloseTo(Math.sqrt((v * BATCH_SIGMA ** 2) / (v + BATCH_SIGMA ** 2)), 3);
    const of = (kind: string) => l.effects.find((e) => e.kind === kind)?.mean ?? NaN;
    expect(of('family') / of('steamer')).toBeCloseTo((EFFECT_SIGMA.family / EFFECT_SIGMA.steamer) ** 2, 3);
  });
  test('one family’s surprise moves another in the same steamer by less than half of its own move, and one elsewhere not at all', () => {
    const l = learnTimes([seen(sponge, 0.5, 0.6)]);
    const own = logFactor(l, sponge).mean;
    expect(own).toBeLessThan(-0.3);
    expect(Math.abs(logFactor(l, who).mean)).toBeLessThan(0.5 * Math.abs(own));
    expect(Math.abs(logFactor(l, who).mean)).toBeGreaterThan(0.2 * Math.abs(own));
    expect(logFactor(l, other).mean).toBe(0);
  });
  test('many batches of one cake close in on its factor, and their interval with them', () => {
    const l = learnTimes(Array.from({ length: 20 }, () => seen(who, 1.25, 1.35)));
    const f = logFactor(l, who);
    expect(Math.exp(f.mean)).toBeCloseTo(1.3, 1);
    expect(f.sigma).toBeLessThan(0.05);
    expect(timeFactor(l, who)).toMatchObject({ source: 'learned' });
  });
  test('one sticky check agrees with numerical integration of the truncated prior', () => {
    // Mode of φ(x/S)·Φ((x − ln 1.1)/0.12), found on a fine grid.
    let best = [0, -Infinity];
    for (let x = -1; x <= 1; x += 0.0002) {
      const w = -0.5 * (x / PRIOR_SIGMA) ** 2 + Math.log(normalCdf((x - Math.log(1.1)) / BATCH_SIGMA));
      if (w > best[1]) best = [x, w];
    }
    expect(logFactor(learnTimes([seen(who, 1.1, Infinity)]), who).mean).toBeCloseTo(best[0], 2);
  });
  test('what lies far outside all that was thought possible is taken by its nearest end, without breaking', () => {
    const l = learnTimes([seen(who, 6, 7), seen(who, 0.05, 0.06)]);
    for (const e of learnedEffects(l)) for (const x of [e.factor, e.low, e.high]) expect(Number.isFinite(x)).toBe(true);
  });
  test('one entry three times as long after six good ones moves the factor by less than 5 %, and so does one a third as long', () => {
    const good = Array.from({ length: 6 }, (_, i) => seen(who, 0.97 + 0.01 * i, 1.05 + 0.01 * i));
    const before = Math.exp(logFactor(learnTimes(good), who).mean);
    for (const odd of [seen(who, 2.9, 3.1), seen(who, 0.3, 0.34), seen(who, 10, 10.5)]) {
      const after = logFactor(learnTimes([...good, odd]), who);
      expect(Math.abs(Math.exp(after.mean) / before - 1)).toBeLessThan(0.05);
    }
  });
  test('what is odd at first is believed once it comes again', () => {
    const three = Array.from({ length: 4 }, () => seen(who, 1.75, 1.85));
    expect(Math.exp(logFactor(learnTimes(three), who).mean)).toBeGreaterThan(1.6);
  });
  test('clean at what was planned for, ten times in a row, moves the factor by less than 5 %', () => {
    const ten = Array.from({ length: 10 }, () => seen(who, 0, 1.2));
    expect(Math.abs(logFactor(learnTimes(ten), who).mean)).toBeLessThan(0.05);
    // One pick that was sticky before, or clean well before, says more.
    expect(logFactor(learnTimes([seen(who, 0, 0.85)]), who).mean).toBeLessThan(-0.15);
    expect(answerCheck([{ afterS: 1200, state: 'clean' }], { medianS: 1000, sigma: 0.3 }).sentence).toMatch(
      /push a pick once at 15 min 50 s|push a pick once at 16 min/,
    );
  });
  test('its covariance is that of a posterior: never wider than the prior, and positive', () => {
    const l = learnTimes([seen(who, 1.1, 1.3), seen(sponge, 0.9, 1.2), seen(other, 0, 0.8)]);
    for (const e of learnedEffects(l)) {
      expect(e.known).toBeGreaterThanOrEqual(0);
      expect(e.low).toBeLessThanOrEqual(e.factor);
    }
    for (const w of [who, sponge, other]) expect(logFactor(l, w).sigma).toBeLessThan(PRIOR_SIGMA);
  });
  test('what another version of the models taught is not used', () => {
    const l = { ...learnTimes([seen(who, 1.2, 1.3)]), modelVersion: 1 };
    expect(timeFactor(timeFactorsSchema.parse(l), who).source).toBe('default');
  });
});

describe('evidence', () => {
  const batch = (id: string, startedAt: string, family = 'radish-slab') =>
    ({
      id,
      name: id,
      startedAt,
      finishedAt: startedAt,
      facts: { who: whoIs('s', 'medium', family, id) },
      seen: { checks: [{ state: 'clean', afterS: 1500 }], tastings: [] },
    }) as unknown as Parameters<typeof evidenceOf>[0][number];
  const batches = [batch('b', '2026-05-02T08:00:00Z'), batch('a', '2026-05-01T08:00:00Z')];
  test('forgotten batches stay in sight and do not count; what cannot be forecast does not either', () => {
    const all = evidenceOf(batches, () => 1400, { batches: [] });
    expect(all.map((e) => [e.batch.id, e.used])).toEqual([
      ['a', true],
      ['b', true],
    ]);
    expect(evidenceOf(batches, () => 1400, { batches: ['a'] }).map((e) => e.used)).toEqual([false, true]);
    expect(evidenceOf(batches, () => 1400, { batches: [], before: '2026-05-01T20:00:00Z' }).map((e) => e.used)).toEqual(
      [false, true],
    );
    const gone = evidenceOf(batches, () => undefined, { batches: [] });
    expect(gone.every((e) => !e.used)).toBe(true);
    expect(learnFromEvidence(gone).effects).toEqual([]);
  });
});

describe('answers at the stove', () => {
  const expected = { medianS: 25 * 60, sigma: 0.15 };
  test('sticky gets minutes and a range, clean gets none', () => {
    const sticky = answerCheck([{ afterS: 24 * 60, state: 'sticky' }], expected);
    expect(sticky.sentence).toMatch(/^Sticky at 24 min: give it \d+ more \(\d+ to \d+\)\./);
    expect(sticky.moreS).toBeGreaterThanOrEqual(sticky.lowS);
    expect(sticky.moreS).toBeLessThanOrEqual(sticky.highS);
    expect(answerCheck([{ afterS: 1500, state: 'clean' }], expected).moreS).toBe(0);
  });
  test('the extra time is the median of what is left of a log-normal, by hand', () => {
    const { sigma } = expected;
    const from = normalCdf(Math.log(1600 / 1500) / sigma);
    const median = 1500 * Math.exp(sigma * normalQuantile((1 + from) / 2));
    expect(answerCheck([{ afterS: 1600, state: 'sticky' }], expected).moreS).toBeCloseTo(median - 1600, 3);
  });
  test('a surer forecast gives less; nearly gives less than sticky; far beyond it all there is still an answer', () => {
    const more = (state: 'sticky' | 'nearly', sigma: number, afterS = 1600) =>
      answerCheck([{ afterS, state }], { medianS: 1500, sigma }).moreS;
    expect(more('sticky', 0.05)).toBeLessThan(more('sticky', 0.3));
    expect(more('nearly', 0.3)).toBeLessThan(more('sticky', 0.3));
    expect(more('sticky', 0.05, 9000)).toBeGreaterThan(60);
    expect(more('sticky', 0.05, 9000)).toBeLessThan(3600);
  });
});

test('texture offsets are shrunken: one "more" of 1.5 over 1 + 3 tastings', () => {
  expect(textureOffsets([{ chewy: 'more' }]).chewy).toBeCloseTo(1.5 / 4, 12);
  expect(textureOffsets([{ chewy: 'more' }, { chewy: 'right' }, { chewy: 'less' }]).chewy).toBe(0);
});

describe('taking back', () => {
  const note = (key: string, id = 0): StampedEvent => ({ id, at: `t${id}`, key, kind: 'noted', note: key });
  const back = (key: string, of: string, id = 0): StampedEvent => ({ id, at: `t${id}`, key, kind: 'taken-back', of });
  test('what is taken back counts no more; taken back in turn it counts again, where it stood', () => {
    const keys = (events: readonly StampedEvent[]) => standing(events).map((e) => e.key);
    const [a, b, c] = [note('a'), note('b'), note('c')];
    expect(keys([a, b, c])).toEqual(['a', 'b', 'c']);
    expect(keys([a, b, back('x', 'a'), c])).toEqual(['b', 'c']);
    expect(keys([a, b, back('x', 'a'), c, back('y', 'x')])).toEqual(['a', 'b', 'c']);
    expect(keys([a, b, back('x', 'a'), back('y', 'x'), back('z', 'y')])).toEqual(['b']);
    expect(keys([back('x', 'nothing'), a, back('y', 'a'), back('z', 'a')])).toEqual([]);
  });
  test('checks and tastings that were taken back teach nothing', () => {
    const check = (key: string, afterS: number): StampedEvent => ({
      id: 0,
      at: 't',
      key,
      kind: 'checked',
      state: 'clean',
      afterS,
    });
    expect(seenOf([check('a', 100), check('b', 200), back('x', 'a')])).toEqual({
      checks: [{ state: 'clean', afterS: 200 }],
      tastings: [],
      vouched: false,
    });
  });
});

test('a damaged step of a snapshot is told in its place, and harms none of the others', () => {
  const made = forecast(formulaOf(FAMILIES[0]), emptyKitchen());
  if (!made.ok) throw new Error('not made');
  const whole = JSON.parse(JSON.stringify(snapshotOf(made.value))) as { steps: unknown[]; weighOut: unknown[] };
  const damaged = {
    ...whole,
    steps: whole.steps.map((s, i) => (i === 1 ? { ...(s as object), amounts: 'x', waitS: null } : i === 2 ? 7 : s)),
    weighOut: [...whole.weighOut, { name: 'Torn', amounts: null }],
  };
  const [a, b] = [readSnapshot(whole), readSnapshot(damaged)];
  if (!a.ok || !b.ok) throw new Error('not read');
  expect(b.value.steps).toHaveLength(a.value.steps.length);
  expect(b.value.steps.filter((s) => s.verb === 'Lost').map((s) => s.id)).toEqual([a.value.steps[1].id, 'lost:3']);
  expect(b.value.steps[0]).toEqual(a.value.steps[0]);
  expect(b.value.weighOut).toEqual(a.value.weighOut);
  expect(a.value.steps).toEqual(made.value.steps.map((s) => JSON.parse(JSON.stringify(s)) as unknown));
});

test('no one batch halves a plan nor doubles it, whatever was seen of it, first of all or after ten that agreed', () => {
  const who = whoIs('s', 'medium', 'radish-slab', 'P');
  const kept = (id: string, checks: readonly { state: 'sticky' | 'nearly' | 'clean'; afterS: number }[]) => ({
    id,
    name: id,
    startedAt: `2026-01-01T00:00:0${id.length}.000Z`,
    finishedAt: '2026-01-02T00:00:00.000Z',
    facts: { who, modelVersion: 1, unlearnedS: 1500, plannedS: 1500, blend: {}, keepDays: null },
    seen: { checks: [...checks], tastings: [], vouched: true },
  });
  const factorOf = (batches: readonly ReturnType<typeof kept>[]) =>
    timeFactor(learnFromEvidence(evidenceOf(batches, () => 1500, { batches: [] })), who).value;
  const ten = Array.from({ length: 10 }, (_, i) =>
    kept(`a${i}`, [
      { state: 'sticky', afterS: 1400 + 10 * i },
      { state: 'clean', afterS: 1550 + 10 * i },
    ]),
  );
  fc.assert(
    fc.property(
      fc.constantFrom('sticky' as const, 'nearly' as const, 'clean' as const),
      fc.integer({ min: 10, max: 43_200 }),
      (state, afterS) => {
        const one = kept('odd', [{ state, afterS }]);
        expect(factorOf([one])).toBeGreaterThan(0.5);
        expect(factorOf([one])).toBeLessThan(2);
        const [before, after] = [factorOf(ten), factorOf([...ten, one])];
        expect(after / before).toBeGreaterThan(0.8);
        expect(after / before).toBeLessThan(1.25);
      },
    ),
    { seed: 11, numRuns: 150 },
  );
});
