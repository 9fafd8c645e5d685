'use client';
import type { Forecast } from '@/core/forecast';
import { inUnits, sayGrams, sayMm } from '@/core/units';
import { acrossOf } from '@/core/model/vessel';
import { useDegrees, useUnits } from '../kit';
import { BatterBody } from '../section/BatterBody';
import { sayScale, sectionFrame } from '../section/sectionFrame';
import { Words } from '../section/Words';
import { pourSteam } from '@/core/stations/steam/cooking';

/** Further vessels that take of the same batter, each at its own depth, beside the first and at its scale where there is room. */
export function AlsoView({ forecast, width, mostY }: { forecast: Forecast; width: number; mostY: number }) {
  const units = useUnits();
  const degrees = useDegrees();
  const { light, heat } = forecast;
  const others = light.fill.others;
  if (others.length === 0) return null;
  const each = width / others.length;
  const all = others.map((o) => (each - 24) / acrossOf(o.vessel));
  const scale = Math.min(...all, mostY / Math.max(...others.map((o) => o.vessel.heightM)));
  const words = others.map((o, i) => {
    const out = pourSteam(heat)?.vessels.find((v) => v.of === i)?.times;
    return inUnits(
      `${o.count > 1 ? `${o.count} × ` : ''}${o.name}, ${sayGrams(o.massEachG)}, ${sayMm(o.depthM)} deep${out ? `, out at ${Math.round(out.planForS / 60)} min` : ''}`,
      units,
    );
  });
  return (
    <svg
      viewBox={`0 0 ${width} ${mostY + 96}`}
      width="100%"
      role="img"
      aria-label={`Besides: ${words.join('; ')}.`}
      data-part="also"
    >
      {others.map((o, i) => {
        const across = acrossOf(o.vessel) * scale;
        const frame = sectionFrame(o.vessel, o.vessel.heightM, {
          width: across,
          mostY: o.vessel.heightM * scale,
          side: 0,
          head: 40 + mostY - o.vessel.heightM * scale,
          foot: 50,
        });
        return (
          <g key={o.name} transform={`translate(${i * each + (each - across) / 2} 0)`}>
            <BatterBody
              vessel={o.vessel}
              depthM={o.depthM}
              frame={frame}
              timeS={0}
              show="heat"
              fromC={0}
              pieceShare={light.balance.pieceVolumeShare}
              degrees={degrees}
              small
            />
            <Words x={frame.cx} y={frame.baseY + 20} as="plain">
              {o.count > 1 ? `${o.count} × ` : ''}
              {inUnits(sayMm(o.depthM), units)}
            </Words>
            <Words x={frame.cx} y={frame.baseY + 36}>
              {sayScale(scale)}
            </Words>
          </g>
        );
      })}
      <title>{words.join('; ')}</title>
    </svg>
  );
}
