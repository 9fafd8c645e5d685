import { fieldsOf, HOT_THROUGH_C, sayDuration, type Law, type Turns } from '../../units';
import { thermalProperties } from '../../larder';
import { thermalShares } from '../../model/batter';
import {
  BROWNING,
  PAN_C,
  searFixes,
  searPiece,
  type SearChange,
  type SearPiece,
  type SearResult,
} from '../../model/sear';
import type { SearInput } from './input';

const FLIP_S = 8;
const LOAD_S = 20;
/** What starts hotter than this is eaten at once: it need not be heated through. */
const WARM_C = 60;

export interface SearForecast {
  readonly perLoad: number;
  readonly loads: number;
  readonly pieces: number;
  readonly minutesASide: readonly [number, number];
  readonly totalS: number;
  readonly oilPerLoadG: number;
  readonly coreC: number;
  readonly hotThrough: boolean;
  readonly words: string;
  /** Single changes that bring the middle to 74 °C by the time the colour is there; empty when it is hot already. */
  readonly fixes: readonly SearChange[];
  readonly result: SearResult;
}

/** What is told of slices that are golden while their middle is cold. @param sideS s a side @param coreC °C */
export const goldenBeforeHot = (sideS: number, coreC: number): string =>
  `Golden before hot: ${sayDuration(sideS)} a side and the middle is at ${Math.round(coreC)} °C, ${HOT_THROUGH_C} °C is wanted.`;

/** Sear minutes, loads and core for the plan's pieces. */
export function* sear(input: SearInput): Turns<SearForecast> {
  const { pieces, perPan, pans, startC } = input;
  const shares = thermalShares(input.parts);
  const props = thermalProperties(shares, 60, input.gasShare);
  const piece: SearPiece = {
    thicknessM: input.piece.thicknessM,
    startC,
    panC: PAN_C[input.dial],
    airC: input.airC,
    k: props.k,
    rho: props.rho,
    c: props.c,
    waterShare: shares.water,
    browning: BROWNING[input.colour],
    lid: input.lid,
  };
  const result = yield* searPiece(piece);
  const aPan = Math.min(perPan, Math.ceil(pieces / pans));
  const perLoad = Math.min(perPan * pans, pieces);
  const loads = Math.ceil(pieces / perLoad);
  const minutes = [result.sides[0].timeS, result.sides[1].timeS] as const;
  const hotThrough = result.coreC >= HOT_THROUGH_C || startC > WARM_C;
  const fixes = hotThrough ? [] : yield* searFixes(piece, input.dial);
  const words = !result.reached
    ? 'This setting does not brown it within 20 minutes: turn the pan up.'
    : hotThrough
      ? `${sayDuration(minutes[0])} a side, ${loads} ${loads === 1 ? 'load' : 'loads'}; the middle reaches ${Math.round(result.coreC)} °C.`
      : `${goldenBeforeHot(minutes[0], result.coreC)} ${fixes[0] ? `${fixes[0].words}.` : 'Cut thinner slices.'}`;
  return {
    perLoad,
    loads,
    pieces,
    minutesASide: minutes,
    totalS: loads * (minutes[0] + minutes[1] + FLIP_S * aPan * 0.5 + LOAD_S),
    oilPerLoadG: Math.max(4, Math.round(perLoad * input.piece.faceM[0] * input.piece.faceM[1] * 1000)),
    coreC: result.coreC,
    hotThrough,
    words,
    fixes,
    result,
  };
}

const of = fieldsOf<SearInput>('inputs.sear');
/** Why it sears as it does. */
export const SEAR_LAWS: readonly Law[] = [
  {
    at: 'heat.sear.loads',
    law: 'Pieces ÷ what lies side by side in the pans.',
    from: of('pieces', 'perPan', 'pans'),
  },
  {
    at: 'heat.sear.**',
    law: 'One-dimensional conduction from the pan with a drying crust; browning by the temperature of the face.',
    from: of('piece.thicknessM', 'startC', 'dial', 'colour'),
  },
];
