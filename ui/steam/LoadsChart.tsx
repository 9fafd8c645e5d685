import { linear } from '../kit/scales';
import type { LoadPart, Loads } from '@/core/model/steam';
import { plural, sayDuration } from '@/core/units';
import { Column, Fact, Row, Soft } from '../kit';
import look from '../kit/rows.module.css';

const FILL: Readonly<Record<LoadPart, string>> = {
  preheat: '#EAD9B5',
  fill: '#8FA3DD',
  steam: '#9FD3B4',
  lift: '#6E86C9',
  cool: '#DDE7E3',
  release: '#C9B8DC',
};
const ROW = 20;

/** Repeated loads drawn as bars: one row a load; the hands fill, lift and release, the steamer heats and steams, the counter cools. */
export function LoadsChart({
  loads,
  owned,
  makes,
  needed,
}: {
  loads: Loads;
  owned: number;
  makes: number;
  needed: number;
}) {
  const h = loads.loads * ROW + 24;
  const x = linear([0, loads.finishS], [44, 594]);
  const ticks = Array.from({ length: 5 }, (_, i) => (loads.finishS * i) / 4);
  return (
    <Column>
      <Row>
        <Fact name="Turns" note={loads.together > 1 ? `up to ${loads.together} each` : 'one each'}>
          {loads.loads}
        </Fact>
        <Fact name="All done in">{sayDuration(loads.finishS)}</Fact>
        <Fact
          name="Makes"
          note={
            needed > makes
              ? `${needed} are wanted: ${(needed / makes).toFixed(1)} batches of batter`
              : `${needed} are wanted`
          }
        >
          {makes}
        </Fact>
        <Fact name="An hour makes">{Math.round(loads.perHour)}</Fact>
        <Fact name="Hands at work">{sayDuration(loads.handsS)}</Fact>
        <Fact
          name="One more set saves"
          note={`${plural(owned, 'mould')} owned; ${plural(loads.setsToKeepBusy, 'set')} keep the steamer busy`}
        >
          {loads.oneMoreSetSavesS < 30 ? 'nothing' : sayDuration(loads.oneMoreSetSavesS)}
        </Fact>
      </Row>
      <svg
        viewBox={`0 0 610 ${h}`}
        width="100%"
        role="img"
        aria-label={`${loads.loads} turns, done in ${sayDuration(loads.finishS)}.`}
        style={{ display: 'block' }}
      >
        {loads.bars.map((b, i) => (
          <rect
            key={i}
            x={x(b.fromS)}
            width={Math.max(1, x(b.toS) - x(b.fromS))}
            y={b.load * ROW + 3}
            height={ROW - 6}
            fill={FILL[b.what]}
            stroke="var(--soft)"
            strokeWidth="0.8"
          >
            <title>{`${b.what} ${sayDuration(b.fromS)} to ${sayDuration(b.toS)}`}</title>
          </rect>
        ))}
        {Array.from({ length: loads.loads }, (_, i) => (
          <text key={i} x="36" y={i * ROW + 15} fontSize="12" textAnchor="end" fill="var(--soft)">
            {i + 1}
          </text>
        ))}
        {ticks.map((t, i) => (
          <text
            key={t}
            x={x(t)}
            y={h - 6}
            fontSize="11.5"
            textAnchor={i === 0 ? 'start' : i === 4 ? 'end' : 'middle'}
            fill="var(--soft)"
          >
            {i === 0 ? 'start' : sayDuration(t)}
          </text>
        ))}
      </svg>
      <ul className={look.keys}>
        {Object.entries(FILL).map(([what, colour]) => (
          <li key={what}>
            <span aria-hidden className={look.swatch} style={{ background: colour }} />
            {what}
          </li>
        ))}
      </ul>
      <Soft>One pair of hands; while the lid is off nothing steams. Moulds that are still warm are only reheated.</Soft>
    </Column>
  );
}
