import type { Steamer, Vessel } from '../../kitchen';
import { spanOf, topAreaOf } from './shape';
import { wallOf, WALLS } from './wall';

/** Steam must pass the pan: a free ring this wide, or this share of the tier's area, lets all of it by. */
const RING_M = 0.01;
const FREE_AREA = 0.12;
/** A narrower ring than this lets no steam by. */
const SHUT_M = 0.003;

export interface SteamGap {
  /** Narrowest free ring round one vessel in the middle of the tier, m. */
  readonly ringM: number;
  /** Free share of the tier's area, with so many vessels on it. */
  readonly freeArea: number;
  /** Share of the steam that reaches the top, 0–1. */
  readonly topShare: number;
  readonly shut: boolean;
}

/**
 * Whether steam gets past what stands on a tier.
 * @param perTier vessels side by side on it
 */
export function steamGap(vessel: Vessel, steamer: Steamer, perTier: number): SteamGap {
  const wall = 2 * wallOf(vessel).thicknessM;
  const inner = steamer.innerDiameterM;
  const span = spanOf(vessel) + wall;
  const ringM = (inner - span) / 2;
  const each = topAreaOf(vessel) * ((spanOf(vessel) + wall) / spanOf(vessel)) ** 2;
  const freeArea = Math.max(0, 1 - (Math.max(1, perTier) * each) / (Math.PI * (inner / 2) ** 2));
  const topShare = Math.min(1, Math.max(0, ringM / RING_M, freeArea / FREE_AREA));
  return { ringM, freeArea, topShare, shut: ringM < SHUT_M && freeArea < FREE_AREA };
}

/** The widest round vessel that lets all of the steam by, inside, m. */
export const widestRoundM = (steamer: Steamer, vessel: Pick<Vessel, 'material'>): number =>
  Math.max(steamer.innerDiameterM - 2 * RING_M, steamer.innerDiameterM * Math.sqrt(1 - FREE_AREA)) -
  2 * WALLS[vessel.material].thicknessM;
