'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Box, Button, Paper, Stack, Table, TableBody, TableCell, TableHead, TableRow, Typography } from '@mui/material';
import { familyOf } from '@/core/families';
import type { EffectKind, Kitchen } from '@/core/kitchen';
import { learnedEffects } from '@/core/work/notebook';
import type { Page } from '@/db';
import type { EvidenceCard } from '@/server/learnedPages';
import { plural } from '@/core/units';
import { freshId, request, Say, useTell, sentenceOf } from '../kit';
import { useFoundPages } from '../kit/useFoundPages';
import { EvidenceList } from './EvidenceList';

const KIND_WORDS: Readonly<Record<EffectKind, string>> = {
  steamer: 'Steamers',
  heat: 'Heats in them',
  family: 'Kinds of cake',
  plan: 'Plans',
};

/** Whose effect it is, in words. */
function named(kind: EffectKind, key: string, kitchen: Kitchen): string {
  const family = (id: string) => {
    const f = familyOf(id);
    return f.ok ? f.value.name : id;
  };
  const steamer = (id: string) => kitchen.steamers.find((s) => s.id === id)?.name ?? 'a steamer that is gone';
  const space = key.indexOf(' ');
  switch (kind) {
    case 'steamer':
      return steamer(key);
    case 'heat':
      return `${steamer(key.slice(0, key.lastIndexOf(' ')))}, ${key.slice(key.lastIndexOf(' ') + 1)}`;
    case 'family':
      return family(key);
    case 'plan':
      return key.slice(space + 1);
  }
}

/** More or less time in words: "8 % longer". */
const sayFactor = (f: number): string => {
  const pct = Math.round(Math.abs(f - 1) * 100);
  return pct === 0 ? 'as the model says' : `${pct} % ${f > 1 ? 'longer' : 'shorter'}`;
};

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
        <Paper sx={{ overflowX: 'auto' }}>
          <Table size="small" aria-label="Learned factors">
            <TableHead>
              <TableRow>
                <TableCell>What</TableCell>
                <TableCell>Factor</TableCell>
                <TableCell align="right">From</TableCell>
              </TableRow>
            </TableHead>
            <TableBody>
              {effects.length === 0 ? (
                <TableRow>
                  <TableCell colSpan={3}>
                    {forgot
                      ? 'Nothing that counts: what was learned is forgotten.'
                      : 'Nothing yet. It begins with the first finished batch that was checked at the stove.'}
                  </TableCell>
                </TableRow>
              ) : null}
              {(Object.keys(KIND_WORDS) as EffectKind[]).flatMap((kind) => {
                const own = effects.filter((e) => e.kind === kind);
                return own.length === 0
                  ? []
                  : [
                      <TableRow key={kind}>
                        <TableCell
                          colSpan={3}
                          sx={{ fontWeight: 600, color: 'text.secondary', borderBottom: 0, pt: 1.5 }}
                        >
                          {KIND_WORDS[kind]}
                        </TableCell>
                      </TableRow>,
                      ...own.map((e) => (
                        <TableRow key={`${kind} ${e.key}`}>
                          <TableCell component="th" scope="row" sx={{ overflowWrap: 'anywhere' }}>
                            {named(kind, e.key, kitchen)}
                            <Typography variant="body2" color="text.secondary">
                              {sayFactor(e.factor)}
                            </Typography>
                          </TableCell>
                          <TableCell sx={{ whiteSpace: 'nowrap' }}>
                            <strong>{e.factor.toFixed(2)}</strong>
                            <Typography variant="body2" color="text.secondary">
                              {e.low.toFixed(2)} to {e.high.toFixed(2)}
                            </Typography>
                          </TableCell>
                          <TableCell align="right" sx={{ whiteSpace: 'nowrap' }}>
                            {plural(e.batches, 'batch', 'batches')}
                          </TableCell>
                        </TableRow>
                      )),
                    ];
              })}
            </TableBody>
          </Table>
        </Paper>
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
