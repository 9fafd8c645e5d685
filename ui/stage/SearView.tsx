'use client';
import type { Forecast, SearForecast } from '@/core/forecast';
import { inUnits, sayC, sayDuration, sayMm } from '@/core/units';
import { useDegrees, useUnits } from '../kit';
import { SearDrawing } from '../sear/SearDrawing';
import { shadeOf } from '../sear/shades';
import { NARROW } from './narrow';
import { sayScale } from '../section/sectionFrame';
import { Words } from '../section/Words';

/** One piece at a moment of its own searing: the face down, the face done before, the middle. */
function pieceAt(sear: SearForecast, inLoadS: number) {
  const [first, second] = sear.minutesASide;
  const onSecond = inLoadS > first;
  const t = Math.min(inLoadS, first + second);
  const rows = sear.result.course.filter(([s]) => s <= t && (onSecond ? s > first : true));
  const row = rows.at(-1) ?? sear.result.course[0];
  const firstRow = sear.result.course.filter(([s]) => s <= first).at(-1) ?? row;
  return {
    onSecond,
    down: { browning: row?.[3] ?? 0, crustMm: row?.[4] ?? 0, faceC: row?.[1] ?? 0 },
    up: onSecond
      ? { browning: firstRow?.[3] ?? 0, crustMm: sear.result.sides[0].crustMm }
      : { browning: 0, crustMm: 0 },
    coreC: row?.[2] ?? 0,
    t,
  };
}

/** A load from above, and one piece of it in section: it browns and its crust grows as it lies. */
export function SearView({ forecast, timeS, width }: { forecast: Forecast; timeS: number; width: number }) {
  const units = useUnits();
  const degrees = useDegrees();
  const { light, heat } = forecast;
  const sear = heat?.sear;
  if (!light.packing || !sear || !light.piece) return null;
  const loadS = sear.totalS / sear.loads;
  const load = Math.min(sear.loads, 1 + Math.floor(timeS / loadS));
  const piece = pieceAt(sear, timeS - (load - 1) * loadS);
  // On a phone both stand in the height of a band.
  const narrow = width < NARROW;
  const wide = width * (narrow ? 0.56 : 0.44);
  const [floorY, height] = narrow ? [78, 132] : [150, 268];
  const scale = Math.min((wide - 40) / light.piece.faceM[0], (floorY - 30) / light.piece.thicknessM);
  const [w, h] = [light.piece.faceM[0] * scale, light.piece.thicknessM * scale];
  const x = wide / 2 - w / 2;
  const y = floorY - h;
  const crust = (mm: number) => Math.max(mm > 0.02 ? 1 : 0, (mm / 1000) * scale);
  const words = inUnits(
    `Load ${load} of ${sear.loads}, ${piece.onSecond ? 'second' : 'first'} side: the face down is ${sayDuration(piece.t)} in, its crust ${piece.down.crustMm.toFixed(1)} mm, the middle at ${Math.round(piece.coreC)} °C.`,
    units,
  );
  return (
    <div style={{ display: 'flex', alignItems: 'center' }} data-part="sear">
      <div style={{ flex: narrow ? '44 0 0' : '56 0 0', minWidth: 0 }}>
        <SearDrawing
          pan={light.resolved.fryingPan}
          packing={light.packing}
          bare={narrow}
          colour={shadeOf(piece.up.browning || piece.down.browning)}
        />
      </div>
      <svg
        viewBox={`0 0 ${wide} ${height}`}
        style={{ flex: narrow ? '56 0 0' : '44 0 0', minWidth: 0 }}
        role="img"
        aria-label={words}
      >
        <rect x={x} y={y} width={w} height={h} fill="var(--milk)" stroke="var(--soft)" />
        <rect x={x} y={y} width={w} height={crust(piece.up.crustMm)} fill={shadeOf(piece.up.browning)} />
        <rect
          x={x}
          y={y + h - crust(piece.down.crustMm)}
          width={w}
          height={crust(piece.down.crustMm)}
          fill={shadeOf(piece.down.browning)}
        />
        <path d={`M${x},${y + h - 1.5}h${w}`} stroke={shadeOf(piece.down.browning)} strokeWidth="4" />
        <path d={`M${x},${y + 1.5}h${w}`} stroke={shadeOf(piece.up.browning)} strokeWidth="4" />
        <path d={`M${x - 18},${floorY + 4}h${w + 36}`} stroke="var(--pan)" strokeWidth="6" />
        <text x={wide / 2} y={y + h / 2 + 5} fontSize="14" fontWeight="600" textAnchor="middle" fill="#232C66">
          {degrees(piece.coreC)} °{units.temp}
        </text>
        <Words x={wide / 2} y={floorY + 32} as="strong">
          load {load} of {sear.loads}, {piece.onSecond ? 'second' : 'first'} side
        </Words>
        <Words x={wide / 2} y={floorY + 50}>
          {inUnits(`crust ${piece.down.crustMm.toFixed(1)} mm, face ${sayC(piece.down.faceC)}`, units)}
        </Words>
        {narrow ? null : (
          <Words x={wide / 2} y={height - 4}>
            {inUnits(`one piece, ${sayMm(light.piece.thicknessM)} thick, ${sayScale(scale)}`, units)}
          </Words>
        )}
      </svg>
    </div>
  );
}
