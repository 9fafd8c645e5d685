'use client';
import { Box, Button, Paper, Typography } from '@mui/material';
import type { RackKind } from '@/db';
import { Say, sentenceOf, useTell } from '../kit';
import { RawText } from '../kit/Unreadable';
import type { KitchenHand } from './useKitchen';

const KIND_WORDS: Readonly<Record<RackKind | 'settings', string>> = {
  settings: 'The kitchen’s settings',
  ingredients: 'An ingredient',
  vessels: 'A vessel',
  steamers: 'A steamer',
  hobs: 'A hob',
  fryingPans: 'A frying pan',
  pots: 'A pot',
  appliances: 'An appliance',
  scoops: 'A spoon or ladle',
};

/** Things of the kitchen that are kept and cannot be read: shown as they are, with what can be done. */
export function UnreadableThings({
  hand,
  kinds,
}: {
  hand: KitchenHand;
  kinds: (kind: RackKind | 'settings') => boolean;
}) {
  const tell = useTell();
  const failed = (e: unknown) => tell({ words: sentenceOf(e) });
  return hand.unreadable
    .filter((u) => kinds(u.kind))
    .map((u) => {
      const { kind } = u;
      return (
        <Paper key={`${kind} ${u.id}`} component="section" aria-label="Cannot be read" sx={{ p: 2, mb: 2 }}>
          <Say tone="stop">{`${KIND_WORDS[kind]} cannot be read${kind === 'settings' ? '; the usual ones are used meanwhile' : ''}.`}</Say>
          <Box component="details">
            <Typography component="summary" sx={{ cursor: 'pointer' }}>
              What is kept
            </Typography>
            <RawText row={u} />
          </Box>
          {kind === 'settings' ? (
            <Button onClick={() => void hand.replaceSettings().catch(failed)}>Go on with the usual settings</Button>
          ) : (
            <Button onClick={() => void hand.removeThing(kind, u.id, 'It is put away.').catch(failed)}>
              Put it away
            </Button>
          )}
        </Paper>
      );
    });
}
