'use client';
import { Box } from '@mui/material';
import { useState } from 'react';
import type { PackedKitchen } from '../kitchen/packed';
import { sentenceOf, useTell } from '../kit';
import { UnreadableThings } from '../kitchen/UnreadableThings';
import { useKitchenHand, type RackKind } from '../kitchen/useKitchen';
import { OpenForm, type OpenThing } from './OpenForm';
import { RackPlace } from './RackPlace';
import { RackShelves } from './RackShelves';
import { UnitsPanel } from './UnitsPanel';

/** The cook's own pans, steamers, hob and frying pans, and the room they stand in. */
export function RackPage({ kitchen: initial }: { kitchen: PackedKitchen }) {
  const hand = useKitchenHand(initial);
  const { kitchen } = hand;
  const [open, setOpen] = useState<OpenThing | undefined>(undefined);
  const tell = useTell();
  const remove = (kind: RackKind, thing: { id: string; name: string }) =>
    void hand
      .removeThing(kind, thing.id, `${thing.name} is off the rack.`)
      .catch((e: unknown) => tell({ words: sentenceOf(e) }));
  const keep = async (kind: RackKind, thing: { id: string; name: string }, over: number | undefined) => {
    await hand.keepThing(kind, thing, `${thing.name} is on the rack.`, over, open?.thing);
    setOpen(undefined);
  };
  return (
    <>
      <RackPlace kitchen={kitchen} keep={hand.keepSettings} />
      <Box sx={{ mb: 2 }}>
        <UnitsPanel kitchen={kitchen} onKeep={hand.keepSettings} />
      </Box>
      <UnreadableThings hand={hand} kinds={(k) => k !== 'ingredients'} />
      <RackShelves kitchen={kitchen} onOpen={setOpen} remove={remove} />
      {open ? <OpenForm open={open} onClose={() => setOpen(undefined)} keep={keep} /> : null}
    </>
  );
}
