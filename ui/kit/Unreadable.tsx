'use client';
import NextLink from 'next/link';
import { Box, Button, Paper, Typography } from '@mui/material';
import type { Unreadable } from '@/db';
import { Say } from './Say';

/** The text of something that cannot be read, and why: nothing of it is lost. */
export function RawText({ row }: { row: Pick<Unreadable, 'raw' | 'problems'> }) {
  return (
    <>
      {row.problems.slice(0, 5).map((p) => (
        <Typography key={p.code + p.path} variant="body2">
          {p.sentence}
        </Typography>
      ))}
      {row.problems.length > 5 ? (
        <Typography variant="body2">And {row.problems.length - 5} things more.</Typography>
      ) : null}
      <Box
        component="pre"
        tabIndex={0}
        aria-label="As it is kept"
        sx={{
          p: 1,
          m: 0,
          mt: 1,
          maxHeight: 320,
          overflow: 'auto',
          fontSize: 12,
          whiteSpace: 'pre-wrap',
          overflowWrap: 'anywhere',
          bgcolor: 'background.default',
        }}
      >
        {row.raw}
      </Box>
    </>
  );
}

/** A page for a plan or batch that cannot be read. */
export function UnreadablePage({
  title,
  what,
  row,
  versions,
}: {
  title: string;
  what: 'plan' | 'batch';
  row: Unreadable;
  /** Address of its earlier versions. */
  versions?: string;
}) {
  return (
    <Box sx={{ maxWidth: 860, py: 2 }}>
      <Typography variant="h1" gutterBottom sx={{ overflowWrap: 'anywhere' }}>
        {title}
      </Typography>
      <Say tone="stop">
        This {what} is kept, but cannot be read here. Nothing of it was changed; this is what is there:
      </Say>
      <Paper sx={{ p: 2, my: 2 }}>
        <RawText row={row} />
      </Paper>
      {versions ? (
        <Button component={NextLink} href={versions} variant="contained" sx={{ mr: 1 }}>
          Earlier versions
        </Button>
      ) : null}
      <Button component={NextLink} href={what === 'plan' ? '/' : '/notebook'} variant="outlined">
        {what === 'plan' ? 'Back to the galley' : 'Back to the notebook'}
      </Button>
    </Box>
  );
}
