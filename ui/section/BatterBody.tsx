'use client';
import { there } from '@/core/units';
import { later } from '../kit/later';
import { useId, useMemo } from 'react';
import type { Vessel } from '@/core/kitchen';
import type { FieldFrames } from '@/core/model/steam';
import { vesselShape } from '@/core/model/vessel';
import { drawn, path } from '../kit/scales';
import { HeatCanvas } from './HeatCanvas';
import { layerBands } from './layerBands';
import { sectionPath } from './sectionPath';
import { specks } from './specks';
import { SpeckMarks } from './SpeckMarks';
import type { SectionFrame } from './sectionFrame';

/** Drawn once there is heat, so fetched then. */
const HeatLines = later(() => import('./HeatLines'), { quiet: true });
/** Of a wall that is thick, and of sheet metal, drawing units. */
const WALL = { thick: 6, thin: 3 } as const;

export interface BatterBodyProps {
  readonly vessel: Vessel;
  readonly depthM: number;
  readonly frame: SectionFrame;
  readonly frames?: FieldFrames | undefined;
  readonly timeS: number;
  readonly show: 'heat' | 'set';
  /** The coldest temperature of the shading, °C. */
  readonly fromC: number;
  readonly pieceShare: number;
  readonly colour?: string | undefined;
  readonly layers?: readonly { readonly colour: string; readonly toM: number; readonly fromS: number }[] | undefined;
  /** How many degrees an isoline's number says. */
  readonly degrees: (tempC: number) => number;
  /** Without numbers on its lines: small. */
  readonly small?: boolean;
}

/** A vessel cut through the middle with the batter in it: heat, layers, pieces, wall. */
export function BatterBody(props: BatterBodyProps) {
  const { vessel, depthM, frame, frames, timeS, show, layers, pieceShare } = props;
  const { cx, baseY, scale, x, y } = frame;
  const clip = useId();
  const shape = vesselShape(vessel);
  const fill = Math.min(depthM, vessel.heightM);
  const upTo = (toM: number) => sectionPath((z) => shape.halfWidthAt(z), toM, x, y);
  const filled = `${upTo(fill)}Z`;
  const half = (frames?.halfWidthM ?? shape.halfWidthAt(fill)) * scale;
  const cakeWidthM = 2 * shape.halfWidthAt(fill);
  const dots = useMemo(() => specks(pieceShare, cakeWidthM, fill), [pieceShare, cakeWidthM, fill]);
  const wall = vessel.material === 'ceramic' || vessel.material === 'glass' ? WALL.thick : WALL.thin;
  return (
    <g>
      <defs>
        <clipPath id={clip}>
          <path d={filled} />
        </clipPath>
      </defs>
      {fill > 0 ? (
        <g clipPath={`url(#${clip})`}>
          {layers ? null : (
            <rect y={drawn(y(fill))} width={frame.width} height={frame.height} fill={props.colour ?? 'var(--milk)'} />
          )}
          {frames ? (
            <foreignObject x={cx - half} y={y(fill)} width={2 * half} height={Math.max(1, fill * scale)}>
              <HeatCanvas frames={frames} timeS={timeS} show={show} fromC={props.fromC} toC={100} />
            </foreignObject>
          ) : null}
          <path d={path`M0,${y(fill)}H${frame.width}`} stroke="var(--soft)" strokeWidth="1.5" />
          {layers
            ? layerBands(
                layers.filter((l) => l.fromS <= timeS),
                cx,
                half,
                y,
              )
            : null}
          <SpeckMarks specks={dots} x={(dx) => cx + dx * scale} y={y} scale={scale} />
        </g>
      ) : null}
      {frames && fill > 0 && !props.small ? (
        <HeatLines
          frames={frames}
          timeS={timeS}
          show={show}
          cx={cx}
          baseY={baseY}
          half={half}
          high={fill * scale}
          clip={`url(#${clip})`}
          degrees={props.degrees}
        />
      ) : null}
      <path d={upTo(vessel.heightM)} fill="none" stroke="var(--pan)" strokeWidth={wall} strokeLinejoin="round" />
    </g>
  );
}

/** The coldest shade of a cake in the steam: its start, to whole tens. */
export const coldestOf = (frames: FieldFrames | undefined): number =>
  frames ? Math.floor(there(frames.tempC[0]).reduce((a, b) => (b < a ? b : a), 100) / 10) * 10 : 0;
