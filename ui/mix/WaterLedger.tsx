'use client';
import { Box, Stack, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import type { LedgerRow, WaterRoute } from '@/core/flow';
import { readingAt, withReading, type Plan } from '@/core/plan';
import { sayGrams } from '@/core/units';
import { Fact, NumberField, Told } from '../kit';
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
    <Stack spacing={1.25}>
      <Typography variant="h3" component="h3">
        Water, <Told>{sayGrams(sum)}</Told> in all
      </Typography>
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
      <Table size="small" aria-label="Water by route" sx={{ '& td, & th': { px: 0.75, py: 0.35 } }}>
        <TableHead>
          <TableRow>
            <TableCell>Route</TableCell>
            <TableCell align="right">water</TableCell>
            <TableCell>known by</TableCell>
            <TableCell align="right">weighed</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {balance.ledger
            .filter((r) => Math.abs(r.waterG) >= WORTH_A_ROW || r.reading !== undefined)
            .map((r, i) => (
              <Row key={i} row={r} plan={plan} edit={edit} />
            ))}
        </TableBody>
      </Table>
      <Typography variant="h3" component="h3">
        Salt
      </Typography>
      <Stack direction="row" spacing={2.5} useFlexGap sx={{ flexWrap: 'wrap' }}>
        <Fact name="Added">{salt.addedG.toFixed(1)} g</Fact>
        <Fact name="In the ingredients">{salt.fromAddInsG.toFixed(1)} g</Fact>
        <Fact name="Drawn away">{salt.drawnAwayG.toFixed(1)} g</Fact>
        <Fact name="Left" note={`${salt.pctOfTotal.toFixed(2)} % of the cake`}>
          {salt.leftG.toFixed(1)} g
        </Fact>
      </Stack>
    </Stack>
  );
}

function Row({ row, plan, edit }: { row: LedgerRow; plan: Plan; edit: StationProps['edit'] }) {
  const { reading } = row;
  const known = row.route === 'top-up' ? 'what is left to add' : row.source === 'measured' ? 'weighed' : 'estimated';
  return (
    <TableRow>
      <TableCell>
        <Box
          component="span"
          aria-hidden
          sx={{
            display: 'inline-block',
            width: 12,
            height: 12,
            mr: 1,
            bgcolor: FILLS[row.route],
            border: 1,
            borderColor: 'text.secondary',
          }}
        />
        {row.label}
      </TableCell>
      <TableCell align="right">
        <Told>{row.waterG < 0 ? `−${sayGrams(-row.waterG)}` : sayGrams(row.waterG)}</Told>
      </TableCell>
      <TableCell>{known}</TableCell>
      <TableCell align="right">
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
      </TableCell>
    </TableRow>
  );
}
