import { saturationPa } from '../../units';
import { maxwell, poreConductivity, thermalProperties } from '../../larder';
import { heatMaterial, type Gelling, type HeatMaterial } from '../heat';
import { massOf, thermalShares, type Parts } from '../batter';

/** A cake as heat sees it: all of its parts, those of them that lie in pieces, its gas by volume, and how it gels. */
export interface CakeBody {
  readonly parts: Parts;
  readonly inPieces?: Parts;
  readonly gasShare: number;
  readonly gelling: Gelling;
}

/** Materials already tabulated, by composition, then by all else: a spread asks for the same cake five times. */
const KNOWN = new WeakMap<Parts, Map<string, HeatMaterial>>();
const SEA_LEVEL_C = 100;

const without = (all: Parts, some: Parts): Parts =>
  Object.fromEntries(
    Object.entries(all).map(([k, g]) => [k, Math.max(0, g - some[k as keyof Parts])]),
  ) as unknown as Parts;

/** Conductivity without gas, W/(m·K): pieces as inclusions in what flows, by Maxwell. */
function solidK(parts: Parts, inPieces: Parts | undefined): (tempC: number) => number {
  const all = thermalShares(parts);
  if (!inPieces || massOf(inPieces) < 1e-6 * massOf(parts)) return (t) => thermalProperties(all, t).k;
  const flowing = without(parts, inPieces);
  const [free, piece] = [thermalShares(flowing), thermalShares(inPieces)];
  const volume = (p: Parts, s: typeof free) => massOf(p) / thermalProperties(s, 25).rho;
  const [vFree, vPiece] = [volume(flowing, free), volume(inPieces, piece)];
  const share = vPiece / (vFree + vPiece);
  return (t) => maxwell(thermalProperties(free, t).k, thermalProperties(piece, t).k, share);
}

/**
 * The cake as a conducting material: Choi & Okos properties of its parts, pieces and wet bubbles as inclusions, and how it gels.
 * @param boilC boiling point of the kitchen, °C
 */
export function cakeMaterial({ parts, inPieces, gasShare, gelling }: CakeBody, boilC = SEA_LEVEL_C): HeatMaterial {
  const key = `${gasShare} ${boilC} ${inPieces ? massOf(inPieces) : 0} ${Object.values(gelling).join(' ')}`;
  const mine = KNOWN.get(parts) ?? new Map<string, HeatMaterial>();
  const known = mine.get(key);
  if (known) return known;
  const shares = thermalShares(parts);
  const rho = thermalProperties(shares, 25, gasShare).rho;
  const pressurePa = saturationPa(boilC);
  const solid = solidK(parts, inPieces);
  const made = heatMaterial(
    (t) => (gasShare > 0 ? maxwell(solid(t), poreConductivity(t, pressurePa), gasShare) : solid(t)),
    (t) => rho * thermalProperties(shares, t).c,
    gelling,
  );
  KNOWN.set(parts, mine.set(key, made));
  return made;
}
