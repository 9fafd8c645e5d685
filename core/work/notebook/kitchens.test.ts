import { BATCH_SIGMA, EFFECT_KINDS, EFFECT_SIGMA, HEATS, logFactor, whoIs, type Who } from '../../kitchen';
import { normalQuantile, seeded } from '../../units';
import { learnTimes, type SeenBatch } from '.';

/** Two hundred kitchens in the soak, a fifth of them with every change. */
const KITCHENS = process.env.SOAK === '1' ? 200 : 40;
const FAMILIES = ['radish-slab', 'yeast-sponge', 'taro-slab', 'sticky-sweet-cake'];
const STEAMERS = ['bamboo', 'steel'];
/** From one standard deviation to the 10–90 % interval. */
const Z80 = 1.2816;

/**
 * A cook in a kitchen of known truth: she looks first at 0.85 of what is forecast, then gives it a tenth more each time until it is clean.
 * The minutes of each batch scatter about its own factor.
 */
function kitchenOf(seed: number, until: { readonly batches?: number; readonly checks?: number }) {
  const next = seeded(seed);
  const normal = () => normalQuantile(Math.min(1 - 1e-9, Math.max(1e-9, next())));
  const pick = <T>(list: readonly T[]): T => list[Math.floor(next() * list.length)];
  const truth = new Map<string, number>();
  const effect = (kind: (typeof EFFECT_KINDS)[number], key: string): number => {
    const known = truth.get(`${kind} ${key}`);
    if (known !== undefined) return known;
    const drawn = normal() * EFFECT_SIGMA[kind];
    truth.set(`${kind} ${key}`, drawn);
    return drawn;
  };
  const trueLog = (who: Who): number => EFFECT_KINDS.reduce((s, k) => s + effect(k, who[k]), 0);
  // A kitchen has its habits: two cakes, mostly in one steamer on one heat.
  const usual = [pick(FAMILIES), pick(FAMILIES)];
  const [steamer, heat] = [pick(STEAMERS), pick(HEATS)];
  const seen: SeenBatch[] = [];
  let checks = 0;
  let last: Who = whoIs(steamer, heat, usual[0], usual[0]);
  for (let b = 0; b < (until.batches ?? Infinity) && checks < (until.checks ?? Infinity); b++) {
    const family = pick(usual);
    const who = whoIs(next() < 0.8 ? steamer : pick(STEAMERS), next() < 0.8 ? heat : pick(HEATS), family, family);
    const modelS = 600 + 3000 * next();
    const realS = modelS * Math.exp(trueLog(who) + BATCH_SIGMA * normal());
    const forecastS = modelS * Math.exp(logFactor(learnTimes(seen), who).mean);
    let at = 0.85 * forecastS;
    let notBeforeS = 0;
    for (checks++; at < realS; checks++) {
      notBeforeS = at;
      at *= 1.1;
    }
    seen.push({ who, modelS, notBeforeS, notAfterS: at });
    last = who;
  }
  const found = logFactor(learnTimes(seen), last);
  return { found, trueLog: trueLog(last), checks, batches: seen.length };
}

const kitchens = (until: Parameters<typeof kitchenOf>[1]) =>
  Array.from({ length: KITCHENS }, (_, i) => kitchenOf(1000 + i, until));
const SLACK = KITCHENS < 200 ? 0.12 : 0;

test.each([[1], [3], [6]])(
  `${KITCHENS} kitchens of known truth, after %s batches: 80 %% intervals cover 72 to 88 %%`,
  (batches) => {
    const covered =
      kitchens({ batches }).filter((k) => Math.abs(k.trueLog - k.found.mean) <= Z80 * k.found.sigma).length / KITCHENS;
    expect(covered).toBeGreaterThan(0.72 - SLACK);
    expect(covered).toBeLessThan(0.88 + SLACK);
  },
);
test(`${KITCHENS} kitchens, after six checks: the median error of the factor of what was cooked last is under 8 %`, () => {
  const errors = kitchens({ checks: 6 })
    .map((k) => Math.abs(Math.exp(k.found.mean - k.trueLog) - 1))
    .sort((a, b) => a - b);
  expect(errors[errors.length >> 1]).toBeLessThan(0.08);
});
