import type { coverIn } from '@/core/forecast';
import { drawn, path } from '../kit/scales';
import type { SittingFrame } from './sittingFrame';

/** The pot with its water, the tiers over it and what lies on top. */
export function Steamer({ frame: f, cover }: { frame: SittingFrame; cover: ReturnType<typeof coverIn> }) {
  const { cx, lid, pot } = f;
  return (
    <g fill="none" stroke="var(--ink)" strokeWidth="1.5" strokeLinejoin="round">
      <rect
        x={drawn(cx - pot.half)}
        y={drawn(f.waterY)}
        width={drawn(2 * pot.half)}
        height={drawn(Math.max(0, pot.base - f.waterY))}
        fill="var(--water)"
        stroke="none"
      />
      <path d={path`M${cx - pot.half},${f.waterY}H${cx + pot.half}`} stroke="var(--steam)" strokeDasharray="3 3" />
      <path d={path`M${cx - pot.half},${pot.top}V${pot.base - 6}q0,6 6,6H${cx + pot.half - 6}q6,0 6,-6V${pot.top}`} />
      {f.tiers.map((t) => (
        <g key={t.top}>
          <path d={path`M${cx - t.half},${t.top}V${t.floor}M${cx + t.half},${t.top}V${t.floor}`} />
          <path d={path`M${cx - t.half},${t.floor}H${cx + t.half}`} strokeDasharray="8 5" />
        </g>
      ))}
      {cover.lid === 'loose' ? (
        <path d={path`M${cx - lid.half - 6},${lid.y - 8}q${lid.half},${-2 * lid.rise} ${2 * lid.half + 12},4`} />
      ) : (
        <path
          d={path`M${cx - lid.half - 6},${lid.y}H${cx + lid.half + 6}M${cx - lid.half},${lid.y}q${lid.half},${-2 * lid.rise} ${2 * lid.half},0`}
          strokeDasharray={cover.lid === 'woven' ? '6 2' : undefined}
        />
      )}
      {cover.lid === 'cloth' ? (
        <path
          d={path`M${cx - lid.half - 12},${lid.y + 5}q4,-6 12,-4q${lid.half},${-1.5 * lid.rise} ${2 * lid.half},0q8,-2 12,4`}
          stroke="var(--speck)"
          strokeWidth="3"
          opacity="0.75"
        />
      ) : null}
    </g>
  );
}

/** Pans standing in it, filled as high as they are. */
export const Pans = ({ frame: f, cover }: { frame: SittingFrame; cover: ReturnType<typeof coverIn> }) => (
  <>
    {f.pans.map((p) => (
      <g key={p.x}>
        <rect
          x={drawn(p.x - p.half)}
          y={drawn(p.fillTop)}
          width={drawn(2 * p.half)}
          height={drawn(Math.max(0.5, f.pot.top - 3 - p.fillTop))}
          fill="var(--steam)"
          opacity="0.5"
        />
        <path
          d={path`M${p.x - p.half},${p.top}V${f.pot.top - 3}H${p.x + p.half}V${p.top}`}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="1.6"
        />
        {cover.foil ? (
          <path
            d={path`M${p.x - p.half - 3},${p.top - 2}H${p.x + p.half + 3}`}
            stroke="var(--pan)"
            strokeWidth="2"
            strokeDasharray="6 2"
          />
        ) : null}
      </g>
    ))}
  </>
);
