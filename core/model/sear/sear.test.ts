import { whole } from '../../units';
import { BROWNING, browningRate, packPan, PAN_C, searFixes, searPiece, type SearPiece } from '.';
import { DEFAULT_PAN } from '../../kitchen';

const slice: SearPiece = {
  thicknessM: 0.015,
  startC: 5,
  panC: 185,
  airC: 21,
  k: 0.5,
  rho: 1080,
  c: 3600,
  waterShare: 0.72,
  browning: BROWNING.golden,
};

test('browning: 1/60 per second at 160 °C, doubling in about 11 °C', () => {
  expect(browningRate(160)).toBeCloseTo(1 / 60, 12);
  // exp(100000/8.3145·(1/433.15 − 1/444.15)) = exp(0.6877) = 1.989
  expect(browningRate(171) / browningRate(160)).toBeCloseTo(1.989, 2);
});
test('energy in through the faces is the heat held, sensible and latent, within 1 %', () => {
  const r = whole(searPiece(slice));
  expect(Math.abs(r.heatHeldJm2 / r.heatInJm2 - 1)).toBeLessThan(0.01);
});
test('water is only lost, never more than the boiled share of it', () => {
  const r = whole(searPiece({ ...slice, browning: BROWNING.deep }));
  expect(r.waterLostShare).toBeGreaterThan(0);
  expect(r.waterLostShare).toBeLessThan(0.9);
});
test('browning grows with time and a hotter pan is never slower', () => {
  const course = whole(searPiece(slice)).course;
  const firstSide = course.slice(
    0,
    course.findIndex((c, i) => i > 0 && c[3] < course[i - 1][3]),
  );
  for (let i = 1; i < firstSide.length; i++) expect(firstSide[i][3]).toBeGreaterThanOrEqual(firstSide[i - 1][3]);
  const times = [170, 185, 205].map((panC) => whole(searPiece({ ...slice, panC })).sides[0].timeS);
  expect(times[0]).toBeGreaterThan(times[1]);
  expect(times[1]).toBeGreaterThan(times[2]);
});
test('a thicker slice is colder in the middle when the colour is reached', () => {
  expect(whole(searPiece({ ...slice, thicknessM: 0.03 })).coreC).toBeLessThan(whole(searPiece(slice)).coreC);
});
test('a pan too cool to brown is told, not looped for ever', () => {
  expect(whole(searPiece({ ...slice, panC: 95 })).reached).toBe(false);
});

describe('packing', () => {
  test('pieces lie inside the pan and 10 mm apart', () => {
    const { places } = packPan(DEFAULT_PAN, 0.06, 0.035);
    for (const p of places)
      for (const [x, y] of [
        [p.x, p.y],
        [p.x + p.w, p.y],
        [p.x, p.y + p.h],
        [p.x + p.w, p.y + p.h],
      ])
        expect(Math.hypot(x, y)).toBeLessThanOrEqual(0.12 + 1e-9);
    for (let i = 0; i < places.length; i++)
      for (let j = 0; j < i; j++) {
        const [a, b] = [places[i], places[j]];
        const dx = Math.max(a.x, b.x) - Math.min(a.x + a.w, b.x + b.w);
        const dy = Math.max(a.y, b.y) - Math.min(a.y + a.h, b.y + b.h);
        expect(Math.max(dx, dy)).toBeGreaterThanOrEqual(0.01 - 1e-9);
      }
  });
  test('within one piece of an exhaustive search over all row offsets, both ways round', () => {
    for (const [w, h] of [
      [0.06, 0.035],
      [0.05, 0.05],
      [0.09, 0.03],
      [0.045, 0.02],
    ]) {
      let best = 0;
      for (const [a, b] of [
        [w, h],
        [h, w],
      ])
        for (let s = 0; s < 2000; s++) {
          let n = 0;
          const pitch = b + 0.01;
          for (let y = -0.12 - pitch + (s / 2000) * pitch; y + b <= 0.12; y += pitch) {
            const far = Math.max(Math.abs(y), Math.abs(y + b));
            if (far < 0.12) n += Math.floor((2 * Math.sqrt(0.0144 - far * far) + 0.01) / (a + 0.01));
          }
          best = Math.max(best, n);
        }
      expect(best - packPan(DEFAULT_PAN, w, h).perLoad).toBeLessThanOrEqual(1);
    }
  });
  test('a piece wider than the pan is refused in words', () =>
    expect(packPan(DEFAULT_PAN, 0.3, 0.3).problems[0].code).toBe('pan-under-piece'));
});

describe('colour before heat', () => {
  const thick: SearPiece = { ...slice, thicknessM: 0.022, panC: PAN_C['medium-high'] };
  test('the slice is cold in the middle as planned, and each change offered makes it hot', () => {
    expect(whole(searPiece(thick)).coreC).toBeLessThan(74);
    const fixes = whole(searFixes(thick, 'medium-high'));
    expect(fixes.length).toBeGreaterThan(0);
    for (const f of fixes) {
      const r = whole(
        searPiece({
          ...thick,
          ...(f.dial ? { panC: PAN_C[f.dial] } : {}),
          ...(f.lid ? { lid: true } : {}),
          ...(f.startC === undefined ? {} : { startC: f.startC }),
          ...(f.thicknessM === undefined ? {} : { thicknessM: f.thicknessM }),
        }),
      );
      expect(r.coreC).toBeGreaterThanOrEqual(74);
    }
  });
  test('a lid never leaves the middle colder', () =>
    expect(whole(searPiece({ ...thick, lid: true })).coreC).toBeGreaterThanOrEqual(whole(searPiece(thick)).coreC));
});
