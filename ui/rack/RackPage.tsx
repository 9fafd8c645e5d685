'use client';
import { Box, Stack, Typography } from '@mui/material';
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
import { boilingPointC, plural, sayMm, sayWater } from '@/core/units';
import { brimMl, spanOf, WALLS } from '@/core/model/vessel';
import { MiniSection } from '../section/MiniSection';
import type { PackedKitchen } from '../kitchen/packed';
import { NumberField, sentenceOf, useTell } from '../kit';
import { useKitchenHand, type KitchenHand, type RackKind } from '../kitchen/useKitchen';
import { ApplianceForm, PotForm, ScoopForm } from './GearForms';
import { HobForm } from './HobForm';
import { UnitsPanel } from './UnitsPanel';
import { PanForm, SteamerForm } from './PlainForms';
import { Item, Shelf } from './Shelf';
import { UnreadableThings } from '../kitchen/UnreadableThings';
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
export function RackPage({ kitchen: initial }: { kitchen: PackedKitchen }) {
  const hand: KitchenHand = useKitchenHand(initial);
  const { kitchen } = hand;
  const [open, setOpen] = useState<
    | { kind: 'vessel'; thing?: Vessel }
    | { kind: 'steamer'; thing?: Steamer }
    | { kind: 'pan'; thing?: FryingPan }
    | { kind: 'hob'; thing?: Hob }
    | { kind: 'pot'; thing?: Pot }
    | { kind: 'appliance'; thing?: Appliance }
    | { kind: 'scoop'; thing?: Scoop }
    | undefined
  >(undefined);
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
          helper={`water boils at ${boilingPointC(kitchen.altitudeM).toFixed(1)} °C`}
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
            else tell({ words: 'The fridge must be colder than the room.' });
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
            else tell({ words: 'The fridge must be colder than the room.' });
          }}
        />
      </Stack>
      <Box sx={{ mb: 2 }}>
        <UnitsPanel kitchen={kitchen} onKeep={hand.keepSettings} />
      </Box>
      <UnreadableThings hand={hand} kinds={(k) => k !== 'ingredients'} />
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
                  onOpen={() => setOpen({ kind: 'vessel', thing: v })}
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
                onOpen={() => setOpen({ kind: 'pot', thing: p })}
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
                onOpen={() => setOpen({ kind: 'appliance', thing: x })}
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
                onOpen={() => setOpen({ kind: 'scoop', thing: x })}
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
                onOpen={() => setOpen({ kind: 'steamer', thing: s })}
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
                onOpen={() => setOpen({ kind: 'pan', thing: p })}
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
                onOpen={() => setOpen({ kind: 'hob', thing: h })}
                onRemove={() => remove('hobs', h)}
              />
            ))}
          </Shelf>
        </Stack>
      </Box>
      {open?.kind === 'vessel' ? (
        <VesselForm
          thing={open.thing}
          onClose={() => setOpen(undefined)}
          onKeep={(x, over) => keep('vessels', x, over)}
        />
      ) : null}
      {open?.kind === 'steamer' ? (
        <SteamerForm
          thing={open.thing}
          onClose={() => setOpen(undefined)}
          onKeep={(x, over) => keep('steamers', x, over)}
        />
      ) : null}
      {open?.kind === 'pan' ? (
        <PanForm
          thing={open.thing}
          onClose={() => setOpen(undefined)}
          onKeep={(x, over) => keep('fryingPans', x, over)}
        />
      ) : null}
      {open?.kind === 'hob' ? (
        <HobForm thing={open.thing} onClose={() => setOpen(undefined)} onKeep={(x, over) => keep('hobs', x, over)} />
      ) : null}
      {open?.kind === 'pot' ? (
        <PotForm thing={open.thing} onClose={() => setOpen(undefined)} onKeep={(x, over) => keep('pots', x, over)} />
      ) : null}
      {open?.kind === 'appliance' ? (
        <ApplianceForm
          thing={open.thing}
          onClose={() => setOpen(undefined)}
          onKeep={(x, over) => keep('appliances', x, over)}
        />
      ) : null}
      {open?.kind === 'scoop' ? (
        <ScoopForm
          thing={open.thing}
          onClose={() => setOpen(undefined)}
          onKeep={(x, over) => keep('scoops', x, over)}
        />
      ) : null}
    </>
  );
}
