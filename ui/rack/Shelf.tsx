'use client';
import { Box, Button, IconButton, Paper, Stack, Typography } from '@mui/material';
import type { ReactNode } from 'react';
import { CrossMark, PlusMark, Told } from '../kit';

/** A shelf of the rack: its title, its things, and a way to add one. */
export function Shelf({
  title,
  add,
  onAdd,
  children,
}: {
  title: string;
  add: string;
  onAdd: () => void;
  children: ReactNode;
}) {
  return (
    <section aria-label={title}>
      <Stack direction="row" sx={{ justifyContent: 'space-between', alignItems: 'center', mb: 0.75 }}>
        <Typography variant="h2">{title}</Typography>
        <Button startIcon={<PlusMark />} onClick={onAdd}>
          {add}
        </Button>
      </Stack>
      <Paper
        component="ul"
        sx={{ m: 0, p: 0, listStyle: 'none', '& > li + li': { borderTop: 1, borderColor: 'divider' } }}
      >
        {children}
      </Paper>
    </section>
  );
}

/** One thing on a shelf. */
export function Item({
  name,
  facts,
  picture,
  onOpen,
  onRemove,
}: {
  name: string;
  facts: string;
  picture?: ReactNode;
  onOpen?: () => void;
  onRemove: () => void;
}) {
  return (
    <Box component="li" sx={{ display: 'flex', gap: 1.5, alignItems: 'center', p: 1 }}>
      {picture}
      <Box sx={{ flex: 1, minWidth: 0 }}>
        {onOpen ? (
          <Button
            onClick={onOpen}
            sx={{ p: 0, fontWeight: 600, textAlign: 'left', minHeight: 24, minWidth: 0, justifyContent: 'flex-start' }}
          >
            {name}
          </Button>
        ) : (
          <Typography sx={{ fontWeight: 600 }}>{name}</Typography>
        )}
        <Typography variant="body2" color="text.secondary">
          <Told>{facts}</Told>
        </Typography>
      </Box>
      <IconButton aria-label={`Take ${name} off the rack`} onClick={onRemove}>
        <CrossMark size="small" />
      </IconButton>
    </Box>
  );
}
