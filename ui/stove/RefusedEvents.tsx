'use client';
import { Box, Button, Paper, Stack, Typography } from '@mui/material';
import { LocalTime, Say } from '../kit';
import { eventWords } from './eventWords';
import type { BatchHand } from './useBatch';

/** What was written down here and the kitchen would not have: with why, until the cook sends it again or throws it away. */
export function RefusedEvents({ hand }: { hand: BatchHand }) {
  if (hand.refused.length === 0) return null;
  return (
    <Paper component="section" aria-label="Not written down" sx={{ p: 1.5, my: 1, borderColor: 'error.main' }}>
      <Say tone="stop">Not written down, and kept here:</Say>
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {hand.refused.map((w) => (
          <Stack
            component="li"
            key={w.key}
            direction="row"
            spacing={1}
            useFlexGap
            sx={{ alignItems: 'center', flexWrap: 'wrap', py: 0.5 }}
          >
            <Box sx={{ flex: 1, minWidth: 200 }}>
              {eventWords(w.event, hand.batch.snapshot.steps)},{' '}
              <LocalTime at={new Date(w.atMs).toISOString()} as="time" />
              <Typography variant="body2" color="text.secondary">
                {w.refused}
              </Typography>
            </Box>
            <Button variant="outlined" onClick={() => hand.again(w.key)}>
              Send again
            </Button>
            <Button onClick={() => hand.throwAway(w.key)}>Throw away</Button>
          </Stack>
        ))}
      </Box>
    </Paper>
  );
}
