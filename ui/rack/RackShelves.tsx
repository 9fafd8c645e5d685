import { Box, Stack, Typography } from '@mui/material';
import {
  HEATS,
  steamerAt,
  type Appliance,
  type FryingPan,
  type Hob,
  type Kitchen,
  type Pot,
  type Steamer,
  type Vessel,
} from '@/core/kitchen';
import { plural, sayMm, sayWater } from '@/core/units';
import { brimMl, spanOf, WALLS } from '@/core/model/vessel';
import type { RackKind } from '../kitchen/useKitchen';
import { MiniSection } from '../section/MiniSection';
import type { OpenThing } from './OpenForm';
import { Item, Shelf } from './Shelf';

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

const gearFacts = (x: Pot | Appliance) => `${x.kind}, ${x.material}, holds ${sayWater(x.capacityMl)}`;
const steamerFacts = (s: Steamer, kitchen: Kitchen) =>
  `${sayMm(s.innerDiameterM)} inside, clears ${sayMm(s.clearHeightM)}, ${plural(s.tiers, 'tier')}, ${LID_WORDS[s.lid]}${learnedOf(kitchen, s.id)}`;
const panFacts = (p: FryingPan) =>
  `${p.shape === 'round' ? `${sayMm(p.diameterM)} across the base` : `${sayMm(p.diameterM)} by ${sayMm(p.widthM ?? p.diameterM)}`}, ${p.coating}, ${p.material}${p.lid ? ', with a lid' : ''}`;

/** What there is of each kind, drawn and said. */
export function RackShelves({
  kitchen,
  onOpen,
  remove,
}: {
  kitchen: Kitchen;
  onOpen: (thing: OpenThing) => void;
  remove: (kind: RackKind, thing: { id: string; name: string }) => void;
}) {
  /** Things of one kind, each with its facts, opened and taken off. */
  const shelf = <T extends { id: string; name: string }>(
    kind: OpenThing['kind'],
    rack: RackKind,
    title: string,
    add: string,
    things: readonly T[],
    facts: (x: T) => string,
  ) => (
    <Shelf title={title} add={add} onAdd={() => onOpen({ kind })}>
      {things.map((x) => (
        <Item
          key={x.id}
          name={x.name}
          facts={facts(x)}
          onOpen={() => onOpen({ kind, thing: x } as unknown as OpenThing)}
          onRemove={() => remove(rack, x)}
        />
      ))}
    </Shelf>
  );
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', md: '7fr 5fr' }, gap: 3, alignItems: 'start' }}>
      <Stack spacing={3}>
        <Shelf title="Pans, bowls, cups and trays" add="Add a vessel" onAdd={() => onOpen({ kind: 'vessel' })}>
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
                onOpen={() => onOpen({ kind: 'vessel', thing: v })}
                onRemove={() => remove('vessels', v)}
              />
            ))
          )}
        </Shelf>
        {shelf('pot', 'pots', 'Pots, woks', 'Add a pot', kitchen.pots, gearFacts)}
        {shelf('appliance', 'appliances', 'Blender, microwave', 'Add one', kitchen.appliances, gearFacts)}
        {shelf('scoop', 'scoops', 'Spoons, ladles, cups', 'Add one', kitchen.scoops, (x) => `${x.ml} ml level`)}
      </Stack>
      <Stack spacing={3}>
        {shelf('steamer', 'steamers', 'Steamers', 'Add a steamer', kitchen.steamers, (s) => steamerFacts(s, kitchen))}
        {shelf('pan', 'fryingPans', 'Frying pans', 'Add a frying pan', kitchen.fryingPans, panFacts)}
        {shelf('hob', 'hobs', 'Hob and rings', 'Add a hob', kitchen.hobs, (h) => h.rings.map(ringFacts).join('; '))}
      </Stack>
    </Box>
  );
}
