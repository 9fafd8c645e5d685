'use client';
import NextLink from 'next/link';
import { Box, Button, Paper, Stack, TextField, Typography } from '@mui/material';
import { useState } from 'react';
import type { BatchCard } from '@/server/cards';
import { BatchRow } from './BatchRow';

/** Every batch, newest first, found by a word of its name or note. */
export function NotebookList({ batches }: { batches: readonly BatchCard[] }) {
  const [word, setWord] = useState('');
  const shown = batches.filter((b) =>
    `${b.name} ${b.note} ${b.family}`.toLowerCase().includes(word.trim().toLowerCase()),
  );
  return (
    <>
      <Stack direction="row" spacing={2} sx={{ my: 1.5, alignItems: 'center' }}>
        <Typography variant="h1">Notebook</Typography>
        <Box sx={{ flex: 1 }} />
        <Button component={NextLink} href="/notebook/learned">
          What was learned
        </Button>
      </Stack>
      <TextField
        label="Find a batch"
        value={word}
        onChange={(e) => setWord(e.target.value)}
        sx={{ mb: 1.5, width: 320, maxWidth: '100%' }}
      />
      <Paper sx={{ maxWidth: 860 }}>
        {shown.length === 0 ? (
          <Typography sx={{ p: 2 }} color="text.secondary">
            {batches.length === 0
              ? 'No batches yet. The first one is written down as you cook it.'
              : `No batch mentions “${word.trim()}”.`}
          </Typography>
        ) : (
          shown.map((b, i) => <BatchRow key={b.id} batch={b} first={i === 0} />)
        )}
      </Paper>
    </>
  );
}
