import { HOT_THROUGH_C, sayDuration } from './units';
import { thermalProperties } from './larder';
import { thermalShares } from './mix';
import { BROWNING, PAN_C, searFixes, searPiece, type SearPiece } from './sear';
import type { LightForecast, SearForecast } from './forecast.types';

const FLIP_S = 8;
const LOAD_S = 20;

/** What is told of slices that are golden while their middle is cold. @param sideS s a side @param coreC °C */
export const goldenBeforeHot = (sideS: number, coreC: number): string =>
  `Golden before hot: ${sayDuration(sideS)} a side and the middle is at ${Math.round(coreC)} °C, ${HOT_THROUGH_C} °C is wanted.`;

/** Sear minutes, loads and core for the plan's pieces. */
export function searOf(light: LightForecast): SearForecast | undefined {
  const { plan, kitchen } = light.resolved;
  if (!plan.sear || !light.cut || !light.packing || !light.piece || light.packing.perLoad === 0) return undefined;
  const shares = thermalShares(light.balance.whole);
  const props = thermalProperties(shares, 60, light.body.gasShare);
  const piece: SearPiece = {
    thicknessM: light.piece.thicknessM,
    startC: plan.sear.startC,
    panC: PAN_C[plan.sear.dial],
    airC: kitchen.roomC,
    k: props.k,
    rho: props.rho,
    c: props.c,
    waterShare: shares.water,
    browning: BROWNING[plan.sear.colour],
    coreWantedC: HOT_THROUGH_C,
    lid: plan.sear.lid,
  };
  const result = searPiece(piece);
  const all = light.cut.count * plan.vesselCount;
  // Eaten both ways, half of them are seared.
  const pieces = plan.schools.serve === 'both' ? Math.ceil(all / 2) : all;
  const aPan = Math.min(light.packing.perLoad, Math.ceil(pieces / plan.sear.pans));
  const perLoad = Math.min(light.packing.perLoad * plan.sear.pans, pieces);
  const loads = Math.ceil(pieces / perLoad);
  const minutes = [result.sides[0].timeS, result.sides[1].timeS] as const;
  const hotThrough = result.coreC >= HOT_THROUGH_C || plan.sear.startC > 60;
  const fixes = hotThrough ? [] : searFixes(piece, plan.sear.dial);
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
    oilPerLoadG: Math.max(4, Math.round(perLoad * light.piece.faceM[0] * light.piece.faceM[1] * 1000)),
    coreC: result.coreC,
    hotThrough,
    words,
    fixes,
    result,
  };
}
