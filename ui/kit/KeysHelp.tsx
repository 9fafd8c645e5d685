'use client';
import { Dialog, DialogContent, DialogTitle, IconButton, Stack, Tooltip, Typography } from '@mui/material';
import { useEffect, useState } from 'react';
import { KeysMark } from './marks';

const KEYS = [
  ['1 to 7', 'open a station: Mix, Vessel, Steam, Rest, Cut, Sear, Serve'],
  ['Ctrl or ⌘ + Z', 'undo'],
  ['Ctrl or ⌘ + Shift + Z', 'redo'],
  ['Space', 'play or stop the heat (on the scrubber)'],
  ['← →', 'step through time (on the scrubber)'],
  ['?', 'this list'],
] as const;

/** True when a key press belongs to a field, not to the page. */
export const inField = (e: KeyboardEvent): boolean =>
  e.target instanceof HTMLElement && (e.target.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(e.target.tagName));

/** `?` shows the keys. */
export function KeysHelp() {
  const [open, setOpen] = useState(false);
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      if (e.key === '?' && !inField(e)) setOpen(true);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  return (
    <>
      <Tooltip title="Keys (?)">
        <IconButton aria-label="Show the keys" size="small" color="primary" onClick={() => setOpen(true)}>
          <KeysMark />
        </IconButton>
      </Tooltip>
      <Dialog open={open} onClose={() => setOpen(false)}>
        <DialogTitle>Keys</DialogTitle>
        <DialogContent>
          {KEYS.map(([key, words]) => (
            <Stack key={key} direction="row" spacing={2} sx={{ py: 0.5 }}>
              <Typography sx={{ minWidth: 170, fontWeight: 600 }}>{key}</Typography>
              <Typography>{words}</Typography>
            </Stack>
          ))}
        </DialogContent>
      </Dialog>
    </>
  );
}
