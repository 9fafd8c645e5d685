'use client';
import NextLink from 'next/link';
import { Box, Button, Checkbox, Link, Paper, Stack, Typography } from '@mui/material';
import { useRouter } from 'next/navigation';
import { tickedSteps } from '@/core/notebook';
import { sayTimes } from '@/core/steam';
import type { Step } from '@/core/steps';
import { roundGrams, sayDuration, sayGrams } from '@/core/units';
import type { StoredBatch } from '@/db';
import { LocalTime, PourTable, Say, Told, useTell, WeighList } from '../kit';
import { CheckEntry } from './CheckEntry';
import { sayOutcome } from './outbox';
import { RefusedEvents } from './RefusedEvents';
import { TastingEntry } from './TastingEntry';
import { useBatch } from './useBatch';

/** The three figures as they were planned; a batch begun before they were told apart says what it has. */
function steamWords({ planForS, standS, totalS }: StoredBatch['snapshot']['figures']): string {
  if (planForS === null) return '';
  return standS === null || totalS === null
    ? `plan for ${sayDuration(planForS)} · `
    : `${sayTimes({ planForS, standS, totalS })} · `;
}

/** What enters at a step by its grams, and what is carried in by what it has become; a cake that only moves on needs no list. */
const amountsOf = (step: Step): string =>
  [
    ...step.amounts.map(
      (a) =>
        `${a.name} ${a.fine ? `${roundGrams(a.massG, 'fine').value} g` : sayGrams(a.massG)}${a.note ? ` (${a.note})` : ''}`,
    ),
    ...(step.amounts.length + (step.carried?.length ?? 0) > 1 ? (step.carried ?? []) : []).map(
      (c) => `${c.name} ${sayGrams(c.massG)}`,
    ),
  ].join(' · ');

/** The step list to cook from: ticks carry the time and survive a reload. */
export function StovePage({ batch: initial }: { batch: StoredBatch }) {
  const router = useRouter();
  const tell = useTell();
  const hand = useBatch(initial);
  const { batch, events, trouble, record } = hand;
  const { snapshot } = batch;
  const ticks = tickedSteps(events);
  const done = (id: string) => ticks.has(id);
  const next = snapshot.steps.find((s) => !done(s.id));
  const finished = batch.finishedAt !== null;
  return (
    <Box sx={{ maxWidth: 980, mx: 'auto' }}>
      <Typography variant="h1" sx={{ mt: 1, overflowWrap: 'anywhere' }}>
        {batch.name}
      </Typography>
      <Typography color="text.secondary" gutterBottom>
        Begun <LocalTime at={batch.startedAt} as="moment" /> · {snapshot.vesselName} ·{' '}
        <Told>{sayGrams(snapshot.figures.massG)}</Told> ·{' '}
        {snapshot.figures.checkAtS === null ? '' : `check at ${sayDuration(snapshot.figures.checkAtS)} · `}
        {steamWords(snapshot.figures)}
        {batch.planId ? (
          <Link component={NextLink} href={`/plans/${batch.planId}`}>
            the plan
          </Link>
        ) : null}
      </Typography>
      <div role="status">{trouble ? <Say tone="watch">{trouble}</Say> : null}</div>
      <RefusedEvents hand={hand} />
      <Box component="ol" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {snapshot.steps.map((step, i) => {
          const is = done(step.id);
          const now = next?.id === step.id;
          const at = ticks.get(step.id);
          const amounts = amountsOf(step);
          return (
            <Paper
              component="li"
              key={step.id}
              aria-current={now ? 'step' : undefined}
              sx={{
                display: 'flex',
                gap: 1,
                p: now ? 1.5 : 0.75,
                mb: 0.75,
                alignItems: 'flex-start',
                borderWidth: now ? 2 : 1,
                borderColor: now ? 'primary.main' : 'divider',
                bgcolor: is ? 'background.default' : 'background.paper',
              }}
            >
              <Checkbox
                checked={is}
                disabled={finished}
                onChange={(e) => void record({ kind: 'ticked', stepId: step.id, done: e.target.checked })}
                slotProps={{ input: { 'aria-label': `${i + 1}. ${step.verb}` } }}
                sx={{ width: 56, height: 56, '& svg': { fontSize: 30 } }}
              />
              <Box sx={{ minWidth: 0, flex: 1, py: 0.75 }}>
                <Stack direction="row" sx={{ justifyContent: 'space-between', gap: 1 }}>
                  <Typography component="h2" sx={{ fontWeight: 600, fontSize: now ? 22 : 16 }}>
                    {i + 1}. {step.verb}
                  </Typography>
                  <Typography variant="body2" color="text.secondary" sx={{ whiteSpace: 'nowrap' }}>
                    {at && is ? (
                      <>
                        done <LocalTime at={at} as="time" />
                      </>
                    ) : (
                      `${sayDuration(step.handsOnS)} hands${step.waitS > 0 ? `, ${sayDuration(step.waitS)} wait` : ''}`
                    )}
                  </Typography>
                </Stack>
                {is && !now ? null : (
                  <>
                    <Typography sx={{ fontSize: now ? 18 : 15 }}>
                      <Told>{step.sentence}</Told>
                    </Typography>
                    {step.verb === 'Weigh' && snapshot.weighOut.length > 0 ? (
                      <WeighList groups={snapshot.weighOut} />
                    ) : null}
                    {amounts ? (
                      <Typography sx={{ mt: 0.5 }}>
                        <Told>{amounts}</Told>
                      </Typography>
                    ) : null}
                    {step.timeline ? <PourTable moments={step.timeline} /> : null}
                    {step.lookFor ? (
                      <Typography variant="body2" color="text.secondary">
                        Look for: <Told>{step.lookFor}</Told>
                      </Typography>
                    ) : null}
                    {step.taste ? (
                      <Typography variant="body2" color="text.secondary">
                        <Told>{step.taste}</Told>
                      </Typography>
                    ) : null}
                    {step.cautions.map((c) => (
                      <Say key={c} tone="watch">
                        {c}
                      </Say>
                    ))}
                    {step.verb === 'Check' && !finished ? <CheckEntry hand={hand} /> : null}
                  </>
                )}
              </Box>
            </Paper>
          );
        })}
      </Box>
      <TastingEntry hand={hand} />
      {finished ? (
        <Button variant="contained" size="large" component={NextLink} href={`/batches/${batch.id}`}>
          See it in the notebook
        </Button>
      ) : (
        <Button
          variant="contained"
          size="large"
          sx={{ minHeight: 56 }}
          onClick={() =>
            void record({ kind: 'finished' }).then((outcome) => {
              // While the kitchen is out of reach there is no page of the notebook to go to.
              if (outcome.how === 'written') router.push(`/batches/${batch.id}`);
              else tell({ words: sayOutcome(outcome, '') });
            })
          }
        >
          Finish and keep in the notebook
        </Button>
      )}
    </Box>
  );
}
