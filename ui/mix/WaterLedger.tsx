'use client';
import type { LedgerRow, WaterRoute } from '@/core/flow';
import { readingAt, withReading, type Plan } from '@/core/plan';
import { sayGrams } from '@/core/units';
import { Column, Fact, NumberField, Row, Title, Told } from '../kit';
import look from '../kit/rows.module.css';
import type { StationProps } from '../plan/StationProps';

const FILLS: Readonly<Record<WaterRoute, string>> = {
  water: '#8FA3DD',
  'top-up': '#B9C6EE',
  coconut: '#EFE6D2',
  juice: '#BFE0C9',
  soaking: '#D9CDB8',
  syrup: '#E8C98B',
  'wet add-in': '#CFE5DB',
  egg: '#F3DE9B',
  'drawn away': 'none',
  'poured away': 'none',
};
/** Rows under this are in the sum but not worth a line, g. */
const WORTH_A_ROW = 0.5;

/** Water from everywhere, and the salt beside it: bars and tables, each estimate replaceable by a weighing. */
export function WaterLedger({ plan, forecast, edit }: StationProps) {
  const { balance } = forecast.light;
  const inRows = balance.ledger.filter((r) => r.waterG > 0);
  const sum = inRows.reduce((s, r) => s + r.waterG, 0);
  const { salt } = balance;
  const bars = inRows.map((r, i) => ({ r, from: inRows.slice(0, i).reduce((s, q) => s + q.waterG, 0) }));
  return (
    <Column>
      <Title>
        Water, <Told>{sayGrams(sum)}</Told> in all
      </Title>
      <svg
        viewBox="0 0 600 34"
        width="100%"
        height="34"
        preserveAspectRatio="none"
        role="img"
        aria-label={`Water by route: ${inRows.map((r) => `${r.label} ${sayGrams(r.waterG)}`).join(', ')}.`}
      >
        {bars.map(({ r, from }, i) => (
          <rect
            key={i}
            x={(600 * from) / sum}
            y="2"
            width={Math.max(0, (600 * r.waterG) / sum - 1)}
            height="30"
            fill={FILLS[r.route]}
            stroke="var(--soft)"
            strokeWidth={r.source === 'default' && r.route !== 'top-up' ? 0.8 : 1.6}
            strokeDasharray={r.source === 'default' && r.route !== 'top-up' ? '4 3' : undefined}
            vectorEffect="non-scaling-stroke"
          />
        ))}
      </svg>
      <table aria-label="Water by route" className={look.table}>
        <thead>
          <tr>
            <th>Route</th>
            <th className={look.right}>water</th>
            <th>known by</th>
            <th className={look.right}>weighed</th>
          </tr>
        </thead>
        <tbody>
          {balance.ledger
            .filter((r) => Math.abs(r.waterG) >= WORTH_A_ROW || r.reading !== undefined)
            .map((r, i) => (
              <RouteRow key={i} row={r} plan={plan} edit={edit} />
            ))}
        </tbody>
      </table>
      <Title>Salt</Title>
      <Row>
        <Fact name="Added">{salt.addedG.toFixed(1)} g</Fact>
        <Fact name="In the ingredients">{salt.fromAddInsG.toFixed(1)} g</Fact>
        <Fact name="Drawn away">{salt.drawnAwayG.toFixed(1)} g</Fact>
        <Fact name="Left" note={`${salt.pctOfTotal.toFixed(2)} % of the cake`}>
          {salt.leftG.toFixed(1)} g
        </Fact>
      </Row>
    </Column>
  );
}

function RouteRow({ row, plan, edit }: { row: LedgerRow; plan: Plan; edit: StationProps['edit'] }) {
  const { reading } = row;
  const known = row.route === 'top-up' ? 'what is left to add' : row.source === 'measured' ? 'weighed' : 'estimated';
  return (
    <tr>
      <td>
        <span aria-hidden className={look.swatch} style={{ background: FILLS[row.route] }} />
        {row.label}
      </td>
      <td className={look.right}>
        <Told>{row.waterG < 0 ? `−${sayGrams(-row.waterG)}` : sayGrams(row.waterG)}</Told>
      </td>
      <td>{known}</td>
      <td className={look.right}>
        {reading ? (
          <NumberField
            as="bare"
            label={`Weighed: ${row.label}`}
            value={readingAt(plan, reading)}
            min={0}
            max={50000}
            unit="g"
            width={104}
            onChange={(g) => edit(`weigh.${reading.node}`, (p) => withReading(p, reading, g))}
            onClear={() => edit(`weigh.${reading.node}`, (p) => withReading(p, reading, undefined))}
          />
        ) : null}
      </td>
    </tr>
  );
}
