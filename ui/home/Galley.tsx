'use client';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import {
  Box,
  Button,
  Dialog,
  DialogContent,
  DialogTitle,
  List,
  ListItemButton,
  ListItemText,
  Paper,
  Snackbar,
  Stack,
  TextField,
  Typography,
} from '@mui/material';
import type { BatchCard, Page } from '@/db';
import type { PlanCard } from '@/server/planCards';
import { Choice, LadleMark, NumberField, PlusMark, request, Say } from '../kit';
import { useFoundPages } from '../kit/useFoundPages';
import { BatchRow } from '../notebook/BatchRow';
import { PlanRow } from './PlanRow';
import { GRAMS_A_HEAD } from '@/core/forecast';
import type { Wanted } from '@/core/start';
import { startPlan } from './startPlan';

const ROLES = ['taste', 'side', 'breakfast', 'meal'] as const;

/** Home: the plans on the shelf, and what the notebook says of late. */
export function Galley({
  kitchenName,
  plans: first,
  batches,
  families,
  deleted,
}: {
  kitchenName: string;
  plans: Page<PlanCard>;
  batches: readonly BatchCard[];
  families: readonly { id: string; name: string; about: string }[];
  deleted: string | null;
}) {
  const router = useRouter();
  const [choosing, setChoosing] = useState(false);
  const [note, setNote] = useState<string | undefined>(undefined);
  const [undone, setUndone] = useState(false);
  const [wanted, setWanted] = useState<Wanted>({});
  const found = useFoundPages('/api/plans', first);
  const { rows: plans, total, word } = found;
  const start = async (family: string) => {
    try {
      router.push(`/plans/${await startPlan(family, wanted)}`);
    } catch (e) {
      setNote(e instanceof Error ? e.message : 'The plan could not be made; try again.');
    }
  };
  const undo = async () => {
    setUndone(true);
    await request(`/api/plans/${deleted}/restore`, 'POST').then(
      () => {
        found.again();
        router.replace('/');
      },
      () => setNote('It could not be brought back; reload and try again.'),
    );
  };
  return (
    <>
      <Stack
        direction="row"
        sx={{ justifyContent: 'space-between', alignItems: 'center', my: 1.5, gap: 2, flexWrap: 'wrap' }}
      >
        <Typography variant="h1">{kitchenName}</Typography>
        <Button variant="contained" size="medium" startIcon={<PlusMark />} onClick={() => setChoosing(true)}>
          New plan
        </Button>
      </Stack>
      <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', md: '7fr 5fr' }, gap: 3, alignItems: 'start' }}>
        <section aria-labelledby="plans-title">
          <Typography variant="h2" id="plans-title" gutterBottom>
            Plans
          </Typography>
          {first.next ? (
            <Stack direction="row" spacing={2} useFlexGap sx={{ mb: 1, alignItems: 'center', flexWrap: 'wrap' }}>
              <TextField label="Find a plan" value={found.typed} onChange={(e) => found.type(e.target.value)} />
              <Typography variant="body2" color="text.secondary">
                {plans.length < total ? `${plans.length} of ${total}, last changed first` : `${total} in all`}
              </Typography>
            </Stack>
          ) : null}
          {found.trouble ? <Say tone="watch">{found.trouble}</Say> : null}
          {plans.length === 0 && word !== '' ? (
            <Typography color="text.secondary">No plan is called “{word}”.</Typography>
          ) : plans.length === 0 ? (
            <Paper sx={{ p: 4 }}>
              <LadleMark sx={{ fontSize: 44, mb: 1 }} />
              <Typography gutterBottom>
                No plan yet. Choose a cake, say which pan and how many guests; the rest is worked out as you go.
              </Typography>
              <Button variant="outlined" onClick={() => setChoosing(true)}>
                Choose a cake
              </Button>
            </Paper>
          ) : (
            <Paper component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
              {plans.map((p) => (
                <PlanRow key={p.id} plan={p} />
              ))}
            </Paper>
          )}
          {found.more ? (
            <Button variant="outlined" sx={{ mt: 1.5 }} disabled={found.fetching} onClick={found.more}>
              Show more
            </Button>
          ) : null}
        </section>
        <section aria-labelledby="late-title">
          <Typography variant="h2" id="late-title" gutterBottom>
            Lately at the stove
          </Typography>
          <Paper>
            {batches.length === 0 ? (
              <Typography sx={{ p: 2 }} color="text.secondary">
                Nothing cooked yet. Open a plan and press “Cook this”.
              </Typography>
            ) : (
              batches.map((b) => <BatchRow key={b.id} batch={b} />)
            )}
          </Paper>
        </section>
      </Box>
      <Dialog open={choosing} onClose={() => setChoosing(false)} fullWidth maxWidth="sm">
        <DialogTitle>Which cake?</DialogTitle>
        <DialogContent sx={{ px: 1 }}>
          <Stack direction="row" spacing={1.5} useFlexGap sx={{ px: 2, pt: 1, flexWrap: 'wrap' }}>
            <NumberField
              label="Guests"
              value={wanted.guests}
              min={1}
              max={500}
              whole
              decimals={0}
              width={110}
              helper={wanted.guests === undefined ? 'as the formula' : undefined}
              onChange={(guests) => setWanted((w) => ({ ...w, guests }))}
              onClear={() => setWanted((w) => ({ ...w, guests: undefined }))}
            />
            <Choice
              label="Eaten as"
              value={wanted.role ?? ''}
              width={190}
              options={[
                { value: '', words: 'as usual' },
                ...ROLES.map((r) => ({ value: r, words: r, hint: `${GRAMS_A_HEAD[r]} g a head` })),
              ]}
              onChange={(role) => setWanted((w) => ({ ...w, role: ROLES.find((r) => r === role) }))}
            />
          </Stack>
          <List>
            {families.map((f) => (
              <ListItemButton
                key={f.id}
                onClick={() => {
                  setChoosing(false);
                  void start(f.id);
                }}
              >
                <ListItemText primary={f.name} secondary={f.about} />
              </ListItemButton>
            ))}
          </List>
        </DialogContent>
      </Dialog>
      <Snackbar
        open={deleted !== null && !undone}
        message="The plan was deleted."
        action={
          <Button color="inherit" size="medium" onClick={() => void undo()}>
            Undo
          </Button>
        }
      />
      <Snackbar open={note !== undefined} message={note} autoHideDuration={8000} onClose={() => setNote(undefined)} />
    </>
  );
}
