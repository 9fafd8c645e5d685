import { forecastHeat } from '../forecast';
import { BATCH_SIGMA, PRIOR_SIGMA } from '../kitchen';
import {
  layerRun,
  singlePour,
  SPREAD_GRID,
  UNKNOWN_STEAM,
  type LayerInput,
  type SinglePour,
  type SteamRoom,
  type StartSpread,
} from '../model/steam';
import { overWater, pourOf, stackOf, steamInput } from '../stations/steam';
import { normalQuantile, seeded, there, whole } from '../units';
import { formula, lightOf } from './made';

/** How often the bench's "10 to 90 %" held. */
export interface Coverage {
  readonly cooks: number;
  readonly held: number;
  readonly sooner: number;
  readonly later: number;
}

const { film: FILM, air: AIR, readyC: READY_C } = UNKNOWN_STEAM;

/** A standard normal draw. */
const normals = (seed: number) => {
  const next = seeded(seed);
  return () => normalQuantile(Math.min(1 - 1e-9, Math.max(1e-9, next())));
};

/** One cook's steam: film and air go together, as they do in the account of what is not known. */
function roomOf(room: SteamRoom, z: () => number, power: number): SteamRoom {
  const air = z();
  const by = Math.exp(power * z());
  return { ...room, filmBy: Math.exp(-FILM * air), airBy: (1 + AIR) ** air, powerW: (t) => by * room.powerW(t) };
}

function pourBy(pour: SinglePour, z: () => number, start: StartSpread): number | undefined {
  const warmer = start.tempC * z();
  const { pieces } = pour;
  const drawn: SinglePour = {
    ...pour,
    room: roomOf(pour.room, z, start.power),
    depthM: Math.min(pour.vessel.heightM, pour.depthM * Math.exp(start.depth * z())),
    startC: pour.startC + warmer,
    startG: pour.startG > 0 ? Math.min(1, Math.max(0, pour.startG + start.set * z())) : 0,
    ...(pieces && typeof pieces.initialC === 'number'
      ? { pieces: { ...pieces, initialC: pieces.initialC + warmer } }
      : {}),
    readyMoreC: READY_C * z(),
    stand: undefined,
  };
  return whole(singlePour(drawn, 0, SPREAD_GRID)).firstCleanPickS;
}

/** The last layer's own time: those below were poured by the clock. */
function lastLayerBy(stack: LayerInput, z: () => number, start: StartSpread): number | undefined {
  const by = Math.exp(start.depth * z());
  return whole(
    layerRun(
      {
        ...stack,
        room: roomOf(stack.room, z, start.power),
        startC: stack.startC + start.tempC * z(),
        batters: stack.batters.map((b) => ({ ...b, volumeMl: b.volumeMl * by })),
        readyMoreC: READY_C * z(),
        stand: undefined,
      },
      SPREAD_GRID,
    ),
  )?.lastS;
}

/**
 * Cooks of whom nothing was learned make a family's own formula, each in a kitchen and with a pour of their own, drawn and run through the solver;
 * their kitchen's factor and the batch's scatter besides. One that never sets counts as later.
 */
export function coverageOf(id: string, cooks: number, seed = 7): Coverage {
  const light = lightOf(formula(id));
  const heat = forecastHeat(light);
  const input = steamInput(light);
  const spread = there(overWater(heat)?.spread);
  if (!('start' in input)) throw new Error(`${id} is not steamed.`);
  const z = normals(seed);
  const poured = heat?.how === 'layers' ? there(heat.layers?.pours.at(-1)).atS : 0;
  const timeOf = (): number | undefined =>
    input.how === 'layers' ? lastLayerBy(stackOf(input), z, input.start) : pourBy(pourOf(input), z, input.start);
  let sooner = 0;
  let later = 0;
  for (let i = 0; i < cooks; i++) {
    const own = timeOf();
    const by = Math.exp(PRIOR_SIGMA * z() + BATCH_SIGMA * z());
    const clean = own === undefined ? Infinity : poured + own * by;
    if (clean < spread.low) sooner++;
    else if (clean > (spread.high ?? Infinity)) later++;
  }
  return { cooks, sooner, later, held: (cooks - sooner - later) / cooks };
}
