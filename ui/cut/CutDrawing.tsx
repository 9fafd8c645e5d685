import type { CutPlan } from '@/core/cut';

const path = (points: readonly (readonly [number, number])[], s: number, cx: number, cy: number) => points.map(([x, y]) => `${(cx + x * s).toFixed(1)},${(cy - y * s).toFixed(1)}`).join(' ');

/** The cake from above with the cut lines; offcuts are hatched. */
export function CutDrawing({ cut, label }: { cut: CutPlan; label: string }) {
  const span = Math.max(...cut.outline.map(([x, y]) => Math.max(Math.abs(x), Math.abs(y)))) * 2;
  const s = 230 / span;
  return (
    <svg viewBox="0 0 640 268" width="100%" role="img" aria-label={`${label}: ${cut.count} pieces of about ${Math.round(cut.gramsAPiece)} grams, ${cut.offcutPct.toFixed(0)} percent offcuts.`} style={{ display: 'block' }}>
      <defs><pattern id="offcut" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"><path d="M0 0V6" stroke="var(--mui-palette-warning-main)" strokeWidth="1.4" /></pattern></defs>
      <polygon points={path(cut.outline, s, 320, 132)} fill="var(--milk)" stroke="var(--pan)" strokeWidth="4" />
      {cut.pieces.map((p, i) => <polygon key={i} points={path(p.polygon, s, 320, 132)} fill={p.offcut ? 'url(#offcut)' : 'transparent'} stroke="#3F4FA8" strokeWidth="1.4" />)}
      <text x="320" y="264" fontSize="12" textAnchor="middle" fill="var(--mui-palette-text-secondary)">{label}, from above, to scale</text>
    </svg>
  );
}
