import { fieldsOf, plural, problem, sayDuration, sayGrams, sayMm, type Law, type Turns } from '../../units';
import { cakeMaterial, filmTime } from '../../model/steam';
import type { FilmForecast, Films, WithRun } from './cooking';
import type { FilmInput } from './input';

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
function* filmOf(input: FilmInput): Turns<FilmForecast> {
  const { pan, vesselCount: wanted, depthM: thicknessM } = input;
  const gramsEach = input.massG / wanted;
  const filmS = yield* filmTime({
    material: cakeMaterial({ ...input.body, gasShare: 0 }, input.boilC),
    gelling: input.body.gelling,
    thicknessM,
    areaM2: pan.areaM2,
    startC: input.startC.value,
    panC: PAN_C,
    lid: pan.lid,
    powerW: input.powerW.value,
    boilC: input.boilC,
    roomC: input.kitchen.roomC,
  });
  const eachS = (filmS ?? TOO_LONG_S) + HANDS_S + (input.cools ? COOL_S : 0);
  const [thinMm, thickMm] = input.usualMm;
  const ofThickness = (mm: number): number =>
    Math.floor(input.massG / Math.max(1e-9, input.densityKgM3 * pan.areaM2 * mm) + 1e-6);
  const [fewest, most] = [ofThickness(thickMm), ofThickness(thinMm)];
  return {
    filmS,
    thicknessM,
    lid: pan.lid,
    wanted,
    fewest,
    most,
    gramsEach,
    oilFirstG: OIL_G_M2 * pan.areaM2,
    eachS,
    totalS: eachS * wanted,
    words:
      filmS === undefined
        ? 'The film never sets through: cover the pan, or pour it thinner.'
        : `${sayDuration(filmS)} a film of ${sayMm(thicknessM)}${pan.lid ? ' under the lid' : ' without a lid'}, ${sayGrams(gramsEach)} each; ${plural(wanted, 'film')} in ${sayDuration(eachS * wanted)}. The batter gives ${fewest} to ${most} of the usual thickness.`,
  };
}

export function* steamFilms(input: FilmInput): Turns<WithRun<Films>> {
  const film = yield* filmOf(input);
  return {
    how: 'films',
    film,
    powerW: input.powerW,
    problems: film.filmS === undefined ? [problem('never-sets', 'fryingPan', film.words)] : [],
    run: undefined,
  };
}

/** Why a film takes the time it takes. */
export const FILM_LAWS: readonly Law[] = [
  {
    at: 'heat.film.filmS',
    law: 'One-dimensional conduction: contact 350 W/m²K from the pan (held back where the ring gives less), its own steam under the lid, until ready.',
    from: fieldsOf<FilmInput>('inputs.steam')('depthM', 'startC', 'body.gelling.midpointC', 'powerW', 'pan.areaM2'),
  },
  {
    at: 'heat.film.**',
    law: 'Films one after another: in the pan, turned out, wiped.',
    from: ['heat.film.filmS', ...fieldsOf<FilmInput>('inputs.steam')('massG', 'vesselCount')],
  },
];
