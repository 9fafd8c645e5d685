'use client';
import { useMemo, type ReactNode } from 'react';
import { useDegrees, useUnits } from '../kit';
import { inUnits, sayC, sayDuration, sayMm } from '@/core/units';
import type { Vessel } from '@/core/kitchen';
import type { FieldFrames } from '@/core/model/steam';
import { vesselShape } from '@/core/model/vessel';
import { BatterBody, coldestOf } from './BatterBody';
import { placeAt } from './fieldImage';
import { sayScale, sectionFrame, type SectionFrame } from './sectionFrame';

export interface SectionProps {
  readonly vessel: Vessel;
  readonly depthM: number;
  /** Drawn as risen. */
  readonly risen?: boolean;
  readonly frames?: FieldFrames | undefined;
  readonly timeS: number;
  readonly show: 'heat' | 'set';
  readonly coldSpot?: { readonly xM: number; readonly zM: number } | undefined;
  /** Shows where a pick goes: to the coldest place, else to the bottom in the middle. */
  readonly pick?: boolean;
  readonly foil: boolean;
  /** Share of the volume that is pieces, 0–1. */
  readonly pieceShare: number;
  readonly surroundings: 'steam' | 'cooling' | 'ice' | 'cold';
  readonly layers?: readonly { readonly colour: string; readonly toM: number; readonly fromS: number }[] | undefined;
  readonly colour?: string;
  /** Room for it, drawing units. */
  readonly width?: number;
  readonly mostY?: number;
  /** Its name and scale are told beside it. */
  readonly bare?: boolean;
  /** What can be taken hold of, drawn over it. */
  readonly handles?: (frame: SectionFrame) => ReactNode;
}

const SIDE = 96;
const HEAD_Y = 40;
/** Under this width it is drawn for a phone, and needs less over it. */
const NARROW = 480;
const NARROW_HEAD_Y = 26;
const FOOT_Y = 62;
const BARE_Y = 34;
/** Room beside the pan for its measure. */
const BESIDE = 72;
/** Least of the drawing's height that the vessel and what is over it take. */
const LEAST_Y = 84;

/** The cake in section: the vessel cut through the middle, to scale, with the batter at its true depth and the heat coming in. */
export function SectionDrawing(props: SectionProps) {
  const { vessel, depthM, frames, timeS, show, coldSpot, foil, surroundings, width = 640, mostY = 170 } = props;
  const shape = vesselShape(vessel);
  const rim = shape.halfWidthAt(vessel.heightM);
  const narrow = width < NARROW;
  const frame = useMemo(
    () =>
      sectionFrame(vessel, Math.max(vessel.heightM, depthM), {
        width,
        mostY,
        side: narrow ? 80 : SIDE,
        head: narrow ? NARROW_HEAD_Y : HEAD_Y,
        foot: props.bare ? BARE_Y : FOOT_Y,
        leastY: narrow ? 0 : LEAST_Y,
      }),
    [vessel, depthM, width, narrow, mostY, props.bare],
  );
  const { cx, baseY, scale, y } = frame;
  const fill = Math.min(depthM, vessel.heightM);
  const steaming = surroundings === 'steam';
  const coldest = useMemo(() => (steaming ? coldestOf(frames) : 0), [frames, steaming]);
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
      <svg
        viewBox={`0 0 ${width} ${frame.height}`}
        width="100%"
        role={props.handles ? 'group' : 'img'}
        aria-label={text}
        data-part="section"
        style={{ display: 'block' }}
      >
        {steaming ? <SteamCurls cx={cx} half={rim * scale} foil={foil} top={y(vessel.heightM)} base={baseY} /> : null}
        {surroundings === 'ice' ? (
          <IceWater cx={cx} half={rim * scale} top={y(0.7 * vessel.heightM)} base={baseY} />
        ) : null}
        <BatterBody
          vessel={vessel}
          depthM={depthM}
          frame={frame}
          frames={frames}
          timeS={timeS}
          show={show}
          fromC={coldest}
          pieceShare={props.pieceShare}
          layers={props.layers}
          colour={props.colour}
          degrees={degrees}
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
        <path
          d={`M${cx - rim * scale - 34},${baseY + (steaming ? 8 : 4)} H${cx + rim * scale + 34}`}
          stroke="var(--soft)"
          strokeWidth={steaming ? 1.5 : 1}
          strokeDasharray={steaming ? '10 6' : surroundings === 'cold' ? '2 4' : undefined}
        />
        {coldSpot && spot && fill > 0 ? (
          <g>
            <path
              d={`M${spotX - 6},${y(coldSpot.zM)}h12M${spotX},${y(coldSpot.zM) - 6}v12`}
              stroke="#B3381E"
              strokeWidth="2"
            />
            <text x={spotX} y={baseY + 26} fontSize="13" textAnchor="middle" fill="var(--ink)">
              cold spot {degrees(spot.tempC)} °{units.temp}, {Math.round(spot.gel * 100)} % set
            </text>
            <path
              d={`M${spotX},${y(coldSpot.zM) + 8} V${baseY + 13}`}
              stroke="var(--bad)"
              strokeWidth="1"
              strokeDasharray="2 3"
            />
          </g>
        ) : null}
        {props.pick && fill > 0 ? (
          <g aria-hidden>
            <path
              d={`M${spotX},${y(vessel.heightM) - 22} V${y(coldSpot?.zM ?? 0) - 9}`}
              stroke="var(--bad)"
              strokeWidth="4"
            />
            <path d={`M${spotX - 7},${y(coldSpot?.zM ?? 0) - 12} h14 l-7,12z`} fill="var(--bad)" />
            <text x={spotX + 14} y={y(vessel.heightM) - 10} fontSize="17" fontWeight="600" fill="var(--ink)">
              here
            </text>
          </g>
        ) : null}
        <Measure x={cx + rim * scale + 14} from={y(fill)} to={baseY} words={inUnits(sayMm(depthM), units)} />
        {props.bare ? null : (
          <text x={cx} y={frame.height - 6} fontSize="12" textAnchor="middle" fill="var(--soft)">
            {inUnits(
              `${vessel.name.length > 44 ? `${vessel.name.slice(0, 42)}…` : vessel.name}, ${sayMm(2 * rim)} across, to scale ${sayScale(scale)}${props.risen ? ', as risen' : ''}`,
              units,
            )}
          </text>
        )}
        {over ? (
          <text x={cx} y={y(depthM) - 10} fontSize="13" fontWeight="600" textAnchor="middle" fill="var(--bad)">
            {inUnits(`${props.risen ? 'rises' : 'runs'} over by ${sayMm(depthM - vessel.heightM)}`, units)}
          </text>
        ) : null}
        {props.handles?.(frame)}
      </svg>
    </figure>
  );
}

