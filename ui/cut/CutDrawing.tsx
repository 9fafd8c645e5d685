import { useRef } from 'react';
import type { CutPlan } from '@/core/model/cut';
import { inUnits } from '@/core/units';
import { useUnits } from '../kit';
import { gripOf } from './grip';
import { linear, pathOf } from '../kit/scales';
import { GRIP, keyStep, useHandle } from '../kit/useHandle';

/** Over the cake, and under it for its words, drawing units. */
const HEAD = 16;
const FOOT = 28;

/** Under this width there is no room for the cake's name. */
const NARROW = 480;

/** Narrower than this is not asked for by dragging, and one press of an arrow key, m. */
const LEAST_M = 0.008;
const STEP_M = 0.001;

/** The cake from above with the cut lines; offcuts are hatched. The grip on a cut sets the width of a piece; the fields beside it do too. */
export function CutDrawing({
  cut,
  label,
  onSize,
  width: W = 640,
  most: MOST = 224,
}: {
  cut: CutPlan;
  label: string;
  /** Absent where the pieces have no width to set. */
  onSize: ((sizeM: number) => void) | undefined;
  /** Room for it, and the most of its side, drawing units. */
  width?: number;
  most?: number;
}) {
  const units = useUnits();
  const H = MOST + HEAD + FOOT;
  const MIDDLE = [W / 2, HEAD + MOST / 2] as const;
  const svg = useRef<SVGSVGElement>(null);
  const span = Math.max(...cut.outline.map(([x, y]) => Math.max(Math.abs(x), Math.abs(y)))) * 2;
  const x = linear([0, span], [MIDDLE[0], MIDDLE[0] + MOST]);
  const y = linear([0, span], [MIDDLE[1], MIDDLE[1] - MOST]);
  const shape = (points: readonly (readonly [number, number])[]) =>
    `${pathOf(points.map(([px, py]) => [x(px), y(py)] as const))}Z`;
  const grip = gripOf(cut);
  const size = cut.pitchM[0];
  const take = (sizeM: number) => {
    const whole = Math.round(sizeM / STEP_M) * STEP_M;
    return onSize && whole >= LEAST_M && whole <= span ? () => onSize(whole) : undefined;
  };
  const handle = useHandle(
    (clientX, _, { sizeAt }) => {
      const box = svg.current?.getBoundingClientRect();
      return box && take(sizeAt(x.invert(((clientX - box.left) / box.width) * W)));
    },
    () => grip,
  );
  const at = x(grip.atM);
  return (
    <svg
      ref={svg}
      viewBox={`0 0 ${W} ${H}`}
      width="100%"
      role="group"
      aria-label={`${label}: ${cut.count} pieces of about ${Math.round(cut.gramsAPiece)} grams, ${cut.offcutPct.toFixed(0)} percent offcuts.`}
      style={{ display: 'block' }}
    >
      <defs>
        <pattern id="offcut" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0V6" stroke="var(--watch)" strokeWidth="1.4" />
        </pattern>
      </defs>
      <path d={shape(cut.outline)} fill="var(--milk)" stroke="var(--pan)" strokeWidth="4" />
      {cut.pieces.map((p, i) => (
        <path
          key={i}
          d={shape(p.polygon)}
          fill={p.offcut ? 'url(#offcut)' : 'transparent'}
          stroke="#3F4FA8"
          strokeWidth="1.4"
        />
      ))}
      {onSize && size > 0 && size <= span ? (
        <g
          {...handle()}
          tabIndex={0}
          role="slider"
          aria-label="Width of a piece: arrow keys change it"
          aria-valuemin={Math.round(LEAST_M * 1000)}
          aria-valuemax={Math.round(span * 1000)}
          aria-valuenow={Math.round(size * 1000)}
          aria-valuetext={inUnits(`${Math.round(size * 1000)} mm`, units)}
          onKeyDown={(e) => keyStep(e, { ArrowRight: STEP_M, ArrowLeft: -STEP_M }, (by) => take(size + by)?.())}
          className={GRIP.leftRight}
        >
          <rect x={at - 22} y={MIDDLE[1] - 28} width="44" height="56" fill="transparent" />
          <path d={`M${at},8V${H - 22}`} stroke="var(--accent)" strokeWidth="2" />
          <path
            d={`M${at - 9},${MIDDLE[1]}l9,-11l9,11l-9,11z`}
            fill="var(--paper)"
            stroke="var(--accent)"
            strokeWidth="2.5"
          />
        </g>
      ) : null}
      <text x={MIDDLE[0]} y={H - 4} fontSize="12" textAnchor="middle" fill="var(--soft)">
        {W < NARROW ? '' : `${label}, `}from above, to scale
        {onSize ? `; take hold of the grip${W < NARROW ? '' : ' to set a piece’s width'}` : ''}
      </text>
    </svg>
  );
}
