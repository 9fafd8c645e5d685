'use client';
import { wayOf } from '@/core/families';
import { cakeAt, type CakeState, type Life } from '@/core/work/timeline';
import type { Forecast } from '@/core/forecast';
import { inUnits, sayMm } from '@/core/units';
import { acrossOf, vesselShape } from '@/core/model/vessel';
import { useDegrees, useUnits } from '../kit';
import { useWidth } from '../kit/useWidth';
import { BatterBody, coldestOf } from '../section/BatterBody';
import { frameAt } from '../section/sectionFrame';
import { CakeView } from '../stage/CakeView';
import { cupsFrame } from '../stage/CupsView';
import { layersAt } from '../stage/layersAt';
import look from './compare.module.css';
import { overWater } from '@/core/stations/steam/cooking';

/** Under this width one stands over the other, px. */
const STACKED = 640;
/** Most height of a pan, and the room over it and for its name under it, px. */
const MOST_PAN_Y = 136;
const HEAD = 24;
const FOOT = 40;
/** Room for the depth beside a pan, px. */
const SIDE = 74;
const MOST_Y = 120;

export interface OfPair {
  readonly name: string;
  readonly forecast: Forecast;
  readonly life: Life;
}

const IN_PAN: ReadonlySet<CakeState['is']> = new Set(['pour', 'steam', 'stand', 'cool']);
const inPan = ({ forecast }: OfPair, state: CakeState | undefined): boolean =>
  wayOf(forecast.light.family).into === 'pan' && state !== undefined && IN_PAN.has(state.is);

/** Two cakes at the same moment of the clock: pans in section on one base line at one scale, else each as the stage draws it then. */
export function PairStage({ pair, atS }: { pair: readonly OfPair[]; atS: number }) {
  const [ref, width] = useWidth<HTMLDivElement>(1180);
  const each = width < STACKED ? width : width / 2;
  const lights = pair.map((p) => p.forecast.light);
  const highM = Math.max(...lights.map((l) => Math.max(l.resolved.vessel.heightM, l.fill.depthM)));
  const wideM = Math.max(...lights.map((l) => acrossOf(l.resolved.vessel)));
  const scale = Math.min((each - 2 * SIDE) / wideM, MOST_PAN_Y / highM);
  const baseY = HEAD + highM * scale;
  const cups = pair.filter((p) => wayOf(p.forecast.light.family).into === 'mould');
  const cupScale = Math.min(...cups.map((p) => cupsFrame(p.forecast, each, MOST_Y).scale));
  return (
    <div ref={ref} className={look.pair} data-stacked={width < STACKED ? '' : undefined}>
      {pair.map((one, i) => {
        const state = cakeAt(one.life, one.forecast, atS);
        return (
          <figure key={i} aria-label={one.name}>
            {width < STACKED ? <figcaption>{one.name}</figcaption> : null}
            {state === undefined || inPan(one, state) ? (
              <PanThen of={one} state={state} scale={scale} baseY={baseY} width={each} />
            ) : (
              <CakeView
                forecast={one.forecast}
                life={one.life}
                atS={atS}
                state={state}
                show="heat"
                width={each}
                mostY={MOST_Y}
                cupScale={cups.length > 0 ? cupScale : undefined}
              />
            )}
          </figure>
        );
      })}
    </div>
  );
}

/** A pan in section at a moment, on the base line and at the scale it has in common with the other. */
function PanThen({
  of: { forecast: f },
  state,
  scale,
  baseY,
  width,
}: {
  of: OfPair;
  state: CakeState | undefined;
  scale: number;
  baseY: number;
  width: number;
}) {
  const units = useUnits();
  const degrees = useDegrees();
  const { vessel, plan } = f.light.resolved;
  const steaming = state?.is === 'steam' || state?.is === 'stand';
  const frames = steaming ? overWater(f.heat)?.frames : state?.is === 'cool' ? f.heat?.rest?.frames : undefined;
  const timeS = state && 'timeS' in state ? state.timeS : 0;
  const half = vesselShape(vessel).halfWidthAt(vessel.heightM) * scale;
  const cx = width / 2;
  const frame = frameAt(cx, baseY, scale, width, baseY + FOOT);
  const top = frame.y(f.light.fill.depthM);
  const text = `${vessel.name}, batter ${sayMm(f.light.fill.depthM)} deep`;
  return (
    <svg viewBox={`0 0 ${width} ${baseY + FOOT}`} width="100%" role="img" aria-label={inUnits(text, units)}>
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
        d={`M${cx + half + 8},${top}h8M${cx + half + 8},${baseY}h8M${cx + half + 12},${top}V${baseY}`}
        stroke="var(--ink)"
        fill="none"
      />
      <text x={cx + half + 20} y={(top + baseY) / 2 + 5} fontSize="14" fontWeight="600" fill="var(--ink)">
        {inUnits(sayMm(f.light.fill.depthM), units)}
      </text>
      <text x={cx} y={baseY + 26} fontSize="13" textAnchor="middle" fill="var(--soft)">
        {inUnits(`${vessel.name}${plan.vesselCount > 1 ? ` × ${plan.vesselCount}` : ''}`, units)}
      </text>
      <path d={`M8,${baseY + 6}H${width - 8}`} stroke="var(--soft)" strokeDasharray="10 6" />
    </svg>
  );
}
