'use client';
import { wayOf } from '@/core/families';
import type { Forecast } from '@/core/forecast';
import { inUnits, sayGrams } from '@/core/units';
import { useUnits } from '../kit';
import { sayScale } from '../section/sectionFrame';
import { searedAs } from '../sear/shades';
import { Words } from '../section/Words';

const PLATE_M = 0.24;
/** More than this many pieces are counted, not drawn. */
const MOST = 40;

/** One plate from above with what a guest gets, to scale. */
export function PlateView({ forecast, width, mostY }: { forecast: Forecast; width: number; mostY: number }) {
  const units = useUnits();
  const { light } = forecast;
  const { plan, vessel } = light.resolved;
  const scale = Math.min(width - 60, mostY + 30) / PLATE_M;
  const cx = width / 2;
  const cy = 16 + (PLATE_M / 2) * scale;
  const pieces = light.pieces > 0 ? light.pieces / plan.guests : 0;
  const n = Math.min(MOST, Math.max(pieces > 0 ? 1 : 0, Math.round(pieces)));
  const seared = plan.sear !== undefined && light.flow.nodes.some((x) => x.op === 'sear');
  const fill = seared ? searedAs(plan.sear?.colour ?? 'golden') : 'var(--milk)';
  const pitch = light.cut?.pitchM ?? ('diameterM' in vessel ? [vessel.diameterM, vessel.diameterM] : [0.05, 0.05]);
  const [w, h] = [Math.min(0.2, pitch[0]), Math.min(0.2, pitch[1] || pitch[0])];
  const columns = Math.max(1, Math.min(n, Math.floor(0.18 / w)));
  const rows = Math.ceil(n / columns);
  const squeeze = Math.min(1, 0.18 / Math.max(1e-6, rows * (h + 0.004)));
  const words = inUnits(
    `A plate: ${pieces > 0 ? `${pieces.toFixed(pieces < 10 ? 1 : 0)} pieces, ` : ''}${sayGrams(light.serves.gramsEach)} for each of ${plan.guests}${plan.accompaniments.length > 0 ? `, with ${plan.accompaniments.map((a) => a.name.toLowerCase()).join(', ')}` : ''}.`,
    units,
  );
  const round = wayOf(light.family).into === 'mould';
  return (
    <svg
      viewBox={`0 0 ${width} ${cy + (PLATE_M / 2) * scale + 52}`}
      width="100%"
      role="img"
      aria-label={words}
      data-part="plate"
    >
      <circle cx={cx} cy={cy} r={(PLATE_M / 2) * scale} fill="var(--ground)" stroke="var(--pan)" strokeWidth="2.5" />
      <circle cx={cx} cy={cy} r={(PLATE_M / 2) * scale * 0.78} fill="none" stroke="var(--line)" />
      {Array.from({ length: n }, (_, i) => {
        const px = cx + ((i % columns) - (Math.min(columns, n) - 1) / 2) * (w + 0.004) * scale;
        const py = cy + (Math.floor(i / columns) - (rows - 1) / 2) * (h + 0.004) * scale * squeeze;
        return round ? (
          <circle key={i} cx={px} cy={py} r={(w / 2) * scale} fill={fill} stroke="var(--ink)" />
        ) : (
          <rect
            key={i}
            x={px - (w / 2) * scale}
            y={py - (h / 2) * scale}
            width={w * scale}
            height={h * scale}
            rx="2"
            fill={fill}
            stroke="var(--ink)"
          />
        );
      })}
      <Words x={cx} y={cy + (PLATE_M / 2) * scale + 24} as="strong">
        {pieces > 0 ? `${pieces.toFixed(pieces < 10 ? 1 : 0)} pieces, ` : ''}
        {inUnits(`${sayGrams(light.serves.gramsEach)} each`, units)}
      </Words>
      <Words x={cx} y={cy + (PLATE_M / 2) * scale + 43}>
        one plate of {plan.guests}, {inUnits('240 mm', units)} across, {sayScale(scale)}
      </Words>
    </svg>
  );
}
