'use client';
import { wayOf } from '@/core/families';
import type { Forecast } from '@/core/forecast';
import type { CakeState } from '@/core/work/timeline';
import { inUnits, sayC, sayDuration, sayGrams, sayMm } from '@/core/units';
import { acrossOf } from '@/core/model/vessel';
import { useDegrees, useUnits } from '../kit';
import { HeatCanvas } from '../section/HeatCanvas';
import { placeAt } from '../section/fieldImage';
import { sayScale } from '../section/sectionFrame';
import { NARROW } from './narrow';
import { rollOf } from './roll';
import { RollView } from './RollView';
import type { SteamMoment } from './steamMoment';
import { Words } from '../section/Words';
import { pourSteam, filmIn } from '@/core/stations/steam/cooking';

/** The enlarged piece of a sheet, how far it is under the sheet, and where that stands: on a page with room, and on a phone. */
const WIDE = { pieceY: 86, half: 150, under: 46, baseY: 96 } as const;
const PHONE = { pieceY: 46, half: 100, under: 34, baseY: 60 } as const;
const INK = 'var(--ink)';

/** A sheet in its tray or a film in its pan, with a piece of it enlarged to be seen; filled and rolled once it is. */
export function SheetView({
  forecast,
  state,
  moment,
  show,
  width,
}: {
  forecast: Forecast;
  state: CakeState;
  moment: SteamMoment;
  show: 'heat' | 'set';
  width: number;
}) {
  const units = useUnits();
  const degrees = useDegrees();
  const { light, heat } = forecast;
  const { vessel, plan, fryingPan } = light.resolved;
  const film = wayOf(light.family).into === 'film';
  const thickM = light.fill.depthM;
  // A film is as wide as the pan it was planned for, which is its vessel.
  const acrossM = acrossOf(vessel);
  const wallM = film ? 0.04 : vessel.heightM;
  const scale = (Math.min(width, 760) - 120) / acrossM;
  const cx = width / 2;
  const { pieceY, half: pieceX, under, baseY } = width < NARROW ? PHONE : WIDE;
  const pieceTop = baseY + under;
  const half = (acrossM / 2) * scale;
  const rolled = state.is === 'roll' || state.is === 'plate';
  const steam = pourSteam(heat);
  const frames = moment.raw || film ? undefined : steam?.frames;
  const spot = frames && steam ? placeAt(frames, moment.timeS, steam.coldSpot) : undefined;
  const lid = film && filmIn(heat)?.lid !== false && fryingPan.lid;
  const count = plan.vesselCount;
  const fillingG = plan.fillings.reduce((a, f) => a + f.lines.reduce((s, l) => s + l.massG, 0), 0) / Math.max(1, count);
  const roll = rollOf(acrossM, thickM, fillingG / 1e6 / acrossM);
  const enlarged = pieceY / Math.max(thickM, 1e-4);
  const words = inUnits(
    rolled
      ? `Rolled: ${sayMm(2 * roll.outerM)} thick${fillingG > 0.5 ? ` with ${sayGrams(fillingG)} of filling` : ', empty'}, ${roll.turns.toFixed(1)} turns of a sheet ${sayMm(thickM)} thick.`
      : `${vessel.name}, ${sayMm(acrossM)} across, a ${film ? 'film' : 'sheet'} ${sayMm(thickM)} thick${lid ? ', under its lid' : ''}.${spot ? ` After ${sayDuration(moment.timeS)} ${sayC(spot.tempC)} and ${Math.round(spot.gel * 100)} percent set.` : ''}`,
    units,
  );
  if (rolled)
    return <RollView words={words} width={width} acrossM={acrossM} thickM={thickM} fillingG={fillingG} roll={roll} />;
  return (
    <svg
      viewBox={`0 0 ${width} ${pieceTop + pieceY + 40}`}
      width="100%"
      role="img"
      aria-label={words}
      data-part={film ? 'film' : 'sheet'}
    >
      <rect
        x={cx - half}
        y={baseY - Math.max(2, thickM * scale)}
        width={2 * half}
        height={Math.max(2, thickM * scale)}
        fill="var(--steam)"
        opacity="0.7"
      />
      <path
        d={
          film
            ? `M${cx - half - 16},${baseY - wallM * scale}L${cx - half},${baseY}H${cx + half}L${cx + half + 16},${baseY - wallM * scale}h64`
            : `M${cx - half},${baseY - wallM * scale}V${baseY}H${cx + half}V${baseY - wallM * scale}`
        }
        fill="none"
        stroke="var(--pan)"
        strokeWidth="4"
        strokeLinejoin="round"
      />
      {lid ? (
        <path
          d={`M${cx - half - 18},${baseY - wallM * scale}q${half + 18},-52 ${2 * half + 36},0z`}
          fill="none"
          stroke={INK}
          strokeWidth="1.6"
        />
      ) : null}
      <Words x={cx} y={baseY + 20}>
        {inUnits(`${vessel.name}, ${sayMm(acrossM)} across, to scale ${sayScale(scale)}`, units)}
      </Words>
      <path
        d={`M${cx - 12},${baseY + 2}L${cx - pieceX},${pieceTop}M${cx + 12},${baseY + 2}L${cx + pieceX},${pieceTop}`}
        stroke="var(--line)"
      />
      <rect x={cx - pieceX} y={pieceTop} width={2 * pieceX} height={pieceY} fill="var(--milk)" />
      {frames ? (
        <foreignObject x={cx - pieceX} y={pieceTop} width={2 * pieceX} height={pieceY}>
          <HeatCanvas frames={frames} timeS={moment.timeS} show={show} fromC={10} toC={100} />
        </foreignObject>
      ) : null}
      <rect x={cx - pieceX} y={pieceTop} width={2 * pieceX} height={pieceY} fill="none" stroke={INK} />
      <text x={cx + pieceX + 12} y={pieceTop + pieceY / 2 + 5} fontSize="14" fontWeight="600" fill={INK}>
        {inUnits(sayMm(thickM), units)}
      </text>
      <Words x={cx} y={pieceTop + pieceY + 20} as="plain">
        {spot
          ? `${degrees(spot.tempC)} °${units.temp}, ${Math.round(spot.gel * 100)} % set`
          : inUnits(
              `a piece of it, ${sayScale(enlarged)}; ${count} in all, ${sayGrams(light.balance.massG / count)} each`,
              units,
            )}
      </Words>
    </svg>
  );
}
