'use client';
import NextLink from 'next/link';
import { Box, Button, Stack, Typography } from '@mui/material';
import type { StoredBatch } from '@/db';
import { boundsOf, saySeen } from '@/core/work/notebook';
import { LocalTime, Say } from '../kit';
import { Photos } from '../stove/Photos';
import { RefusedEvents } from '../stove/RefusedEvents';
import { useBatch } from '../stove/useBatch';
import { BowlScore } from './BowlScore';
import { AsItWent } from './AsItWent';
import { PlanBeside } from './PlanBeside';
import { useDeleteBatch } from '../stove/useDeleteBatch';

/** One batch: the plan beside what happened. */
export function BatchPage({
  batch: initial,
  modelS,
}: {
  batch: StoredBatch;
  /** Time of the cake as it was cooked by the models, before learning, s; null: not worked out. */
  modelS: number | null;
}) {
  const hand = useBatch(initial);
  const { batch, events } = hand;
  const { snapshot } = batch;
  const tasted = events.findLast((e) => e.kind === 'tasted');
  const bounds = boundsOf(events.flatMap((e) => (e.kind === 'checked' ? [e] : [])));
  const remove = useDeleteBatch(batch.id, batch.name);
  return (
    <>
      <Stack direction="row" spacing={2} useFlexGap sx={{ my: 1.5, alignItems: 'center', flexWrap: 'wrap' }}>
        <Typography variant="h1" sx={{ overflowWrap: 'anywhere' }}>
          {batch.name}
        </Typography>
        <BowlScore score={tasted?.kind === 'tasted' ? tasted.overall : null} />
        <Box sx={{ flex: 1 }} />
        {batch.finishedAt === null ? (
          <Button component={NextLink} variant="contained" href={`/batches/${batch.id}/stove`}>
            Back to the stove
          </Button>
        ) : null}
        <Button component={NextLink} variant="outlined" href={`/batches/${batch.id}/cooling`}>
          Record of the cooling
        </Button>
        {batch.planId ? (
          <Button component={NextLink} variant="outlined" href={`/plans/${batch.planId}`}>
            The plan
          </Button>
        ) : null}
        <Button onClick={() => void remove()}>Delete</Button>
      </Stack>
      <Typography color="text.secondary">
        <LocalTime at={batch.startedAt} as="full" /> · {snapshot.vesselName} · {snapshot.plan.heat} heat · made from
        revision {batch.planRevision}
      </Typography>
      <div role="status">{hand.trouble ? <Say tone="watch">{hand.trouble}</Say> : null}</div>
      <RefusedEvents hand={hand} />
      {tasted?.kind === 'tasted' && tasted.sign ? <Typography sx={{ mt: 1 }}>Seen: {tasted.sign}.</Typography> : null}
      {tasted?.kind === 'tasted' && tasted.note ? (
        <Typography sx={{ my: 1, fontSize: 17 }}>“{tasted.note}”</Typography>
      ) : null}
      <Photos hand={hand} add={false} />
      {bounds && modelS !== null ? (
        <Box sx={{ my: 1 }}>
          <Say>{saySeen(bounds, modelS)}</Say>
        </Box>
      ) : null}
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' },
          gap: 3,
          mt: 1.5,
          alignItems: 'start',
        }}
      >
        <PlanBeside snapshot={snapshot} events={events} />
        <AsItWent hand={hand} />
      </Box>
    </>
  );
}
