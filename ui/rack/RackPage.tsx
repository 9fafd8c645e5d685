'use client';
import { Box, Button, Snackbar, Stack, Typography } from '@mui/material';
import { useState } from 'react';
import {
  HEATS,
  steamerAt,
  type Appliance,
  type FryingPan,
  type Hob,
  type Kitchen,
  type Pot,
  type Scoop,
  type Steamer,
  type Vessel,
} from '@/core/kitchen';
import { plural, sayMm, sayWater } from '@/core/units';
import { brimMl, spanOf, WALLS } from '@/core/vessel';
import { MiniSection } from '../home/MiniSection';
import { NumberField } from '../kit';
import { useKitchenHand, type KitchenHand, type RackKind } from '../kitchen/useKitchen';
import { ApplianceForm, PotForm, ScoopForm } from './GearForms';
import { HobForm } from './HobForm';
import { UnitsPanel } from './UnitsPanel';
import { PanForm, SteamerForm } from './PlainForms';
import { Item, Shelf } from './Shelf';
import { VesselForm } from './VesselForm';

const LID_WORDS = { tight: 'tight lid', cloth: 'cloth-wrapped lid', woven: 'woven lid', loose: 'loose lid' } as const;

/** What was learned of a steamer at each heat, whatever is in it. */
const learnedOf = ({ timeFactors }: Kitchen, steamerId: string): string =>
  HEATS.flatMap((heat) => {
    const at = steamerAt(timeFactors, steamerId, heat);
    return at
      ? [`; ${heat} runs ${at.factor.toFixed(2)} × the model after ${plural(at.batches, 'batch', 'batches')}`]
      : [];
  }).join('');

const vesselFacts = (v: Vessel) =>
  `${WALLS[v.material].words}, ${v.shape === 'rectangular' ? `${sayMm(v.lengthM)} by ${sayMm(v.widthM)}` : `${sayMm(spanOf(v))} across`}, ${sayMm(v.heightM)} high, holds ${Math.round(brimMl(v))} ml, ${v.count} of them`;

const ringFacts = (r: Hob['rings'][number]): string => {
  const marks = Object.entries(r.marks).map(([heat, mark]) => `${heat} ${mark}`);
  const watts = Object.entries(r.measuredPowerW).map(([heat, w]) => `${heat} ${(w / 1000).toFixed(2)} kW`);
  const known = [
    ...(marks.length > 0 ? [`marks ${marks.join(', ')}`] : []),
    ...(watts.length > 0 ? [watts.join(', ')] : ['not measured']),
  ];
  return `${r.name}, ${r.kind}: ${known.join('; ')}`;
};

