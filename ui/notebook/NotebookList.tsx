'use client';
import { keepPreviousData, useInfiniteQuery } from '@tanstack/react-query';
import NextLink from 'next/link';
import { Box, Button, Paper, Stack, TextField, Typography } from '@mui/material';
import { useDeferredValue, useState } from 'react';
import type { BatchCard, Page } from '@/db';
import { plural } from '@/core/units';
import { request, Say, sentenceOf } from '../kit';
import { pageAddress } from '../kit/pages';
import { BatchRow } from './BatchRow';

/** Every batch, newest first, found by a word of its name or note; a page at a time. */
export function NotebookList({ first }: { first: Page<BatchCard> }) {
  const [typed, setTyped] = useState('');
  const word = useDeferredValue(typed.trim());
  const found = useInfiniteQuery({
    queryKey: ['batches', word],
    queryFn: ({ pageParam }) => request<Page<BatchCard>>(pageAddress('/api/batches', word, pageParam)),
    initialPageParam: undefined as Page<BatchCard>['next'],
    getNextPageParam: (last) => last.next,
    placeholderData: keepPreviousData,
    ...(word === '' ? { initialData: { pages: [first], pageParams: [undefined] }, initialDataUpdatedAt: 0 } : {}),
  });
  const pages = found.data?.pages ?? [];
  const shown = pages.flatMap((p) => p.rows);
  const total = pages[0]?.total ?? 0;
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
          value={typed}
          onChange={(e) => setTyped(e.target.value.slice(0, 100))}
          sx={{ width: 320, maxWidth: '100%' }}
        />
        {total > shown.length || word !== '' ? (
          <Typography variant="body2" color="text.secondary">
            {plural(total, 'batch', 'batches')}
            {total > shown.length ? `, the newest ${shown.length} shown` : ''}
          </Typography>
        ) : null}
      </Stack>
      {found.isError ? <Say tone="watch">{sentenceOf(found.error)}</Say> : null}
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
      {found.hasNextPage ? (
        <Button
          variant="outlined"
          sx={{ mt: 1.5 }}
          disabled={found.isFetchingNextPage}
          onClick={() => void found.fetchNextPage()}
        >
          Show earlier ones
        </Button>
      ) : null}
    </>
  );
}
