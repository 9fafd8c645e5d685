'use client';
import { useId, useMemo } from 'react';
import { scaleLinear } from 'd3-scale';
import { useDegrees, useUnits } from '../kit';
import { inUnits, sayC, sayDuration, sayMm } from '@/core/units';
import type { Vessel } from '@/core/kitchen';
import type { FieldFrames } from '@/core/steam';
import { vesselShape } from '@/core/vessel';
import { HeatCanvas } from './HeatCanvas';
import { sectionPath } from './sectionPath';
import { isolines } from './isolines';
import { edgeAt, placeAt } from './fieldImage';
import { specks } from './specks';
import { layerBands } from './layerBands';

export interface SectionProps {
  readonly vessel: Vessel;
  readonly depthM: number;
  /** Drawn as risen. */
  readonly risen?: boolean;
  readonly frames?: FieldFrames;
  readonly timeS: number;
  readonly show: 'heat' | 'set';
  readonly coldSpot?: { readonly xM: number; readonly zM: number };
  /** Shows where a pick goes: to the coldest place, else to the bottom in the middle. */
  readonly pick?: boolean;
  readonly foil: boolean;
  /** Share of the volume that is pieces, 0–1. */
  readonly pieceShare: number;
  readonly surroundings: 'steam' | 'cooling';
  readonly layers?: readonly { readonly colour: string; readonly toM: number; readonly fromS: number }[];
}

const W = 640;
const PAD_X = 84;
const HEAD_Y = 46;
const FOOT_Y = 62;
/** Most height the vessel may take in the drawing. */
const MOST_Y = 170;
const LEVELS = [40, 60, 80, 95];
const SET_LEVEL = [0.95];

