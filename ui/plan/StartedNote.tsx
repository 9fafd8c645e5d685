'use client';
import { IconButton, Stack } from '@mui/material';
import { useState, useSyncExternalStore } from 'react';
import { forgetStarted, startedWords } from '../home/startPlan';
import { CrossMark, Say } from '../kit';

const never = () => () => {};

/** What was chosen for a plan when it was started; told until it is put away. */
export function StartedNote({ id }: { id: string }) {
  const words = useSyncExternalStore(
    never,
    () => startedWords(id),
    () => undefined,
  );
  const [away, setAway] = useState(false);
  if (!words || away) return null;
  return (
    <Stack direction="row" sx={{ mt: 1, alignItems: 'center' }} role="status">
      <Say tone="ready">{words}</Say>
      <IconButton
        size="small"
        aria-label="Put this note away"
        onClick={() => {
          forgetStarted(id);
          setAway(true);
        }}
      >
        <CrossMark size="small" />
      </IconButton>
    </Stack>
  );
}
