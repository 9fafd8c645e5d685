'use client';
import { Dialog, DialogContent, DialogTitle, FormControlLabel, Stack, Switch, Typography } from '@mui/material';
import { useSingleKeys } from './keys';

const KEYS = [
  ['1 to 7', 'open a station, from Mix to Serve, in the order of the life line'],
  ['Ctrl or ⌘ + Z', 'undo; in a field, put back what stood there'],
  ['Ctrl or ⌘ + Shift + Z', 'redo'],
  ['Enter', 'take what was typed in a field'],
  ['Escape', 'put back what stood in a field'],
  ['Space', 'play or stop the life line'],
  ['← →', 'step through its life (on the needle); with Shift in strides'],
  ['↑ ↓', 'more or less (on the batter’s surface, the pour scale, a layer)'],
  ['m', 'to the first way out of what there is to mind; Enter takes it'],
  ['/', 'find: plans, ingredients, notes, what can be done'],
  ['?', 'this list'],
] as const;

/** The keys, and a switch for those of a single letter. */
export default function KeysList({ onClose }: { onClose: () => void }) {
  const [single, setSingle] = useSingleKeys();
  return (
    <Dialog open onClose={onClose} aria-labelledby="keys-title">
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
  );
}
