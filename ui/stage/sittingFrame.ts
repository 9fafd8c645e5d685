import { there } from '@/core/units';
import type { LightForecast, HeatForecast } from '@/core/forecast';
import { coverIn } from '@/core/forecast';
import { vesselShape } from '@/core/model/vessel';
import { overWater, stackIn } from '@/core/stations/steam/cooking';

/** Clear height under a lid over the last tier, m, and the height of a ring with its dial, drawing units. */
const LID_M = 0.035;
const HOB_Y = 46;
const HEAD_Y = 14;

/** Where a cake sits, true to one scale: the parts as rectangles, drawing units. */
export interface SittingFrame {
  readonly width: number;
  readonly height: number;
  readonly scale: number;
  readonly cx: number;
  readonly lid: { readonly y: number; readonly half: number; readonly rise: number };
  /** From the lid down to the rack. */
  readonly tiers: readonly { readonly top: number; readonly floor: number; readonly half: number }[];
  readonly pot: { readonly top: number; readonly base: number; readonly half: number };
  /** Where the water stands now; at the start of the steam where nothing has boiled away. */
  readonly waterY: number;
  readonly hobY: number;
  /** Vessels on the lowest tier as they stand side by side, by their middles. */
  readonly pans: readonly {
    readonly x: number;
    readonly half: number;
    readonly top: number;
    readonly fillTop: number;
  }[];
  readonly waterMl: number;
}

/**
 * @param timeS in the steam; the water sinks by what boils away, and comes back with each top-up
 */
export function sittingFrame(
  light: LightForecast,
  heat: HeatForecast | undefined,
  timeS: number,
  width: number,
  mostY: number,
): SittingFrame {
  const { steamer, vessel } = light.resolved;
  const tall = steamer.waterDepthM + 0.01 + steamer.tiers * steamer.clearHeightM + LID_M;
  const wide = Math.max(steamer.innerDiameterM, steamer.potDiameterM);
  const scale = Math.min((width - 64) / wide, (mostY - HOB_Y - HEAD_Y) / tall);
  const cx = width / 2;
  const half = (steamer.innerDiameterM / 2) * scale;
  const lidY = HEAD_Y + LID_M * scale;
  const tierY = steamer.clearHeightM * scale;
  const tiers = Array.from({ length: steamer.tiers }, (_, i) => ({
    top: lidY + i * tierY,
    floor: lidY + (i + 1) * tierY,
    half,
  }));
  const rack = there(tiers[tiers.length - 1]).floor;
  const base = rack + (steamer.waterDepthM + 0.01) * scale;
  const potHalf = (steamer.potDiameterM / 2) * scale;
  const areaM2 = (Math.PI / 4) * steamer.potDiameterM ** 2;
  const water = overWater(heat)?.water;
  const startMl = water?.startMl ?? steamer.waterDepthM * areaM2 * 1e6;
  const added = (water?.timesS ?? []).filter((s) => s <= timeS).length * (water?.topUpMl ?? 0);
  const waterMl = Math.max(0, startMl - ((water?.boilOffMlPerMin ?? 0) * timeS) / 60 + added);
  const shape = vesselShape(vessel);
  const side = Math.min(
    light.resolved.plan.vesselCount,
    light.fill.perTier > 0 ? Math.max(1, Math.floor(Math.sqrt(light.fill.perTier * 1.3))) : 1,
  );
  const panHalf = shape.halfWidthAt(vessel.heightM) * scale;
  const pitch = 2 * panHalf + 0.005 * scale;
  const fit = Math.max(1, Math.min(side, Math.floor((2 * half) / Math.max(1e-6, pitch))));
  // Layers stand as high as the last one that is in.
  const poured = timeS > 0 ? stackIn(heat)?.pours.filter((p) => p.atS <= timeS) : undefined;
  const fillM = Math.min(vessel.heightM, poured ? (poured.at(-1)?.toM ?? 0) : light.fill.depthM);
  const pans = Array.from({ length: fit }, (_, i) => ({
    x: cx + (i - (fit - 1) / 2) * pitch,
    half: panHalf,
    top: rack - 3 - vessel.heightM * scale,
    fillTop: rack - 3 - fillM * scale,
  }));
  return {
    width,
    height: base + HOB_Y,
    scale,
    cx,
    lid: { y: lidY, half, rise: LID_M * scale * 0.9 },
    tiers,
    pot: { top: rack, base, half: potHalf },
    waterY: Math.max(rack + 2, base - (waterMl / 1e6 / areaM2) * scale),
    hobY: base,
    pans,
    waterMl,
  };
}

/** What closes it, in a few words. */
export function lidWords(light: LightForecast): string {
  const cover = coverIn(light);
  const lid = { cloth: 'cloth on the lid', woven: 'woven lid', loose: 'lid left loose', tight: 'bare lid' }[cover.lid];
  return cover.foil ? 'foil over the pan' : lid;
}
