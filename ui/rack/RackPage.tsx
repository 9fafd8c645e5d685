'use client';
import { Box, Button, IconButton, Paper, Snackbar, Stack, Typography } from '@mui/material';
import { useState, type ReactNode } from 'react';
import type { FryingPan, Kitchen, Steamer, Vessel } from '@/core/kitchen';
import { sayMm } from '@/core/units';
import { brimMl, spanOf, WALLS } from '@/core/vessel';
import { MiniSection } from '../home/MiniSection';
import { CrossMark, NumberField, PlusMark } from '../kit';
import { useKitchenHand, type KitchenHand } from '../kitchen/useKitchen';
import { PanForm, SteamerForm } from './PlainForms';
import { VesselForm } from './VesselForm';

const LID_WORDS = { tight: 'tight lid', cloth: 'cloth-wrapped lid', woven: 'woven lid' } as const;

function Shelf({
  title,
  add,
  onAdd,
  children,
}: {
  title: string;
  add: string;
  onAdd: () => void;
  children: ReactNode;
}) {
  return (
    <section aria-label={title}>
      <Stack direction="row" sx={{ justifyContent: 'space-between', alignItems: 'center', mb: 0.75 }}>
        <Typography variant="h2">{title}</Typography>
        <Button startIcon={<PlusMark />} onClick={onAdd}>
          {add}
        </Button>
      </Stack>
      <Paper
        component="ul"
        sx={{ m: 0, p: 0, listStyle: 'none', '& > li + li': { borderTop: 1, borderColor: 'divider' } }}
      >
        {children}
      </Paper>
    </section>
  );
}

function Item({
  name,
  facts,
  picture,
  onOpen,
  onRemove,
}: {
  name: string;
  facts: string;
  picture?: ReactNode;
  onOpen?: () => void;
  onRemove: () => void;
}) {
  return (
    <Box component="li" sx={{ display: 'flex', gap: 1.5, alignItems: 'center', p: 1 }}>
      {picture}
      <Box sx={{ flex: 1, minWidth: 0 }}>
        {onOpen ? (
          <Button onClick={onOpen} sx={{ p: 0, fontWeight: 600, textAlign: 'left', minHeight: 24 }}>
            {name}
          </Button>
        ) : (
          <Typography sx={{ fontWeight: 600 }}>{name}</Typography>
        )}
        <Typography variant="body2" color="text.secondary">
          {facts}
        </Typography>
      </Box>
      <IconButton aria-label={`Take ${name} off the rack`} onClick={onRemove}>
        <CrossMark fontSize="small" />
      </IconButton>
    </Box>
  );
}

const vesselFacts = (v: Vessel) =>
  `${WALLS[v.material].words}, ${v.shape === 'rectangular' ? `${sayMm(v.lengthM)} by ${sayMm(v.widthM)}` : `${sayMm(spanOf(v))} across`}, ${sayMm(v.heightM)} high, holds ${Math.round(brimMl(v))} ml, ${v.count} of them`;

