import { there } from '../units';
import type { Evaluation, Flow, PlanBalance } from '../flow';
import { partsOfStream, streamAt, traitsOf } from '../flow';
import type { Gelling, Pieces } from '../model/heat';
import { massOf, thermalShares, type Parts } from '../model/batter';
import { thermalProperties } from '../larder';
import type { CutForm } from '../plan';
import type { CakeBody } from '../model/steam';

/** Full thickness of what is cut, m, and from how many sides heat comes in; what was cut by nobody (mushrooms, sausage bits) is taken as slices. */
const CUT: Readonly<Record<CutForm, { readonly thickM: number; readonly ways: 1 | 2 | 3 }>> = {
  pulp: { thickM: 0.001, ways: 2 },
  shreds: { thickM: 0.005, ways: 2 },
  slices: { thickM: 0.006, ways: 1 },
  cubes: { thickM: 0.012, ways: 3 },
  whole: { thickM: 0.025, ways: 3 },
};
/** Thermal diffusivity of vegetables, m²/s. */
const DIFFUSIVITY = 1.4e-7;
/** Pieces fewer than this do not count, by heat capacity. */
const FEW = 0.03;
/** Air that a paste holds between its pieces, by their volume share: 5 % where two thirds are pieces (a house figure in the usual 3–8 %). */
const AIR_BETWEEN = 0.075;
/** Folding in, scraping, levelling: pieces take the batter's heat for so long before they are steamed, s. */
const TOGETHER_S = 300;

/** A cake's body, and its pieces as they take its heat. */
export interface Body extends CakeBody {
  readonly pieces: (Pieces & { readonly initialC: number }) | undefined;
  /** Temperature of what flows at the pour, °C: with colder pieces in it, above the mean. */
  readonly flowingC: number;
}

/** Specific heat of fresh pieces, J/(kg·K). */
const PIECE_C = 3600;

const capacity = (p: Parts): number => massOf(p) * thermalProperties(thermalShares(p), 50).c;

/** Time constant with which pieces take heat, by the first term of the series, L²/(n·π²·α), s: by the mass of each cut. */
function tauOf(flow: Flow, e: Evaluation): number {
  const pan = streamAt(flow, e, 'pan');
  let sum = 0;
  let mass = 0;
  flow.lines.forEach((line, l) => {
    if (l < pan.from || l >= pan.to) return;
    const g = massOf(partsOfStream({ ...pan, from: l, to: l + 1 }, 'piece'));
    if (g <= 0) return;
    const cut = flow.nodes.find((n) => n.op === 'grate' && n.about === line.id);
    const form = cut ? (cut.settings as { readonly form: CutForm }).form : 'slices';
    const { thickM, ways } = CUT[form];
    sum += (g * thickM ** 2) / (ways * Math.PI ** 2 * DIFFUSIVITY);
    mass += g;
  });
  return mass > 0 ? sum / mass : 0;
}

/** Temperature at which pieces were folded in, °C; undefined where they were heated with the batter. */
function foldedC(flow: Flow, e: Evaluation, roomC: number): number | undefined {
  const at = flow.nodes.map((n) => n.op).lastIndexOf('fold-in');
  if (at < 0 || flow.nodes.slice(at + 1).some((n) => traitsOf(n.op).evens)) return undefined;
  const node = there(flow.nodes[at]);
  let c = 0;
  let ct = 0;
  for (const t of node.takes) {
    if (t.phase !== 'piece') continue;
    const own = there(flow.lines[t.line]).massG * t.share * PIECE_C;
    c += own;
    ct += own * (t.tempC ?? roomC);
  }
  for (const i of node.ins) {
    const s = there(e.streams[i]);
    const own = capacity(partsOfStream(s, 'piece'));
    c += own;
    ct += own * s.tempC;
  }
  return c > 0 ? ct / c : undefined;
}

/**
 * The body that is steamed.
 * @param meanC temperature at the pour, batter and pieces together, °C
 * @param rise height after ÷ before by its gas, ≥ 1
 * @param paste it holds air between its pieces
 */
export function bodyOf(
  flow: Flow,
  e: Evaluation,
  balance: PlanBalance,
  gelling: Gelling,
  {
    meanC,
    rise,
    paste,
    roomC,
  }: { readonly meanC: number; readonly rise: number; readonly paste: boolean; readonly roomC: number },
): Body {
  const inPieces = partsOfStream(streamAt(flow, e, 'pan'), 'piece');
  const share = Math.min(0.85, capacity(inPieces) / Math.max(1e-9, capacity(balance.whole)));
  const air = paste && share > FEW ? AIR_BETWEEN * share : 0;
  const gasShare = 1 - (1 - air) / rise;
  if (share <= FEW) return { parts: balance.whole, gasShare, gelling, pieces: undefined, flowingC: meanC };
  const tauS = tauOf(flow, e);
  const cold = foldedC(flow, e, roomC);
  const mixed = cold === undefined ? meanC : cold + (meanC - cold) * (1 - Math.exp(-TOGETHER_S / (tauS * (1 - share))));
  const initialC = Math.min(mixed, meanC + 40);
  return {
    parts: balance.whole,
    inPieces,
    gasShare,
    gelling,
    pieces: { share, tauS, initialC },
    flowingC: (meanC - share * initialC) / (1 - share),
  };
}
