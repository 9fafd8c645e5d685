import { Box, Stack, Typography } from '@mui/material';
import { HEATS, steamerAt, type Hob, type Kitchen, type Vessel } from '@/core/kitchen';
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
        <Shelf title="Pots, woks" add="Add a pot" onAdd={() => onOpen({ kind: 'pot' })}>
          {kitchen.pots.map((p) => (
            <Item
              key={p.id}
              name={p.name}
              facts={`${p.kind}, ${p.material}, holds ${sayWater(p.capacityMl)}`}
              onOpen={() => onOpen({ kind: 'pot', thing: p })}
              onRemove={() => remove('pots', p)}
            />
          ))}
        </Shelf>
        <Shelf title="Blender, microwave" add="Add one" onAdd={() => onOpen({ kind: 'appliance' })}>
          {kitchen.appliances.map((x) => (
            <Item
              key={x.id}
              name={x.name}
              facts={`${x.kind}, ${x.material}, holds ${sayWater(x.capacityMl)}`}
              onOpen={() => onOpen({ kind: 'appliance', thing: x })}
              onRemove={() => remove('appliances', x)}
            />
          ))}
        </Shelf>
        <Shelf title="Spoons, ladles, cups" add="Add one" onAdd={() => onOpen({ kind: 'scoop' })}>
          {kitchen.scoops.map((x) => (
            <Item
              key={x.id}
              name={x.name}
              facts={`${x.ml} ml level`}
              onOpen={() => onOpen({ kind: 'scoop', thing: x })}
              onRemove={() => remove('scoops', x)}
            />
          ))}
        </Shelf>
      </Stack>
      <Stack spacing={3}>
        <Shelf title="Steamers" add="Add a steamer" onAdd={() => onOpen({ kind: 'steamer' })}>
          {kitchen.steamers.map((s) => (
            <Item
              key={s.id}
              name={s.name}
              facts={`${sayMm(s.innerDiameterM)} inside, clears ${sayMm(s.clearHeightM)}, ${s.tiers} ${s.tiers === 1 ? 'tier' : 'tiers'}, ${LID_WORDS[s.lid]}${learnedOf(kitchen, s.id)}`}
              onOpen={() => onOpen({ kind: 'steamer', thing: s })}
              onRemove={() => remove('steamers', s)}
            />
          ))}
        </Shelf>
        <Shelf title="Frying pans" add="Add a frying pan" onAdd={() => onOpen({ kind: 'pan' })}>
          {kitchen.fryingPans.map((p) => (
            <Item
              key={p.id}
              name={p.name}
              facts={`${p.shape === 'round' ? `${sayMm(p.diameterM)} across the base` : `${sayMm(p.diameterM)} by ${sayMm(p.widthM ?? p.diameterM)}`}, ${p.coating}, ${p.material}${p.lid ? ', with a lid' : ''}`}
              onOpen={() => onOpen({ kind: 'pan', thing: p })}
              onRemove={() => remove('fryingPans', p)}
            />
          ))}
        </Shelf>
        <Shelf title="Hob and rings" add="Add a hob" onAdd={() => onOpen({ kind: 'hob' })}>
          {kitchen.hobs.map((h) => (
            <Item
              key={h.id}
              name={h.name}
              facts={h.rings.map(ringFacts).join('; ')}
              onOpen={() => onOpen({ kind: 'hob', thing: h })}
              onRemove={() => remove('hobs', h)}
            />
          ))}
        </Shelf>
      </Stack>
    </Box>
  );
}