/** The cake in section: the vessel cut through the middle, to scale, with the batter at its true depth and the heat coming in. */
export function SectionDrawing(props: SectionProps) {
  const { vessel, depthM, frames, timeS, show, coldSpot, foil, pieceShare, surroundings, layers } = props;
  const clip = useId();
  const shape = vesselShape(vessel);
  const rim = shape.halfWidthAt(vessel.heightM);
  const scale = Math.min((W - 2 * PAD_X) / (2 * rim), MOST_Y / Math.max(vessel.heightM, depthM));
  const baseY = Math.max(150, HEAD_Y + Math.max(vessel.heightM, depthM) * scale);
  const H = baseY + FOOT_Y;
  const cx = W / 2;
  const x = scaleLinear([0, 1], [cx, cx + scale]);
  const y = scaleLinear([0, 1], [baseY, baseY - scale]);
  const fill = Math.min(depthM, vessel.heightM);
  const upTo = (toM: number) => sectionPath((z) => shape.halfWidthAt(z), toM, x, y);
  const filled = `${upTo(fill)}Z`;
  const half = (frames?.halfWidthM ?? shape.halfWidthAt(fill)) * scale;
  const lines = useMemo(() => {
    if (!frames || fill <= 0) return [];
    const toX = (i: number) => cx + (edgeAt(frames.edgesXM, i) / frames.halfWidthM) * half;
    const toY = (k: number) => baseY - (edgeAt(frames.edgesZM, k) / frames.depthM) * fill * scale;
    return show === 'heat'
      ? isolines(frames, timeS, 'temp', LEVELS, toX, toY, cx)
      : isolines(frames, timeS, 'gel', SET_LEVEL, toX, toY, cx);
  }, [frames, timeS, show, fill, scale, half, cx, baseY]);
  const coldest = useMemo(
    () =>
      surroundings === 'cooling' || !frames
        ? 0
        : Math.floor(frames.tempC[0].reduce((a, b) => (b < a ? b : a), 100) / 10) * 10,
    [frames, surroundings],
  );
  const cakeWidthM = 2 * shape.halfWidthAt(fill);
  const dots = useMemo(() => specks(pieceShare, cakeWidthM, fill), [pieceShare, cakeWidthM, fill]);
  const spot = useMemo(
    () => (frames && coldSpot ? placeAt(frames, timeS, coldSpot) : undefined),
    [frames, coldSpot, timeS],
  );
  const units = useUnits();
  const degrees = useDegrees();
  const spotX = coldSpot ? cx + (coldSpot.xM > 0.01 ? coldSpot.xM * scale : 0) : cx;
  const over = depthM > vessel.heightM;
  const text = inUnits(
    `${vessel.name} cut through the middle, ${sayMm(2 * rim)} across and ${sayMm(vessel.heightM)} high, batter ${sayMm(depthM)} deep${over ? ', running over the rim' : ''}${foil ? ', foil over the pan' : ''}.${spot ? ` After ${sayDuration(timeS)} the cold spot is at ${sayC(spot.tempC)} and ${Math.round(spot.gel * 100)} percent set.` : ''}`,
    units,
  );
  return (
    <figure style={{ margin: 0 }}>
      <svg viewBox={`0 0 ${W} ${H}`} width="100%" role="img" aria-label={text} style={{ display: 'block' }}>
        <defs>
          <clipPath id={clip}>
            <path d={filled} />
          </clipPath>
        </defs>
        {surroundings === 'steam' ? (
          <SteamCurls cx={cx} half={rim * scale} foil={foil} top={y(vessel.heightM)} base={baseY} />
        ) : null}
        {fill > 0 ? (
          <g clipPath={`url(#${clip})`}>
            {layers ? null : <path d={filled} fill="var(--milk)" />}
            {frames ? (
              <foreignObject x={cx - half} y={y(fill)} width={2 * half} height={Math.max(1, fill * scale)}>
                <HeatCanvas frames={frames} timeS={timeS} show={show} fromC={coldest} toC={100} />
              </foreignObject>
            ) : null}
            {layers
              ? layerBands(
                  layers.filter((l) => l.fromS <= timeS),
                  cx,
                  half,
                  y,
                )
              : null}
            {dots.map(([x, z, r], i) => (
              <ellipse
                key={i}
                cx={cx + x * scale}
                cy={y(z)}
                rx={r * scale * 1.6}
                ry={r * scale * 0.8}
                fill="var(--speck)"
                opacity="0.55"
              />
            ))}
            {lines.map((l) => (
              <path
                key={l.level}
                d={l.path}
                fill="none"
                stroke={show === 'set' ? 'var(--mui-palette-success-main)' : 'var(--mui-palette-primary-main)'}
                strokeWidth={show === 'set' ? 2 : 1}
                strokeDasharray={show === 'set' ? undefined : '4 3'}
                opacity="0.8"
              />
            ))}
          </g>
        ) : null}
        {show === 'heat'
          ? lines.map((l) =>
              l.label ? (
                <text
                  key={`t${l.level}`}
                  x={l.label[0]}
                  y={l.label[1] + 4}
                  fontSize="11"
                  textAnchor="middle"
                  fill="#232C66"
                  stroke="#fff"
                  strokeWidth="3"
                  paintOrder="stroke"
                >
                  {degrees(l.level)}°
                </text>
              ) : null,
            )
          : null}
        <path
          d={upTo(vessel.heightM)}
          fill="none"
          stroke="var(--pan)"
          strokeWidth={vessel.material === 'ceramic' || vessel.material === 'glass' ? 6 : 3}
          strokeLinejoin="round"
        />
        {foil ? (
          <path
            d={`M${cx - rim * scale - 8},${y(vessel.heightM) + 6} q6,-12 14,-9 H${cx + rim * scale - 6} q8,-3 14,9`}
            fill="none"
            stroke="var(--pan)"
            strokeWidth="1.5"
            strokeDasharray="8 2"
          />
        ) : null}
        {surroundings === 'steam' ? (
          <path
            d={`M${cx - rim * scale - 34},${baseY + 8} H${cx + rim * scale + 34}`}
            stroke="var(--mui-palette-text-secondary)"
            strokeWidth="1.5"
            strokeDasharray="10 6"
          />
        ) : (
          <path
            d={`M${cx - rim * scale - 34},${baseY + 4} H${cx + rim * scale + 34}`}
            stroke="var(--mui-palette-text-secondary)"
            strokeWidth="1"
          />
        )}
        {coldSpot && fill > 0 ? (
          <g>
            <path
              d={`M${spotX - 6},${y(coldSpot.zM)}h12M${spotX},${y(coldSpot.zM) - 6}v12`}
              stroke="#B3381E"
              strokeWidth="2"
            />
            {spot ? (
              <text x={spotX} y={baseY + 26} fontSize="12.5" textAnchor="middle" fill="var(--mui-palette-text-primary)">
                cold spot {degrees(spot.tempC)} °{units.temp}, {Math.round(spot.gel * 100)} % set
              </text>
            ) : null}
            <path
              d={`M${spotX},${y(coldSpot.zM) + 8} V${baseY + 13}`}
              stroke="var(--mui-palette-error-main)"
              strokeWidth="1"
              strokeDasharray="2 3"
            />
          </g>
        ) : null}
        {props.pick && fill > 0 ? (
          <g aria-hidden>
            <path
              d={`M${spotX},${y(vessel.heightM) - 22} V${y(coldSpot?.zM ?? 0) - 9}`}
              stroke="var(--mui-palette-error-main)"
              strokeWidth="4"
            />
            <path d={`M${spotX - 7},${y(coldSpot?.zM ?? 0) - 12} h14 l-7,12z`} fill="var(--mui-palette-error-main)" />
            <text
              x={spotX + 14}
              y={y(vessel.heightM) - 10}
              fontSize="17"
              fontWeight="600"
              fill="var(--mui-palette-text-primary)"
            >
              here
            </text>
          </g>
        ) : null}
        <Measure x={cx + rim * scale + 14} from={y(fill)} to={baseY} words={inUnits(sayMm(depthM), units)} />
        <text x={cx} y={H - 6} fontSize="12" textAnchor="middle" fill="var(--mui-palette-text-secondary)">
          {inUnits(`${vessel.name}, ${sayMm(2 * rim)} across, to scale${props.risen ? ', as risen' : ''}`, units)}
        </text>
        {over ? (
          <text
            x={cx}
            y={y(vessel.heightM) - 10}
            fontSize="13"
            fontWeight="600"
            textAnchor="middle"
            fill="var(--mui-palette-error-main)"
          >
            {inUnits(`${props.risen ? 'rises' : 'runs'} over by ${sayMm(depthM - vessel.heightM)}`, units)}
          </text>
        ) : null}
      </svg>
    </figure>
  );
}

