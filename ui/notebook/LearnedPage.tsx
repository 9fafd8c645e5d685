'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Box, Button, Stack, Typography } from '@mui/material';
import type { Kitchen } from '@/core/kitchen';
import { learnedEffects } from '@/core/work/notebook';
import type { Page } from '@/db';
import type { EvidenceCard } from '@/server/learnedPages';
import { plural } from '@/core/units';
import { freshId, request, Say, useTell, sentenceOf } from '../kit';
import { useFoundPages } from '../kit/useFoundPages';
import { EvidenceList } from './EvidenceList';
import { LearnedTable } from './LearnedTable';

/** What the kitchen has learned of times, what it is from, and how to have it forgotten. */
export function LearnedPage({
  kitchen,
  evidence,
  left,
}: {
  kitchen: Kitchen;
  evidence: Page<EvidenceCard>;
  /** Batches that are still to be forecast by the models of today. */
  left: number;
}) {
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState<string | undefined>(undefined);
  const effects = learnedEffects(kitchen.timeFactors);
  const forgot = kitchen.forgotten.before !== undefined || kitchen.forgotten.batches.length > 0;
  const tell = useTell();
  const found = useFoundPages('/api/learning', evidence);
  const before = { what: 'exactly', forgotten: kitchen.forgotten };
  const send = async (body: object, words?: string, back?: object) => {
    setBusy(true);
    try {
      await request('/api/learning', 'POST', body);
      setTrouble(undefined);
      found.again();
      router.refresh();
      if (words) tell({ words, undo: back ? () => send(back) : undefined });
    } catch (e) {
      setTrouble(sentenceOf(e));
    } finally {
      setBusy(false);
    }
  };
  return (
    <>
      <Stack direction="row" spacing={2} useFlexGap sx={{ my: 1.5, alignItems: 'center', flexWrap: 'wrap' }}>
        <Typography variant="h1">What was learned of times</Typography>
        <Box sx={{ flex: 1 }} />
        {forgot ? (
          <Button
            disabled={busy}
            onClick={() => void send({ what: 'nothing' }, 'Everything is taken in again.', before)}
          >
            Take everything in again
          </Button>
        ) : null}
        <Button
          variant="outlined"
          disabled={busy || effects.length === 0}
          onClick={() => void send({ what: 'all' }, 'All of it is forgotten.', before)}
        >
          Forget all of it
        </Button>
      </Stack>
      {trouble ? <Say tone="stop">{trouble}</Say> : null}
      {left > 0 ? (
        <Say>{`${plural(left, 'batch', 'batches')} ${left === 1 ? 'is' : 'are'} still to be worked out as cooked; what is learned takes them in when the last one is.`}</Say>
      ) : null}
      <Typography sx={{ mb: 2, maxWidth: 860 }}>
        The minutes of a plan are the model’s, times what its steamer, the heat in it, its kind of cake and the plan
        itself have shown so far. They are found together: a slow sponge tells little of a sticky cake.
      </Typography>
      <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', md: '5fr 7fr' }, gap: 3, alignItems: 'start' }}>
        <LearnedTable kitchen={kitchen} effects={effects} forgot={forgot} />
        <EvidenceList
          found={found}
          busy={busy}
          onVouch={(e) =>
            void request(`/api/batches/${encodeURIComponent(e.id)}/events`, 'POST', {
              key: freshId(),
              event: { kind: 'vouched' },
            }).then(
              () => {
                found.again();
                router.refresh();
                tell({ words: `${e.name} counts.` });
              },
              (x: unknown) => setTrouble(sentenceOf(x)),
            )
          }
          onLeave={(e) =>
            void send(
              { what: 'batch', id: e.id, leftOut: !e.leftOut },
              `${e.name} is ${e.leftOut ? 'taken in' : 'left out'}.`,
              { what: 'batch', id: e.id, leftOut: e.leftOut },
            )
          }
        />
      </Box>
    </>
  );
}
