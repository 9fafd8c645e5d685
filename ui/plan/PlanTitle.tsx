'use client';
import { Box, Button, IconButton, Stack, Tooltip, Typography } from '@mui/material';
import NextLink from 'next/link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { BinMark, CopyMark, PastMark, RedoMark, request, UndoMark, WordsField, sentenceOf, Spoken } from '../kit';
import type { PlanDocument, StoredPlanDoc } from './usePlanDocument';

const SAVE_WORDS = {
  saved: 'Saved',
  typing: 'Enter takes it',
  saving: 'Saving',
  waiting: 'Kept on this device',
  stale: 'Not saved: changed elsewhere',
  refused: 'Not saved',
} as const;

const nameTrouble = (name: string): string | undefined =>
  name === ''
    ? 'Give the plan a name; the last one is kept until you do.'
    : name.length > 200
      ? 'Keep the name under 200 letters.'
      : undefined;

/** Name, undo and redo, earlier versions, copy, delete, and start a batch. */
export function PlanTitle({
  id,
  doc,
  familyName,
  canCook,
  onError,
}: {
  id: string;
  doc: PlanDocument;
  familyName: string;
  canCook: boolean;
  onError: (sentence: string) => void;
}) {
  const router = useRouter();
  const [starting, setStarting] = useState(false);
  const act = async (work: () => Promise<void>) => {
    try {
      await work();
    } catch (e) {
      onError(sentenceOf(e, 'That did not work; try again.'));
    }
  };
  const cook = () =>
    void act(async () => {
      setStarting(true);
      try {
        if (!(await doc.save()))
          throw new Spoken('The plan is not saved yet, so it would be cooked as it was before; settle that first.');
        const batch = await request<{ id: string }>('/api/batches', 'POST', { planId: id });
        router.push(`/batches/${batch.id}/stove`);
      } finally {
        setStarting(false);
      }
    });
  return (
    <Stack direction="row" spacing={1} useFlexGap sx={{ alignItems: 'center', flexWrap: 'wrap', mb: 1 }}>
      <h1 className="unseen">{doc.plan.name}</h1>
      <WordsField
        variant="standard"
        value={doc.plan.name}
        wrong={nameTrouble}
        onTake={(name) => doc.edit('name', (p) => ({ ...p, name }))}
        sx={{
          flex: '1 1 280px',
          '& input': { fontSize: 22, fontWeight: 600, letterSpacing: '-0.01em', textOverflow: 'ellipsis' },
        }}
        slotProps={{ htmlInput: { 'aria-label': 'Name of the plan' } }}
      />
      <Typography variant="body2" color="text.secondary" sx={{ whiteSpace: 'nowrap' }}>
        {familyName} · <span data-testid="save-state">{SAVE_WORDS[doc.saveState]}</span>
      </Typography>
      <Box sx={{ whiteSpace: 'nowrap' }}>
        <Tooltip title="Undo">
          <span>
            <IconButton aria-label="Undo" disabled={!doc.canUndo} onClick={doc.undo}>
              <UndoMark />
            </IconButton>
          </span>
        </Tooltip>
        <Tooltip title="Redo">
          <span>
            <IconButton aria-label="Redo" disabled={!doc.canRedo} onClick={doc.redo}>
              <RedoMark />
            </IconButton>
          </span>
        </Tooltip>
        <Tooltip title="Earlier versions">
          <IconButton component={NextLink} href={`/plans/${id}/versions`} aria-label="Earlier versions">
            <PastMark />
          </IconButton>
        </Tooltip>
        <Tooltip title="Copy this plan">
          <IconButton
            aria-label="Copy this plan"
            onClick={() =>
              void act(async () => {
                const copy = await request<StoredPlanDoc>('/api/plans', 'POST', {
                  ...doc.plan,
                  name: `${doc.plan.name.slice(0, 190)}, copy`,
                });
                router.push(`/plans/${copy.id}`);
              })
            }
          >
            <CopyMark />
          </IconButton>
        </Tooltip>
        <Tooltip title="Delete this plan">
          <IconButton
            aria-label="Delete this plan"
            onClick={() =>
              void act(async () => {
                await request(`/api/plans/${id}`, 'DELETE');
                router.push(`/?deleted=${id}`);
              })
            }
          >
            <BinMark />
          </IconButton>
        </Tooltip>
      </Box>
      <Button variant="contained" size="medium" disabled={!canCook || starting} onClick={cook}>
        Cook this
      </Button>
    </Stack>
  );
}
