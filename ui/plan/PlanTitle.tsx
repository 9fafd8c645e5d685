'use client';
import { Box, Button, IconButton, Stack, TextField, Tooltip, Typography } from '@mui/material';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { BinMark, CopyMark, RedoMark, request, UndoMark } from '../kit';
import type { PlanDocument, StoredPlanDoc } from './usePlanDocument';

const SAVE_WORDS = {
  saved: 'Saved',
  saving: 'Saving',
  waiting: 'Kept on this device',
  stale: 'Not saved: changed elsewhere',
  refused: 'Not saved',
} as const;

/** Name, undo and redo, copy, delete, and start a batch. */
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
  const [name, setName] = useState<string | undefined>(undefined);
  const [starting, setStarting] = useState(false);
  const shown = name ?? doc.plan.name;
  const nameTrouble =
    shown.trim() === ''
      ? 'Give the plan a name; the last one is kept until you do.'
      : shown.length > 200
        ? 'Keep the name under 200 letters.'
        : undefined;
  const act = async (work: () => Promise<void>) => {
    try {
      await work();
    } catch (e) {
      onError(e instanceof Error ? e.message : 'That did not work; try again.');
    }
  };
  const cook = () =>
    void act(async () => {
      setStarting(true);
      try {
        await doc.save();
        const batch = await request<{ id: string }>('/api/batches', 'POST', { planId: id });
        router.push(`/batches/${batch.id}/stove`);
      } finally {
        setStarting(false);
      }
    });
  return (
    <Stack direction="row" spacing={1} useFlexGap sx={{ alignItems: 'center', flexWrap: 'wrap', mb: 1 }}>
      <TextField
        variant="standard"
        value={shown}
        error={nameTrouble !== undefined}
        helperText={nameTrouble}
        onChange={(e) => {
          setName(e.target.value);
          const t = e.target.value.trim();
          if (t !== '' && t.length <= 200) doc.edit('name', (p) => ({ ...p, name: t }));
        }}
        onBlur={() => {
          if (!nameTrouble) setName(undefined);
        }}
        sx={{
          flex: '1 1 280px',
          '& input': { fontSize: 22, fontWeight: 600, letterSpacing: '-0.01em', textOverflow: 'ellipsis' },
        }}
        slotProps={{ htmlInput: { 'aria-label': 'Name of the plan' } }}
      />
      <Typography variant="body2" color="text.secondary" sx={{ whiteSpace: 'nowrap' }}>
        {familyName} · <span role="status">{SAVE_WORDS[doc.saveState]}</span>
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
