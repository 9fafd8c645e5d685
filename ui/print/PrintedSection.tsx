'use client';
import { inUnits, sayMm } from '@/core/units';
import { vesselShape } from '@/core/model/vessel';
import { useUnits } from '../kit';
import { BatterBody } from '../section/BatterBody';
import { sectionFrame } from '../section/sectionFrame';
import type { Card } from '@/core/desk/card';

const WIDTH = 300;

/** The cake in section for paper: outline, depth, layers and pieces. */
export function PrintedSection({ card }: { card: Card }) {
  const units = useUnits();
  const { vessel, pieceShare, layers } = card.section;
  const frame = sectionFrame(vessel, Math.max(vessel.heightM, card.depthM), {
    width: WIDTH,
    mostY: 70,
    side: 64,
    head: 8,
    foot: 14,
  });
  const half = vesselShape(vessel).halfWidthAt(vessel.heightM) * frame.scale;
  const x = frame.cx + half + 8;
  const [top, base] = [frame.y(card.depthM), frame.baseY];
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${frame.height}`}
      width={WIDTH}
      role="img"
      aria-label={inUnits(`${card.vessel} cut through the middle, batter ${sayMm(card.depthM)} deep`, units)}
    >
      <BatterBody
        vessel={vessel}
        depthM={card.depthM}
        frame={frame}
        timeS={0}
        show="heat"
        fromC={0}
        pieceShare={pieceShare}
        layers={layers ?? undefined}
        degrees={(c) => c}
        small
      />
      <path d={`M${x - 4},${top}h8M${x - 4},${base}h8M${x},${top}V${base}`} stroke="var(--ink)" fill="none" />
      <text x={x + 6} y={(top + base) / 2 + 4} fontSize="12" fontWeight="600" fill="var(--ink)">
        {inUnits(sayMm(card.depthM), units)}
      </text>
    </svg>
  );
}
