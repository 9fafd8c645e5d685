'use client';
import NextLink from 'next/link';
import { Box, Button, Paper, Stack, TextField, Typography } from '@mui/material';
import type { BatchCard, Page } from '@/db';
import { plural } from '@/core/units';
import { Say } from '../kit';
import { useFoundPages } from '../kit/useFoundPages';
import { BatchRow } from './BatchRow';

/** Every batch, newest first, found by a word of its name or note; a page at a time. */
export function NotebookList({ first }: { first: Page<BatchCard> }) {
  const found = useFoundPages('/api/batches', first);
  const { rows: shown, total, word } = found;
  return (
    <>
      <Stack direction="row" spacing={2} sx={{ my: 1.5, alignItems: 'center' }}>
        <Typography variant="h1">Notebook</Typography>
        <Box sx={{ flex: 1 }} />
        <Button component={NextLink} href="/notebook/learned">
          What was learned
        </Button>
      </Stack>
      <Stack direction="row" spacing={2} useFlexGap sx={{ mb: 1.5, alignItems: 'center', flexWrap: 'wrap' }}>
        <TextField
          label="Find a batch"
          value={found.typed}
          onChange={(e) => found.type(e.target.value)}
          sx={{ width: 320, maxWidth: '100%' }}
        />
        {total > shown.length || word !== '' ? (
          <Typography variant="body2" color="text.secondary">
            {plural(total, 'batch', 'batches')}
            {total > shown.length ? `, the newest ${shown.length} shown` : ''}
          </Typography>
        ) : null}
      </Stack>
      {found.trouble ? <Say tone="watch">{found.trouble}</Say> : null}
      <Paper sx={{ maxWidth: 860 }}>
        {shown.length === 0 ? (
          <Typography sx={{ p: 2 }} color="text.secondary">
            {word === ''
              ? 'No batches yet. The first one is written down as you cook it.'
              : `No batch mentions “${word}”.`}
          </Typography>
        ) : (
          shown.map((b) => <BatchRow key={b.id} batch={b} />)
        )}
      </Paper>
      {found.more ? (
        <Button variant="outlined" sx={{ mt: 1.5 }} disabled={found.fetching} onClick={found.more}>
          Show earlier ones
        </Button>
      ) : null}
    </>
  );
}
