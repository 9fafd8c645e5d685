'use client';
import { useState } from 'react';
import { Dialog, DialogContent, DialogTitle, List, ListItemButton, ListItemText, Stack } from '@mui/material';
import { FAMILIES } from '@/core/families';
import { GRAMS_A_HEAD } from '@/core/forecast';
import type { Wanted } from '@/core/start';
import { Choice, NumberField } from '../kit';

const ROLES = ['taste', 'side', 'breakfast', 'meal'] as const;

/** Asks which cake a new plan is of, for how many and eaten as what. */
export function ChooseCake({
  open,
  onClose,
  onChoose,
}: {
  open: boolean;
  onClose: () => void;
  onChoose: (family: string, wanted: Wanted) => void;
}) {
  const [wanted, setWanted] = useState<Wanted>({});
  return (
    <Dialog open={open} onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="which-cake">
      <DialogTitle id="which-cake">Which cake?</DialogTitle>
      <DialogContent sx={{ px: 1 }}>
        <Stack direction="row" spacing={1.5} useFlexGap sx={{ px: 2, pt: 1, flexWrap: 'wrap' }}>
          <NumberField
            label="Guests"
            value={wanted.guests}
            min={1}
            max={500}
            whole
            decimals={0}
            width={110}
            helper={wanted.guests === undefined ? 'empty: as the formula' : undefined}
            onChange={(guests) => setWanted((w) => ({ ...w, guests }))}
            onClear={() => setWanted((w) => ({ ...w, guests: undefined }))}
          />
          <Choice
            label="Eaten as"
            value={wanted.role ?? ''}
            width={190}
            options={[
              { value: '', words: 'as usual' },
              ...ROLES.map((r) => ({ value: r, words: r, hint: `${GRAMS_A_HEAD[r]} g a head` })),
            ]}
            onChange={(role) => setWanted((w) => ({ ...w, role: ROLES.find((r) => r === role) }))}
          />
        </Stack>
        <List>
          {FAMILIES.map((f) => (
            <ListItemButton key={f.id} onClick={() => onChoose(f.id, wanted)}>
              <ListItemText primary={f.name} secondary={f.about} />
            </ListItemButton>
          ))}
        </List>
      </DialogContent>
    </Dialog>
  );
}
