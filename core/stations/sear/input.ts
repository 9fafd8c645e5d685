import type { Cake } from '../../cake';
import type { Parts } from '../../model/batter';
import type { Plan } from '../../plan';

/** All that the searing of a plan is worked out from. */
export interface SearInput extends Pick<NonNullable<Plan['sear']>, 'dial' | 'colour' | 'startC' | 'pans' | 'lid'> {
  readonly parts: Parts;
  readonly gasShare: number;
  readonly piece: { readonly thicknessM: number; readonly faceM: readonly [number, number] };
  /** Pieces that are seared, and that lie side by side in one pan. */
  readonly pieces: number;
  readonly perPan: number;
  readonly airC: number;
}

/** The record of a plan's searing; undefined where nothing is seared. */
export function searInput(light: Cake): SearInput | undefined {
  const { plan, kitchen } = light.resolved;
  const { cut, packing, piece } = light;
  if (!plan.sear || !cut || !packing || !piece || packing.perLoad === 0) return undefined;
  const { dial, colour, startC, pans, lid } = plan.sear;
  const all = cut.count * plan.vesselCount;
  return {
    dial,
    colour,
    startC,
    pans,
    lid,
    parts: light.balance.whole,
    gasShare: light.body.gasShare,
    piece,
    // Eaten both ways, half of them are seared.
    pieces: plan.schools.serve === 'both' ? Math.ceil(all / 2) : all,
    perPan: packing.perLoad,
    airC: kitchen.roomC,
  };
}
