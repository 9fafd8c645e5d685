'use client';
import type { Forecast } from '@/core/forecast';
import type { SteamMoment } from './steamMoment';
import { inUnits, sayC, sayDuration, sayMm } from '@/core/units';
import { acrossOf } from '@/core/model/vessel';
import { useDegrees, useUnits } from '../kit';
import { BatterBody, coldestOf } from '../section/BatterBody';
import { drawn } from '../kit/scales';
import { placeAt } from '../section/fieldImage';
import { sayScale, sectionFrame, type SectionFrame } from '../section/sectionFrame';
import type { ReactNode } from 'react';
import { Words } from '../section/Words';
import { loadsIn, pourSteam } from '@/core/stations/steam/cooking';

/** No more than this many are drawn beside one another. */
const MOST = 3;
const GAP_M = 0.012;

/** As many as the moulds and the steamer take in one turn, how many of them are drawn, how high, m, and the drawing units a metre at which they fit. */
export function cupsFrame({ light, heat }: Forecast, width: number, mostY: number) {
  const { vessel, plan } = light.resolved;
  const together = loadsIn(heat)?.together ?? Math.min(light.fill.perLoad, plan.vesselCount);
  const n = Math.max(1, Math.min(MOST, together, plan.vesselCount));
  const highM = Math.max(vessel.heightM, light.fill.depthM);
  return {
    together,
    n,
    highM,
    scale: Math.min((width - 80) / (n * acrossOf(vessel) + (n - 1) * GAP_M), mostY / highM),
  };
}

/** A tray of cups or moulds cut through one row, each with its batter, to scale; one is taken hold of for all. */
export function CupsView({
  forecast,
  moment,
  show,
  width,
  mostY,
  scale: given,
  handles,
}: {
  forecast: Forecast;
  moment: SteamMoment;
  show: 'heat' | 'set';
  width: number;
  mostY: number;
  /** Drawing units a metre; undefined: as large as fits. */
  scale?: number;
  handles?: (frame: SectionFrame) => ReactNode;
}) {
  const degrees = useDegrees();
  const units = useUnits();
  const { light, heat } = forecast;
  const { vessel, plan } = light.resolved;
  const { together, n, highM, scale: own } = cupsFrame(forecast, width, mostY);
  // How many turns there are follows from the minutes, so it is said once they are known.
  const atATime = heat ? `${together} at a time, ` : '';
  const scale = given ?? own;
  const wide = acrossOf(vessel);
  const pitch = (wide + GAP_M) * scale;
  const frame = sectionFrame(vessel, highM, { width: wide * scale, mostY: highM * scale, side: 0, head: 40, foot: 66 });
  const steam = pourSteam(heat);
  const frames = moment.raw ? undefined : steam?.frames;
  const spot = frames && steam ? placeAt(frames, moment.timeS, steam.coldSpot) : undefined;
  const left = width / 2 - (n * wide * scale + (n - 1) * GAP_M * scale) / 2;
  const middle = Math.floor((n - 1) / 2);
  const text = inUnits(
    `${n} of ${plan.vesselCount} ${vessel.name}, ${atATime}each ${sayMm(light.fill.depthM)} deep.${spot ? ` After ${sayDuration(moment.timeS)} the cold spot is at ${sayC(spot.tempC)} and ${Math.round(spot.gel * 100)} percent set.` : ''}`,
    units,
  );
  return (
    <svg viewBox={`0 0 ${width} ${frame.height}`} width="100%" role="group" aria-label={text} data-part="cups">
      {Array.from({ length: n }, (_, i) => (
        <g key={i} transform={`translate(${drawn(left + i * pitch)} 0)`}>
          <BatterBody
            vessel={vessel}
            depthM={light.fill.depthM}
            frame={frame}
            frames={frames}
            timeS={moment.timeS}
            show={show}
            fromC={coldestOf(frames)}
            pieceShare={light.balance.pieceVolumeShare}
            degrees={degrees}
            small={i !== middle}
          />
          {i === middle ? handles?.(frame) : null}
        </g>
      ))}
      <path d={`M${left - 20},${frame.baseY + 6}H${width - left + 20}`} stroke="var(--soft)" strokeDasharray="10 6" />
      <Words x={width / 2} y={frame.baseY + 28} as="plain">
        {spot
          ? `cold spot ${degrees(spot.tempC)} °${units.temp}, ${Math.round(spot.gel * 100)} % set`
          : inUnits(`each ${Math.round(light.fill.volumeEachMl)} ml, ${sayMm(light.fill.depthM)} deep`, units)}
      </Words>
      <Words x={width / 2} y={frame.baseY + 50}>
        {n < plan.vesselCount ? `${n} of ${plan.vesselCount}, ` : ''}
        {atATime}to scale {sayScale(scale)}
      </Words>
    </svg>
  );
}
