import { there } from '@/core/units';
import { wayOf } from '@/core/families/way';
import type { Family } from '@/core/families/family';
import { DEFAULT_PAN, DEFAULT_VESSEL, type Vessel } from '@/core/kitchen';
import { layersOf } from '@/core/plan/layers';
import { filmVessel, type Offer } from '@/core/desk/newPlan';
import { vesselShape } from '@/core/model/vessel';
import { BatterBody } from '../section/BatterBody';
import { LAYER_COLOURS } from '../section/layerColours';
import { frameAt } from '../section/sectionFrame';

const WIDTH = 196;
const HEIGHT = 58;
const BASE_Y = 48;
/** Small things stand beside one another, so many at most. */
const BESIDE = 3;
/** One scale for all, drawing units a metre, so that pans can be told apart; thin things are drawn so many times as large. */
const SCALE = 620;
const CLOSER = 2.2;
const SMALL_M = 0.11;
/** Pieces of a vegetable or fruit in it, share of the volume. */
const PIECES = 0.4;

type OwnVessel = Exclude<ReturnType<Family['formula']>['vessel'], string | undefined>;
/** A formula's vessel with what it leaves unsaid; the schema that would fill it in is not worth fetching for a drawing. */
const wholeOf = (v: OwnVessel): Vessel =>
  v.shape === 'rectangular'
    ? { ...v, cornerRadiusM: v.cornerRadiusM ?? 0, loaf: v.loaf ?? false, count: 1, provenance: 'default' }
    : { ...v, count: 1, provenance: 'default' };

/** A cake of a family as its data have it, before it is fitted to a rack: the formula's vessel, the middle of its depth band. */
function usualOf(family: Family): { readonly vessel: Vessel; readonly depthM: number; readonly count: number } {
  const plan = family.formula();
  const own = typeof plan.vessel === 'object' ? plan.vessel : undefined;
  return {
    vessel: (own && wholeOf(own)) ?? (wayOf(family).into === 'film' ? filmVessel(DEFAULT_PAN) : DEFAULT_VESSEL),
    depthM: (family.depthMm[0] + family.depthMm[1]) / 2000,
    count: plan.vesselCount ?? 1,
  };
}

/** Layers in the colours in which they are poured, from the base up. */
function drawnLayers(family: Family, depthM: number) {
  const plan = family.formula();
  const split = plan.colours ?? [];
  const colours = (split.length > 1 ? split : plan.batters).map((b) => b.colour ?? 'porcelain');
  const n = layersOf(plan, family);
  return wayOf(family).stacked && n > 0
    ? Array.from({ length: n }, (_, i) => ({
        colour: LAYER_COLOURS[colours[i % colours.length] ?? ''] ?? 'var(--milk)',
        toM: (depthM * (i + 1)) / n,
        fromS: 0,
      }))
    : undefined;
}

/** A cake in section, small, drawn by what draws it on the stage; all of them at one scale. */
export function MiniCake({ family, offer }: { family: Family; offer: Offer | undefined }) {
  const { vessel, depthM, count } = offer?.pan ?? usualOf(family);
  const half = vesselShape(vessel).halfWidthAt(vessel.heightM);
  const small = 2 * half < SMALL_M;
  const n = small ? Math.min(BESIDE, count) : 1;
  const scale = Math.min(SCALE * (small ? CLOSER : 1), (WIDTH - 12) / (n * 2.3 * half), (BASE_Y - 4) / vessel.heightM);
  const layers = drawnLayers(family, depthM);
  const colour = LAYER_COLOURS[there(family.formula().batters[0]).colour ?? 'porcelain'];
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} width={WIDTH} height={HEIGHT} aria-hidden>
      {Array.from({ length: n }, (_, i) => {
        const cx = WIDTH / 2 + (i - (n - 1) / 2) * 2.3 * half * scale;
        const frame = frameAt(cx, BASE_Y, scale, WIDTH, HEIGHT);
        return (
          <BatterBody
            key={i}
            vessel={vessel}
            depthM={depthM}
            frame={frame}
            timeS={0}
            show="heat"
            fromC={0}
            pieceShare={family.addIn ? PIECES : 0}
            layers={layers}
            colour={colour}
            degrees={(c) => c}
            small
          />
        );
      })}
      <path d={`M8,${BASE_Y + 4}H${WIDTH - 8}`} stroke="var(--line)" strokeDasharray="8 5" />
    </svg>
  );
}
