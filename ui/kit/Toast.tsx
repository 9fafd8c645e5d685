'use client';
import { Button, Snackbar } from '@mui/material';

/** What was done, told for a while at the foot of the page. */
export default function Toast({
  words,
  undo,
  onClose,
}: {
  words: string;
  undo: (() => void) | undefined;
  onClose: () => void;
}) {
  return (
    <Snackbar
      open
      message={words}
      autoHideDuration={undo ? 20_000 : 8000}
      onClose={(_, why) => {
        if (why !== 'clickaway') onClose();
      }}
      action={
        undo ? (
          <Button color="inherit" size="medium" onClick={undo}>
            Undo
          </Button>
        ) : undefined
      }
    />
  );
}
