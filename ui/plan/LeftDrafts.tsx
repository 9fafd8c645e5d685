'use client';
import { Button, Stack } from '@mui/material';
import { LocalTime, Say } from '../kit';
import type { LeftDraft } from './drafts';

/** What a window on this device left unsaved when it was closed: the cook says whether it counts. */
export function LeftDrafts({
  left,
  onChoose,
}: {
  left: readonly LeftDraft[];
  onChoose: (draft: LeftDraft, take: boolean) => void;
}) {
  return left.map((d) => (
    <Stack key={d.key} direction="row" spacing={1} useFlexGap sx={{ alignItems: 'center', flexWrap: 'wrap', my: 0.5 }}>
      <Say tone="watch">
        A window that was closed had changes to this plan that were never saved, of{' '}
        <LocalTime at={new Date(d.at).toISOString()} as="moment" />.
      </Say>
      <Button variant="contained" onClick={() => onChoose(d, true)}>
        Take them in
      </Button>
      <Button onClick={() => onChoose(d, false)}>Throw them away</Button>
    </Stack>
  ));
}
