/** Layers in their colours, from the base up, as thin translucent bands with a line on top. */
export function layerBands(
  layers: readonly { readonly colour: string; readonly toM: number }[],
  cx: number,
  half: number,
  y: (z: number) => number,
) {
  return layers.map((l, i) => {
    const from = i === 0 ? 0 : there(layers[i - 1]).toM;
    return (
      <g key={i}>
        <rect
          x={cx - half}
          width={2 * half}
          y={y(l.toM)}
          height={Math.max(0.5, y(from) - y(l.toM))}
          fill={l.colour}
          opacity="0.45"
        />
        <path d={`M${cx - half},${y(l.toM)}H${cx + half}`} stroke="var(--soft)" strokeWidth="0.6" />
      </g>
    );
  });
}
import { there } from '@/core/units';