/** The cook's own pans, steamers, hob and frying pans, and the room they stand in. */
export function RackPage({ kitchen: initial }: { kitchen: Kitchen }) {
  const hand: KitchenHand = useKitchenHand(initial);
  const { kitchen } = hand;
  const [open, setOpen] = useState<
    | { kind: 'vessel'; vessel?: Vessel }
    | { kind: 'steamer'; steamer?: Steamer }
    | { kind: 'pan'; pan?: FryingPan }
    | undefined
  >(undefined);
  const [told, setTold] = useState<string | undefined>(undefined);
  const [gone, setGone] = useState<
    { kind: 'vessels' | 'steamers' | 'fryingPans' | 'hobs'; thing: { id: string; name: string } } | undefined
  >(undefined);
  const remove = (kind: 'vessels' | 'steamers' | 'fryingPans' | 'hobs', thing: { id: string; name: string }) =>
    void hand.removeThing(kind, thing.id).then(
      () => setGone({ kind, thing }),
      (e: Error) => setTold(e.message),
    );
  const keep = async (kind: 'vessels' | 'steamers' | 'fryingPans', thing: { id: string; name: string }) => {
    await hand.keepThing(kind, thing);
    setOpen(undefined);
    setTold(`${thing.name} is on the rack.`);
  };
  return (
    <>
      <Stack direction="row" spacing={1.5} useFlexGap sx={{ my: 1.5, alignItems: 'flex-start', flexWrap: 'wrap' }}>
        <Typography variant="h1" sx={{ flex: 1, minWidth: 120 }}>
          Rack
        </Typography>
        <NumberField
          label="Altitude"
          value={kitchen.altitudeM}
          min={-430}
          max={6000}
          unit="m"
          decimals={0}
          width={120}
          onChange={(altitudeM) => void hand.keepSettings({ altitudeM })}
          helper={`water boils at ${(100 - 0.0034 * kitchen.altitudeM).toFixed(1)} °C`}
        />
        <NumberField
          label="Room"
          value={kitchen.roomC}
          min={-5}
          max={45}
          unit="°C"
          width={110}
          onChange={(roomC) => {
            if (roomC > kitchen.fridgeC) void hand.keepSettings({ roomC });
            else setTold('The fridge must be colder than the room.');
          }}
        />
        <NumberField
          label="Fridge"
          value={kitchen.fridgeC}
          min={-2}
          max={12}
          unit="°C"
          width={110}
          onChange={(fridgeC) => {
            if (fridgeC < kitchen.roomC) void hand.keepSettings({ fridgeC });
            else setTold('The fridge must be colder than the room.');
          }}
        />
      </Stack>
      <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', md: '7fr 5fr' }, gap: 3, alignItems: 'start' }}>
        <Shelf title="Pans, bowls, cups and trays" add="Add a vessel" onAdd={() => setOpen({ kind: 'vessel' })}>
          {kitchen.vessels.length === 0 ? (
            <Typography component="li" sx={{ p: 2 }} color="text.secondary">
              Nothing here yet. Measure inside, from wall to wall.
            </Typography>
          ) : (
            kitchen.vessels.map((v) => (
              <Item
                key={v.id}
                name={v.name}
                facts={vesselFacts(v)}
                picture={
                  <Box sx={{ display: { xs: 'none', sm: 'block' } }}>
                    <MiniSection vessel={v} depthM={0} />
                  </Box>
                }
                onOpen={() => setOpen({ kind: 'vessel', vessel: v })}
                onRemove={() => remove('vessels', v)}
              />
            ))
          )}
        </Shelf>
        <Stack spacing={3}>
          <Shelf title="Steamers" add="Add a steamer" onAdd={() => setOpen({ kind: 'steamer' })}>
            {kitchen.steamers.map((s) => (
              <Item
                key={s.id}
                name={s.name}
                facts={`${sayMm(s.innerDiameterM)} inside, clears ${sayMm(s.clearHeightM)}, ${s.tiers} ${s.tiers === 1 ? 'tier' : 'tiers'}, ${LID_WORDS[s.lid]}${Object.entries(
                  s.learned,
                )
                  .map(([h, l]) => `; ${h} runs ${l.median.toFixed(2)} × the model after ${l.checks} checks`)
                  .join('')}`}
                onOpen={() => setOpen({ kind: 'steamer', steamer: s })}
                onRemove={() => remove('steamers', s)}
              />
            ))}
          </Shelf>
          <Shelf title="Frying pans" add="Add a frying pan" onAdd={() => setOpen({ kind: 'pan' })}>
            {kitchen.fryingPans.map((p) => (
              <Item
                key={p.id}
                name={p.name}
                facts={
                  p.shape === 'round'
                    ? `${sayMm(p.diameterM)} across the base`
                    : `${sayMm(p.diameterM)} by ${sayMm(p.widthM ?? p.diameterM)}`
                }
                onOpen={() => setOpen({ kind: 'pan', pan: p })}
                onRemove={() => remove('fryingPans', p)}
              />
            ))}
          </Shelf>
          <Paper sx={{ p: 1.5 }}>
            <Typography variant="h2" gutterBottom>
              Hob
            </Typography>
            {kitchen.hobs.map((h) => (
              <Typography key={h.id}>
                {h.name}:{' '}
                {Object.entries(h.measuredPowerW)
                  .map(([heat, w]) => `${heat} ${(w / 1000).toFixed(2)} kW`)
                  .join(', ') || 'not measured'}
              </Typography>
            ))}
            <Typography variant="body2" color="text.secondary">
              A kettle test in a plan&apos;s Steam station measures a setting.
            </Typography>
          </Paper>
        </Stack>
      </Box>
      {open?.kind === 'vessel' ? (
        <VesselForm vessel={open.vessel} onClose={() => setOpen(undefined)} onKeep={(v) => keep('vessels', v)} />
      ) : null}
      {open?.kind === 'steamer' ? (
        <SteamerForm steamer={open.steamer} onClose={() => setOpen(undefined)} onKeep={(s) => keep('steamers', s)} />
      ) : null}
      {open?.kind === 'pan' ? (
        <PanForm pan={open.pan} onClose={() => setOpen(undefined)} onKeep={(p) => keep('fryingPans', p)} />
      ) : null}
      <Snackbar open={told !== undefined} message={told} autoHideDuration={7000} onClose={() => setTold(undefined)} />
      <Snackbar
        open={gone !== undefined}
        message={`${gone?.thing.name ?? ''} is off the rack.`}
        action={
          <Button
            color="inherit"
            onClick={() => {
              if (gone) void hand.keepThing(gone.kind, gone.thing);
              setGone(undefined);
            }}
          >
            Undo
          </Button>
        }
        autoHideDuration={12000}
        onClose={() => setGone(undefined)}
      />
    </>
  );
}
