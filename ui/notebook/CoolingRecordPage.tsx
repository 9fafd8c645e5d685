'use client';
import NextLink from 'next/link';
import { Button, Stack, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import { standing } from '@/core/work/notebook';
import { coolingRecord } from '@/core/work/stove';
import { sayC, sayDuration } from '@/core/units';
import type { StoredBatch } from '@/db';
import { LocalTime, Say, Told } from '../kit';

/** The record of a batch's cooling, to be printed and kept: when it came off the heat, and every temperature that was read since. */
export function CoolingRecordPage({ batch }: { batch: StoredBatch }) {
  const record = coolingRecord(standing(batch.events));
  return (
    <>
      <Stack direction="row" spacing={1} className="no-print" sx={{ mb: 1 }}>
        <Button component={NextLink} href={`/batches/${batch.id}`}>
          Back to the batch
        </Button>
        <Button variant="contained" onClick={() => window.print()}>
          Print
        </Button>
      </Stack>
      <Typography variant="h1" sx={{ overflowWrap: 'anywhere' }}>
        Cooling of {batch.name}
      </Typography>
      <Typography gutterBottom>
        Begun <LocalTime at={batch.startedAt} as="full" /> · {batch.snapshot.vesselName}
        {record ? (
          <>
            {' '}
            · off the heat <LocalTime at={record.outAt} as="moment" />
          </>
        ) : null}
      </Typography>
      {record === undefined ? (
        <Typography>
          It has not begun to cool: the record begins with the clean pick, or with the first cooling.
        </Typography>
      ) : (
        <>
          <Say tone={record.safe === false ? 'stop' : record.safe ? 'ready' : 'watch'}>{record.sentence}</Say>
          <Table size="small" aria-label="Temperatures" sx={{ maxWidth: 520, mt: 1 }}>
            <TableHead>
              <TableRow>
                <TableCell>At</TableCell>
                <TableCell>Since the heat</TableCell>
                <TableCell>Middle</TableCell>
                <TableCell>Read by</TableCell>
              </TableRow>
            </TableHead>
            <TableBody>
              {record.readings.map((r) => (
                <TableRow key={r.at}>
                  <TableCell>
                    <LocalTime at={r.at} as="moment" />
                  </TableCell>
                  <TableCell>{sayDuration(r.sinceS)}</TableCell>
                  <TableCell>
                    <Told>{sayC(r.tempC)}</Told>
                  </TableCell>
                  <TableCell />
                </TableRow>
              ))}
            </TableBody>
          </Table>
        </>
      )}
    </>
  );
}
