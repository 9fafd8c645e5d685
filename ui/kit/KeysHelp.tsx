'use client';
import { Dialog, DialogContent, DialogTitle, FormControlLabel, Stack, Switch, Typography } from '@mui/material';
import { useMemo, useState } from 'react';
import { useKeys, useSingleKeys } from './keys';
import { KeysMark } from './marks';
import look from './shell.module.css';

const KEYS = [
  ['1 to 7', 'open a station: Mix, Vessel, Steam, Rest, Cut, Sear, Serve'],
  ['Ctrl or ⌘ + Z', 'undo; in a field, put back what stood there'],
  ['Ctrl or ⌘ + Shift + Z', 'redo'],
  ['Enter', 'take what was typed in a field'],
  ['Escape', 'put back what stood in a field'],
  ['Space', 'play or stop the heat (on the scrubber)'],
  ['← →', 'step through time (on the scrubber)'],
  ['?', 'this list'],
] as const;

/** `?` shows the keys, and turns those of a single key off. */
export function KeysHelp() {
  const [open, setOpen] = useState(false);
  const [single, setSingle] = useSingleKeys();
  useKeys(useMemo(() => ({ 'Shift+?': () => setOpen(true), '?': () => setOpen(true) }), []));
  return (
    <>
      <button
        type="button"
        className={look.press}
        title="Keys (?)"
        aria-label="Show the keys"
        onClick={() => setOpen(true)}
      >
        <KeysMark />
      </button>
      <Dialog open={open} onClose={() => setOpen(false)} aria-labelledby="keys-title">
        <DialogTitle id="keys-title">Keys</DialogTitle>
        <DialogContent>
          {KEYS.map(([key, words]) => (
            <Stack key={key} direction="row" spacing={2} sx={{ py: 0.5 }}>
              <Typography sx={{ minWidth: 170, fontWeight: 600 }}>{key}</Typography>
              <Typography>{words}</Typography>
            </Stack>
          ))}
          <FormControlLabel
            sx={{ mt: 1 }}
            control={<Switch checked={single} onChange={(e) => setSingle(e.target.checked)} />}
            label="Keys of a single letter or figure answer on this device"
          />
        </DialogContent>
      </Dialog>
    </>
  );
}
