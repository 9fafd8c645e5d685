'use client';
import NextLink from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import {
  Box,
  Button,
  Link,
  Paper,
  Stack,
  Table,
  TableBody,
  TableCell,
  TableHead,
  TableRow,
  Typography,
} from '@mui/material';
import { familyOf } from '@/core/families';
import type { EffectKind, Kitchen } from '@/core/kitchen';
import { learnedEffects, type Evidence } from '@/core/notebook';
import { plural } from '@/core/units';
import { LocalTime, request, Say, useTell } from '../kit';
import { saySeen } from './saySeen';

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

/** Batches listed at first, and so many more each time. */
const SHOWN = 50;

/** What the kitchen has learned of times, what it is from, and how to have it forgotten. */
export function LearnedPage({ kitchen, evidence }: { kitchen: Kitchen; evidence: readonly Evidence[] }) {
  const router = useRouter();
  const [busy, setBusy] = useState(false);
  const [trouble, setTrouble] = useState<string | undefined>(undefined);
  const effects = learnedEffects(kitchen.timeFactors);
  const forgot = kitchen.forgotten.before !== undefined || kitchen.forgotten.batches.length > 0;
  const tell = useTell();
  const [shown, setShown] = useState(SHOWN);
  const before = { what: 'exactly', forgotten: kitchen.forgotten };
  const send = async (body: object, words?: string, back?: object) => {
    setBusy(true);
    try {
      await request('/api/learning', 'POST', body);
      setTrouble(undefined);
      router.refresh();
      if (words) tell({ words, undo: back ? () => send(back) : undefined });
    } catch (e) {
      setTrouble(e instanceof Error ? e.message : 'The kitchen does not answer; try again.');
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
        <Paper>
          <Typography variant="h2" sx={{ p: 2, pb: 1 }}>
            What it is from
          </Typography>
          {evidence.length === 0 ? (
            <Typography sx={{ p: 2, pt: 0 }} color="text.secondary">
              No batch has been checked at the stove yet.
            </Typography>
          ) : null}
          <Box component="ul" aria-label="Evidence" sx={{ listStyle: 'none', m: 0, p: 0 }}>
            {[...evidence]
              .reverse()
              .slice(0, shown)
              .map((e) => {
                const leftOut = kitchen.forgotten.batches.includes(e.batch.id);
                return (
                  <Box
                    component="li"
                    key={e.batch.id}
                    sx={{ p: 1.5, borderTop: 1, borderColor: 'divider', opacity: e.used ? 1 : 0.6 }}
                  >
                    <Stack direction="row" spacing={1} sx={{ alignItems: 'baseline', justifyContent: 'space-between' }}>
                      <Link
                        component={NextLink}
                        href={`/batches/${e.batch.id}`}
                        color="text.primary"
                        sx={{ fontWeight: 600, overflowWrap: 'anywhere' }}
                      >
                        {e.batch.name}
                      </Link>
                      <Typography variant="body2" color="text.secondary" sx={{ whiteSpace: 'nowrap' }}>
                        <LocalTime at={e.batch.startedAt} as="date" />
                      </Typography>
                    </Stack>
                    <Stack direction="row" spacing={1} sx={{ alignItems: 'center', justifyContent: 'space-between' }}>
                      <Typography variant="body2">
                        {e.modelS === undefined || !e.bounds
                          ? 'Its plan cannot be forecast any more (what it was cooked in is gone), so it does not count.'
                          : `${saySeen(e.bounds, e.modelS)}${e.used ? '' : leftOut ? ' Left out.' : ' Forgotten.'}`}
                      </Typography>
                      {e.modelS === undefined ? null : (
                        <Button
                          size="small"
                          disabled={busy}
                          sx={{ flex: 'none' }}
                          onClick={() =>
                            void send(
                              { what: 'batch', id: e.batch.id, leftOut: !leftOut },
                              `${e.batch.name} is ${leftOut ? 'taken in' : 'left out'}.`,
                              { what: 'batch', id: e.batch.id, leftOut },
                            )
                          }
                        >
                          {leftOut ? 'Take in' : 'Leave out'}
                        </Button>
                      )}
                    </Stack>
                  </Box>
                );
              })}
          </Box>
          {evidence.length > shown ? (
            <Button sx={{ m: 1 }} onClick={() => setShown((n) => n + SHOWN)}>
              Show more of {evidence.length}
            </Button>
          ) : null}
        </Paper>
      </Box>
    </>
  );
}