function Measure({ x, from, to, words }: { x: number; from: number; to: number; words: string }) {
  return (
    <g stroke="var(--mui-palette-text-primary)" strokeWidth="1" aria-hidden>
      <path d={`M${x - 4},${from}h8M${x - 4},${to}h8M${x},${from}V${to}`} fill="none" />
      <text
        x={x + 7}
        y={(from + to) / 2 + 5}
        fontSize="14"
        fontWeight="600"
        stroke="none"
        fill="var(--mui-palette-text-primary)"
      >
        {words}
      </text>
    </g>
  );
}

function SteamCurls({
  cx,
  half,
  foil,
  top,
  base,
}: {
  cx: number;
  half: number;
  foil: boolean;
  top: number;
  base: number;
}) {
  const curl = (x: number, y: number) => `M${x},${y}c-6,-7 6,-11 0,-18s6,-11 0,-17`;
  const sides = [-1, 1].flatMap((s) => [0, 1].map((i) => curl(cx + s * (half + 22 + 12 * i), base - 26 - 26 * i)));
  const above = foil ? [] : [-0.5, 0, 0.5].map((u) => curl(cx + u * half, top - 6));
  return (
    <path
      aria-hidden
      d={[...sides, ...above].join('')}
      fill="none"
      stroke="var(--mui-palette-secondary-main)"
      strokeWidth="1.3"
      opacity="0.55"
      strokeLinecap="round"
    />
  );
}
