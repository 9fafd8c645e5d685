'use client';
import NextLink from 'next/link';
import { Box, Button, Typography } from '@mui/material';

/** A page that is not there, or broke: what happened and the way back. */
export function Missing({ title, sentence, onRetry }: { title: string; sentence: string; onRetry?: () => void }) {
  return (
    <Box sx={{ py: 8, maxWidth: 560 }}>
      <Typography variant="h1" gutterBottom>
        {title}
      </Typography>
      <Typography gutterBottom>{sentence}</Typography>
      {onRetry ? (
        <Button variant="outlined" onClick={onRetry} sx={{ mr: 1 }}>
          Try again
        </Button>
      ) : null}
      <Button component={NextLink} href="/" variant="contained">
        Back to the galley
      </Button>
    </Box>
  );
}
