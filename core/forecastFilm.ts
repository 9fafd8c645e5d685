import { plural, problem, sayDuration, sayGrams, sayMm } from './units';
import { panAreaM2, steamPower } from './kitchen';
import { cakeMaterial, filmTime } from './steam';
import { boilOf } from './steamSetting';
import type { FilmForecast, LightForecast } from './forecast.types';
import type { Steaming } from './forecastSteam';

/** A pan for films stands at a gentle heat, °C. */
const PAN_C = 150;
/** Swirled in, turned out, wiped, s; a minute more where each cools before it is lifted. */
const HANDS_S = 20;
const COOL_S = 60;
/** Oil for the first film, g/m²; afterwards the pan is only wiped. */
const OIL_G_M2 = 60;
/** A film that takes longer than this is no film, s. */
const TOO_LONG_S = 240;

/** Films in a pan: contact, thickness, lid, oil for the first, and how many. */
export function filmOf(light: LightForecast): FilmForecast {
  const { plan, fryingPan, ring, kitchen } = light.resolved;
  const area = panAreaM2(fryingPan);
  const gramsEach = light.balance.massG / plan.vesselCount;
  const thicknessM = light.fill.depthM;
  const filmS = filmTime({
    material: cakeMaterial({ ...light.body, gasShare: 0 }, boilOf(light)),
    thicknessM,
    areaM2: area,
    startC: light.pour.startC.value,
    panC: PAN_C,
    lid: fryingPan.lid,
    powerW: steamPower(ring, 'medium').value,
    boilC: boilOf(light),
    roomC: kitchen.roomC,
  });
  const cools = plan.schools.release === 'cool' ? COOL_S : 0;
  const eachS = (filmS ?? TOO_LONG_S) + HANDS_S + cools;
  const [thinMm, thickMm] = light.family.depthMm;
  const ofThickness = (mm: number): number =>
    Math.floor(light.balance.massG / Math.max(1e-9, light.balance.densityKgM3 * area * mm) + 1e-6);
  return {
    filmS,
    thicknessM,
    lid: fryingPan.lid,
    wanted: plan.vesselCount,
    fewest: ofThickness(thickMm),
    most: ofThickness(thinMm),
    gramsEach,
    oilFirstG: OIL_G_M2 * area,
    eachS,
    totalS: eachS * plan.vesselCount,
    words:
      filmS === undefined
        ? 'The film never sets through: cover the pan, or pour it thinner.'
        : `${sayDuration(filmS)} a film of ${sayMm(thicknessM)}${fryingPan.lid ? ' under the lid' : ' without a lid'}, ${sayGrams(gramsEach)} each; ${plural(plan.vesselCount, 'film')} in ${sayDuration(eachS * plan.vesselCount)}. The batter gives ${ofThickness(thickMm)} to ${ofThickness(thinMm)} of the usual thickness.`,
  };
}

/** How many films the guests want, and whether there are as many: of the guests, not of the heat. */
export function sayFilmsWanted(light: LightForecast, film: Pick<FilmForecast, 'gramsEach' | 'wanted'>): string {
  const needed = Math.ceil(light.serves.neededG / Math.max(film.gramsEach, 1e-9) - 1e-6);
  return needed > film.wanted
    ? `${needed} are wanted for ${plural(light.resolved.plan.guests, 'guest')}: not enough.`
    : `${needed} are wanted, so it is enough.`;
}

export function steamFilms(light: LightForecast): Steaming {
  const film = filmOf(light);
  return {
    steam: undefined,
    powerW: steamPower(light.resolved.ring, 'medium'),
    layers: undefined,
    loads: undefined,
    film,
    pot: undefined,
    problems: film.filmS === undefined ? [problem('never-sets', 'fryingPan', film.words)] : [],
    run: undefined,
  };
}
