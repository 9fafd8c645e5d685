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
import { rollOf, spiral } from './roll';
import type { SteamMoment } from './steamMoment';
import { linesFor } from '../section/lines';
import { Words } from '../section/Words';
import { pourSteam, filmIn } from '@/core/stations/steam/cooking';

/** The enlarged piece of a sheet, how far it is under the sheet, and where that stands: on a page with room, and on a phone. */
const WIDE = { pieceY: 86, half: 150, under: 46, baseY: 96 } as const;
const PHONE = { pieceY: 46, half: 100, under: 34, baseY: 60 } as const;
const INK = 'var(--ink)';
const SOFT = 'var(--soft)';

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
  if (rolled) {
    const narrow = width < NARROW;
    const rScale = Math.min((narrow ? 110 : 170) / (2 * roll.outerM), 5200);
    const rx = width * 0.72;
    const ry = narrow ? 70 : 128;
    const foot = narrow ? 150 : 238;
    const sheetScale = (width * 0.42) / acrossM;
    const boardY = ry + 22;
    const left = 24;
    const filled = fillingG > 0.5 ? inUnits(`, ${sayGrams(fillingG)} of filling`, units) : '';
    const facts = linesFor(`in section, ${sayScale(rScale)}${filled}`, 2 * (width - rx) - 8, 12);
    return (
      <svg
        viewBox={`0 0 ${width} ${foot + 14 + 16 * facts.length}`}
        width="100%"
        role="img"
        aria-label={words}
        data-part="roll"
      >
        <g stroke={INK} fill="none">
          <path d={`M${left},${boardY}h${acrossM * sheetScale}`} strokeWidth={Math.max(2.5, thickM * sheetScale)} />
          {fillingG > 0.5 ? (
            <ellipse
              cx={left + 0.2 * acrossM * sheetScale}
              cy={boardY - roll.coreM * sheetScale}
              rx={1.4 * roll.coreM * sheetScale}
              ry={roll.coreM * sheetScale}
              fill="var(--speck)"
              opacity="0.8"
              stroke="none"
            />
          ) : null}
          <path
            d={`M${left + 0.2 * acrossM * sheetScale - 20},${boardY - 32}q-12,-26 18,-34l-3,-8m3,8l-9,4`}
            strokeWidth="1.5"
          />
        </g>
        <circle cx={rx} cy={ry} r={roll.coreM * rScale} fill={fillingG > 0.5 ? 'var(--speck)' : 'none'} opacity="0.7" />
        <path
          d={spiral(roll)
            .map(
              ([px, py], i) =>
                `${i === 0 ? 'M' : 'L'}${(rx + px * rScale).toFixed(1)},${(ry + py * rScale).toFixed(1)}`,
            )
            .join('')}
          fill="none"
          stroke="var(--steam)"
          strokeWidth={Math.max(1.5, thickM * rScale * 0.72)}
          opacity="0.75"
        />
        <text x={left} y={boardY + 36} fontSize="13" fill={SOFT}>
          {inUnits(`the sheet, ${sayMm(acrossM)}, ${sayScale(sheetScale)}`, units)}
        </text>
        <Words x={rx} y={foot} as="strong">
          {inUnits(`${sayMm(2 * roll.outerM)} thick, ${roll.turns.toFixed(1)} turns`, units)}
        </Words>
        {facts.map((line, i) => (
          <Words key={line} x={rx} y={foot + 18 + 16 * i}>
            {line}
          </Words>
        ))}
      </svg>
    );
  }
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