/** The cook's own pans, steamers, hob and frying pans, and the room they stand in. */
export function RackPage({ kitchen: initial }: { kitchen: Kitchen }) {
  const hand: KitchenHand = useKitchenHand(initial);
  const { kitchen } = hand;
  const [open, setOpen] = useState<
    | { kind: 'vessel'; vessel?: Vessel }
    | { kind: 'steamer'; steamer?: Steamer }
    | { kind: 'pan'; pan?: FryingPan }
    | { kind: 'hob'; hob?: Hob }
    | { kind: 'pot'; pot?: Pot }
    | { kind: 'appliance'; appliance?: Appliance }
    | { kind: 'scoop'; scoop?: Scoop }
    | undefined
  >(undefined);
  const [told, setTold] = useState<string | undefined>(undefined);
  const [gone, setGone] = useState<{ kind: RackKind; thing: { id: string; name: string } } | undefined>(undefined);
  const remove = (kind: RackKind, thing: { id: string; name: string }) =>
    void hand.removeThing(kind, thing.id).then(
      () => setGone({ kind, thing }),
      (e: Error) => setTold(e.message),
    );
  const keep = async (kind: RackKind, thing: { id: string; name: string }) => {
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
          width={160}
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
      <Box sx={{ mb: 2 }}>
        <UnitsPanel kitchen={kitchen} onKeep={hand.keepSettings} />
      </Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', md: '7fr 5fr' }, gap: 3, alignItems: 'start' }}>
        <Stack spacing={3}>
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
          <Shelf title="Pots, woks" add="Add a pot" onAdd={() => setOpen({ kind: 'pot' })}>
            {kitchen.pots.map((p) => (
              <Item
                key={p.id}
                name={p.name}
                facts={`${p.kind}, ${p.material}, holds ${sayWater(p.capacityMl)}`}
                onOpen={() => setOpen({ kind: 'pot', pot: p })}
                onRemove={() => remove('pots', p)}
              />
            ))}
          </Shelf>
          <Shelf title="Blender, microwave" add="Add one" onAdd={() => setOpen({ kind: 'appliance' })}>
            {kitchen.appliances.map((x) => (
              <Item
                key={x.id}
                name={x.name}
                facts={`${x.kind}, ${x.material}, holds ${sayWater(x.capacityMl)}`}
                onOpen={() => setOpen({ kind: 'appliance', appliance: x })}
                onRemove={() => remove('appliances', x)}
              />
            ))}
          </Shelf>
          <Shelf title="Spoons, ladles, cups" add="Add one" onAdd={() => setOpen({ kind: 'scoop' })}>
            {kitchen.scoops.map((x) => (
              <Item
                key={x.id}
                name={x.name}
                facts={`${x.ml} ml level`}
                onOpen={() => setOpen({ kind: 'scoop', scoop: x })}
                onRemove={() => remove('scoops', x)}
              />
            ))}
          </Shelf>
        </Stack>
        <Stack spacing={3}>
          <Shelf title="Steamers" add="Add a steamer" onAdd={() => setOpen({ kind: 'steamer' })}>
            {kitchen.steamers.map((s) => (
              <Item
                key={s.id}
                name={s.name}
                facts={`${sayMm(s.innerDiameterM)} inside, clears ${sayMm(s.clearHeightM)}, ${s.tiers} ${s.tiers === 1 ? 'tier' : 'tiers'}, ${LID_WORDS[s.lid]}${learnedOf(kitchen, s.id)}`}
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
                facts={`${p.shape === 'round' ? `${sayMm(p.diameterM)} across the base` : `${sayMm(p.diameterM)} by ${sayMm(p.widthM ?? p.diameterM)}`}, ${p.coating}, ${p.material}${p.lid ? ', with a lid' : ''}`}
                onOpen={() => setOpen({ kind: 'pan', pan: p })}
                onRemove={() => remove('fryingPans', p)}
              />
            ))}
          </Shelf>
          <Shelf title="Hob and rings" add="Add a hob" onAdd={() => setOpen({ kind: 'hob' })}>
            {kitchen.hobs.map((h) => (
              <Item
                key={h.id}
                name={h.name}
                facts={h.rings.map(ringFacts).join('; ')}
                onOpen={() => setOpen({ kind: 'hob', hob: h })}
                onRemove={() => remove('hobs', h)}
              />
            ))}
          </Shelf>
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
      {open?.kind === 'hob' ? (
        <HobForm hob={open.hob} onClose={() => setOpen(undefined)} onKeep={(h) => keep('hobs', h)} />
      ) : null}
      {open?.kind === 'pot' ? (
        <PotForm thing={open.pot} onClose={() => setOpen(undefined)} onKeep={(p) => keep('pots', p)} />
      ) : null}
      {open?.kind === 'appliance' ? (
        <ApplianceForm
          thing={open.appliance}
          onClose={() => setOpen(undefined)}
          onKeep={(x) => keep('appliances', x)}
        />
      ) : null}
      {open?.kind === 'scoop' ? (
        <ScoopForm thing={open.scoop} onClose={() => setOpen(undefined)} onKeep={(x) => keep('scoops', x)} />
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
