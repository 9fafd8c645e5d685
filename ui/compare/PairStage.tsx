'use client';
import { cakeAt, type Life } from '@/core/life';
import type { Forecast } from '@/core/forecast';
import { inUnits, sayMm } from '@/core/units';
import { vesselShape } from '@/core/vessel';
import { useDegrees, useUnits } from '../kit';
import { BatterBody, coldestOf } from '../section/BatterBody';
import { layersAt } from '../stage/layersAt';
import { frameAt } from '../section/sectionFrame';

const WIDTH = 1180;
const HEIGHT = 200;
const BASE_Y = 160;
const SIDE = 70;

export interface OfPair {
  readonly name: string;
  readonly forecast: Forecast;
  readonly life: Life;
}

/** Two cakes in section on one base line at one scale, each as it is at the same moment of the clock. */
export function PairStage({ pair, atS }: { pair: readonly OfPair[]; atS: number }) {
  const units = useUnits();
  const degrees = useDegrees();
  const room = WIDTH / 2 - 2 * SIDE;
  const scale = Math.min(
    ...pair.map(({ forecast: { light } }) => {
      const { vessel } = light.resolved;
      const high = Math.max(vessel.heightM, light.fill.depthM);
      return Math.min(room / (2 * vesselShape(vessel).halfWidthAt(vessel.heightM)), (BASE_Y - 24) / high);
    }),
  );
  const text = pair
    .map(
      ({ name, forecast: { light } }) =>
        `${name}: ${light.resolved.vessel.name}, batter ${sayMm(light.fill.depthM)} deep`,
    )
    .join('; ');
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} width="100%" role="img" aria-label={inUnits(text, units)}>
      {pair.map(({ forecast: f, life }, i) => {
        const cx = WIDTH * (0.25 + 0.5 * i);
        const { vessel } = f.light.resolved;
        const state = cakeAt(life, f, atS);
        const steaming = state?.is === 'steam' || state?.is === 'stand';
        const frames = steaming ? f.heat?.steam?.frames : state?.is === 'cool' ? f.heat?.rest?.frames : undefined;
        const timeS = state && 'timeS' in state ? state.timeS : 0;
        const half = vesselShape(vessel).halfWidthAt(vessel.heightM) * scale;
        const frame = frameAt(cx, BASE_Y, scale, WIDTH, HEIGHT);
        const top = frame.y(f.light.fill.depthM);
        return (
          <g key={i}>
            <BatterBody
              vessel={vessel}
              depthM={f.light.fill.depthM}
              frame={frame}
              frames={frames && frames.timesS.length > 0 ? frames : undefined}
              timeS={timeS}
              show="heat"
              fromC={steaming ? coldestOf(frames) : 0}
              pieceShare={f.light.balance.pieceVolumeShare}
              layers={layersAt(f, steaming)}
              degrees={degrees}
            />
            <path
              d={`M${cx + half + 12},${top}h8M${cx + half + 12},${BASE_Y}h8M${cx + half + 16},${top}V${BASE_Y}`}
              stroke="var(--ink)"
              fill="none"
            />
            <text x={cx + half + 24} y={(top + BASE_Y) / 2 + 5} fontSize="14" fontWeight="600" fill="var(--ink)">
              {inUnits(sayMm(f.light.fill.depthM), units)}
            </text>
            <text x={cx} y={HEIGHT - 14} fontSize="13" textAnchor="middle" fill="var(--soft)">
              {inUnits(
                `${vessel.name}${f.light.resolved.plan.vesselCount > 1 ? ` × ${f.light.resolved.plan.vesselCount}` : ''}`,
                units,
              )}
            </text>
          </g>
        );
      })}
      <path d={`M20,${BASE_Y + 6}H${WIDTH - 20}`} stroke="var(--soft)" strokeDasharray="10 6" />
    </svg>
  );
}
