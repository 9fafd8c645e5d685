import type { CutPlan } from '@/core/cut';

const path = (points: readonly (readonly [number, number])[], s: number, cx: number, cy: number) =>
  points.map(([x, y]) => `${(cx + x * s).toFixed(1)},${(cy - y * s).toFixed(1)}`).join(' ');

/** Narrower than this is not asked for by dragging, m. */
const LEAST_M = 0.008;

/** The cake from above with the cut lines; offcuts are hatched. Dragging sideways sets the width of a piece; the fields beside it do the same by keys. */
export function CutDrawing({ cut, label, onSize }: { cut: CutPlan; label: string; onSize: (sizeM: number) => void }) {
  const span = Math.max(...cut.outline.map(([x, y]) => Math.max(Math.abs(x), Math.abs(y)))) * 2;
  const s = 230 / span;
  const left = Math.min(...cut.outline.map(([x]) => x));
  const drag = (e: React.PointerEvent<SVGSVGElement>) => {
    const box = e.currentTarget.getBoundingClientRect();
    const x = (((e.clientX - box.left) / box.width) * 640 - 320) / s;
    const size = Math.round((x - left) * 1000) / 1000;
    if (size >= LEAST_M && size <= span) onSize(size);
  };
  return (
    <svg
      viewBox="0 0 640 268"
      width="100%"
      role="img"
      aria-label={`${label}: ${cut.count} pieces of about ${Math.round(cut.gramsAPiece)} grams, ${cut.offcutPct.toFixed(0)} percent offcuts.`}
      style={{ display: 'block', touchAction: 'none', cursor: 'ew-resize' }}
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        drag(e);
      }}
      onPointerMove={(e) => {
        if (e.buttons === 1) drag(e);
      }}
    >
      <defs>
        <pattern id="offcut" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0V6" stroke="var(--mui-palette-warning-main)" strokeWidth="1.4" />
        </pattern>
      </defs>
      <polygon points={path(cut.outline, s, 320, 132)} fill="var(--milk)" stroke="var(--pan)" strokeWidth="4" />
      {cut.pieces.map((p, i) => (
        <polygon
          key={i}
          points={path(p.polygon, s, 320, 132)}
          fill={p.offcut ? 'url(#offcut)' : 'transparent'}
          stroke="#3F4FA8"
          strokeWidth="1.4"
        />
      ))}
      <text x="320" y="264" fontSize="12" textAnchor="middle" fill="var(--mui-palette-text-secondary)">
        {label}, from above, to scale; drag sideways to set a piece&apos;s width
      </text>
    </svg>
  );
}
