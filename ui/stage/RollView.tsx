import { inUnits, sayGrams, sayMm } from '@/core/units';
import { useUnits } from '../kit';
import { linesFor } from '../section/lines';
import { sayScale } from '../section/sectionFrame';
import { Words } from '../section/Words';
import { NARROW } from './narrow';
import { spiral, type Roll } from './roll';

/** A sheet rolled up: the sheet as it lies with its filling, and the roll in section, enlarged. */
export function RollView({
  words,
  width,
  acrossM,
  thickM,
  fillingG,
  roll,
}: {
  words: string;
  width: number;
  acrossM: number;
  thickM: number;
  fillingG: number;
  roll: Roll;
}) {
  const units = useUnits();
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
      <g stroke="var(--ink)" fill="none">
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
            ([px, py], i) => `${i === 0 ? 'M' : 'L'}${(rx + px * rScale).toFixed(1)},${(ry + py * rScale).toFixed(1)}`,
          )
          .join('')}
        fill="none"
        stroke="var(--steam)"
        strokeWidth={Math.max(1.5, thickM * rScale * 0.72)}
        opacity="0.75"
      />
      <text x={left} y={boardY + 36} fontSize="13" fill="var(--soft)">
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
