'use client';
import type { Forecast } from '@/core/forecast';
import { inUnits, sayC, sayDuration, sayMm } from '@/core/units';
import { acrossOf } from '@/core/model/vessel';
import { useDegrees, useUnits } from '../kit';
import { BatterBody } from '../section/BatterBody';
import { sayScale, sectionFrame } from '../section/sectionFrame';
import { depthIn, potFor } from './bowl';
import { Words } from '../section/Words';
import { potIn } from '@/core/stations/steam/cooking';

/** Room over what is stirred, of the pot. */
const FULL = 0.6;

/** A pudding stirred in its pot: how far it has come to its heat, and how near the bottom is to scorching. */
export function PotView({
  forecast,
  timeS,
  width,
  mostY,
}: {
  forecast: Forecast;
  timeS: number;
  width: number;
  mostY: number;
}) {
  const units = useUnits();
  const degrees = useDegrees();
  const { light, heat } = forecast;
  const node = forecast.evaluated.nodes.find((n) => n.node.op === 'cook-through');
  const own = light.resolved.kitchen.pots
    .filter((p) => p.capacityMl * FULL >= light.balance.volumeMl)
    .sort((a, b) => a.capacityMl - b.capacityMl)
    .at(0);
  const pot = potFor(own?.capacityMl ?? light.balance.volumeMl / FULL, own?.name ?? 'A pot that holds it');
  const depthM = depthIn(pot, light.balance.volumeMl);
  const frame = sectionFrame(pot, pot.heightM, { width, mostY, side: 120, head: 34, foot: 70 });
  const heatS = node?.figures.heatS?.value ?? 0;
  const throughS = potIn(heat)?.throughS ?? node?.figures.stirS?.value ?? 0;
  const scorchS = potIn(heat)?.scorchS ?? Infinity;
  const startC = light.evaluated.byId.get(node?.node.id ?? '')?.carried[0]?.tempC ?? light.env.roomC;
  const toC = node?.outs[0]?.tempC ?? startC;
  const way = heatS > 0 ? Math.min(1, timeS / heatS) : 1;
  const tempC = startC + (toC - startC) * way;
  const stirred = Math.max(0, timeS - heatS);
  const words = inUnits(
    `${pot.name} with the batter ${sayMm(depthM)} deep, at ${sayC(tempC)}; ${way < 1 ? `${sayDuration(heatS - timeS)} to its heat` : stirred >= throughS ? 'no mealy taste left' : `${sayDuration(throughS - stirred)} more to stir`}.`,
    units,
  );
  const { cx, baseY, y, scale } = frame;
  const half = (acrossOf(pot) / 2) * scale;
  const near = Number.isFinite(scorchS) && scorchS > 0 ? Math.min(1, timeS / scorchS) : 0;
  return (
    <svg viewBox={`0 0 ${width} ${frame.height}`} width="100%" role="img" aria-label={words} data-part="pot">
      <BatterBody
        vessel={pot}
        depthM={depthM}
        frame={frame}
        timeS={0}
        show="heat"
        fromC={0}
        pieceShare={light.balance.pieceVolumeShare}
        colour={`color-mix(in srgb, var(--steam) ${Math.round(70 * Math.max(0, (tempC - 20) / 80))}%, var(--milk))`}
        degrees={degrees}
      />
      <path
        d={`M${cx + half * 0.3},${y(depthM * 0.3)}L${cx + half * 0.75},${y(pot.heightM) - 30}`}
        stroke="var(--speck)"
        strokeWidth="6"
        strokeLinecap="round"
      />
      <path
        d={`M${cx - half},${baseY + 5}H${cx - half + 2 * half * near}`}
        stroke="var(--bad)"
        strokeWidth="4"
        strokeDasharray="6 3"
      />
      <Words x={cx} y={baseY + 28} as="strong">
        {degrees(tempC)} °{units.temp},{' '}
        {way < 1
          ? `${sayDuration(heatS - timeS)} to its heat`
          : stirred >= throughS
            ? 'clear, no mealy taste'
            : `${sayDuration(throughS - stirred)} more`}
      </Words>
      <Words x={cx} y={baseY + 47}>
        {Number.isFinite(scorchS) ? `the bottom scorches after ${sayDuration(scorchS)}` : ''}
      </Words>
      <Words x={cx} y={baseY + 64}>
        {inUnits(`${pot.name}, to scale ${sayScale(scale)}`, units)}
      </Words>
    </svg>
  );
}
