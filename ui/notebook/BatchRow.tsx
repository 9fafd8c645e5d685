'use client';
import NextLink from 'next/link';
import { Box, Link, Typography } from '@mui/material';
import type { BatchCard } from '@/db';
import { sayDuration } from '@/core/units';
import { LocalTime } from '../kit';
import { BowlScore } from './BowlScore';

/** One batch in a list. */
export function BatchRow({ batch, first }: { batch: BatchCard; first: boolean }) {
  return (
    <Box sx={{ p: 1.5, borderTop: first ? 0 : 1, borderColor: 'divider' }}>
      <Box sx={{ display: 'flex', gap: 1, justifyContent: 'space-between', alignItems: 'baseline' }}>
        <Link
          component={NextLink}
          href={batch.finished ? `/batches/${batch.id}` : `/batches/${batch.id}/stove`}
          color="text.primary"
          sx={{ fontWeight: 600, overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}
        >
          {batch.name}
        </Link>
        <Typography variant="body2" color="text.secondary" sx={{ whiteSpace: 'nowrap' }}>
          <LocalTime at={batch.startedAt} as="day" />
        </Typography>
      </Box>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
        {batch.finished ? (
          <BowlScore score={batch.overall} />
        ) : (
          <Typography variant="body2" color="warning.main">
            at the stove
          </Typography>
        )}
        {batch.cleanAtS !== null && batch.plannedS !== null ? (
          <Typography variant="body2" color="text.secondary">
            clean at {sayDuration(batch.cleanAtS)}, forecast {sayDuration(batch.plannedS)}
          </Typography>
        ) : null}
      </Box>
      {batch.readable ? null : (
        <Typography variant="body2" color="error.main">
          What was planned cannot be read; open it to see what is kept.
        </Typography>
      )}
      {batch.note ? <Typography variant="body2">{batch.note}</Typography> : null}
    </Box>
  );
}