/** Cold water with ice round the pan. */
function IceWater({ cx, half, top, base }: { cx: number; half: number; top: number; base: number }) {
  const out = half + 46;
  const cube = (x: number, y: number) => `M${x},${y}l9,-3l4,8l-9,4z`;
  return (
    <g aria-hidden>
      <path
        d={`M${cx - out},${top - 10}V${base + 3}H${cx + out}V${top - 10}`}
        fill="none"
        stroke="var(--pan)"
        strokeWidth="2"
      />
      <rect x={cx - out + 1} y={top} width={2 * out - 2} height={Math.max(0, base + 2 - top)} fill="var(--water)" />
      <path
        d={[-1, 1]
          .map((s) => cube(cx + s * (half + 22) - 6, top + 2) + cube(cx + s * (half + 30) - 6, top + 16))
          .join('')}
        fill="var(--paper)"
        stroke="var(--steam)"
      />
    </g>
  );
}

function Measure({ x, from, to, words }: { x: number; from: number; to: number; words: string }) {
  return (
    <g stroke="var(--ink)" strokeWidth="1" aria-hidden>
      <path d={`M${x - 4},${from}h8M${x - 4},${to}h8M${x},${from}V${to}`} fill="none" />
      {/* On paper of its own: it may stand over the water of a bath. */}
      <text
        x={x + 7}
        y={(from + to) / 2 + 5}
        fontSize="14"
        fontWeight="600"
        stroke="var(--paper)"
        strokeWidth="4"
        paintOrder="stroke"
        fill="var(--ink)"
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
  const sides = [-1, 1].flatMap((s) =>
    [0, 1].map((i) => curl(cx + s * (half + (s > 0 ? BESIDE : 22) + 12 * i), base - 26 - 26 * i)),
  );
  const above = foil ? [] : [-0.5, 0, 0.5].map((u) => curl(cx + u * half, top - 6));
  return (
    <path
      aria-hidden
      d={[...sides, ...above].join('')}
      fill="none"
      stroke="var(--steam)"
      strokeWidth="1.3"
      opacity="0.55"
      strokeLinecap="round"
    />
  );
}
