'use client';
import { Button, Dialog, DialogActions, DialogContent, DialogTitle, Stack, TextField, Typography } from '@mui/material';
import { useState } from 'react';
import {
  compositionFromLabel,
  INGREDIENT_KINDS,
  INGREDIENT_TABLE,
  STARCH_KINDS,
  type Ingredient,
  type Label,
} from '@/core/larder';
import { Choice, NumberField, Say } from '../kit';

const BLANK: Label = { energyKJ: undefined, fatG: 0, carbohydrateG: 0, sugarsG: 0, fibreG: 0, proteinG: 0, saltG: 0 };
const ROWS: readonly (readonly [keyof Label, string, string])[] = [
  ['energyKJ', 'Energy', 'kJ'],
  ['fatG', 'Fat', 'g'],
  ['carbohydrateG', 'Carbohydrate', 'g'],
  ['sugarsG', 'of which sugars', 'g'],
  ['fibreG', 'Fibre', 'g'],
  ['proteinG', 'Protein', 'g'],
  ['saltG', 'Salt', 'g'],
];

/** A new ingredient from the per-100 g panel of its pack, checked for what cannot be. */
export function AddIngredient({
  open,
  onClose,
  onAdd,
}: {
  open: boolean;
  onClose: () => void;
  onAdd: (i: Ingredient) => Promise<void>;
}) {
  const [name, setName] = useState('');
  const [kind, setKind] = useState<Ingredient['kind']>('flour');
  const [starchKind, setStarchKind] = useState<(typeof STARCH_KINDS)[number]>('rice');
  const [density, setDensity] = useState(0.55);
  const [label, setLabel] = useState<Label>(BLANK);
  const [trouble, setTrouble] = useState<readonly string[]>([]);
  const starchy = kind === 'flour' || kind === 'starch' || kind === 'grain';
  const add = async () => {
    const composition = compositionFromLabel(label);
    const said = [
      ...(name.trim() === '' ? ['Give the ingredient a name.'] : []),
      ...(composition.ok ? [] : composition.problems.map((p) => p.sentence)),
    ];
    setTrouble(said);
    if (said.length > 0 || !composition.ok) return;
    const like = INGREDIENT_TABLE.find((i) => i.starchKind === starchKind);
    try {
      await onAdd({
        id: `own-${crypto.randomUUID().slice(0, 8)}`,
        name: name.trim(),
        kind,
        per100: composition.value,
        bulkDensityGPerMl: density,
        dipFactor: starchy ? 1.15 : 1,
        allergens: [],
        diets: [],
        source: 'cook',
        ...(starchy
          ? { starchKind, absorption: like?.absorption, grainUm: like?.grainUm, amylose: like?.amylose }
          : {}),
      });
      setName('');
      setLabel(BLANK);
    } catch (e) {
      setTrouble([e instanceof Error ? e.message : 'It could not be kept; try again.']);
    }
  };
  return (
    <Dialog open={open} onClose={onClose} fullWidth maxWidth="sm">
      <DialogTitle>Add from a label</DialogTitle>
      <DialogContent>
        <Stack spacing={1.5} sx={{ pt: 1 }}>
          <TextField label="Name" value={name} onChange={(e) => setName(e.target.value.slice(0, 160))} />
          <Stack direction="row" spacing={1.5} useFlexGap sx={{ flexWrap: 'wrap' }}>
            <Choice
              label="Kind"
              value={kind}
              width={150}
              options={INGREDIENT_KINDS.map((k) => ({ value: k, words: k }))}
              onChange={setKind}
            />
            {starchy ? (
              <Choice
                label="Its starch"
                value={starchKind}
                width={170}
                options={STARCH_KINDS.map((k) => ({
                  value: k,
                  words: k.replace(/[A-Z]/g, (c) => ` ${c.toLowerCase()}`),
                }))}
                onChange={setStarchKind}
              />
            ) : null}
            <NumberField
              label="Spooned density"
              value={density}
              min={0.1}
              max={2}
              decimals={2}
              unit="g/ml"
              width={150}
              onChange={setDensity}
            />
          </Stack>
          <Typography variant="body2">As the pack prints it, in 100 g:</Typography>
          <Stack direction="row" spacing={1.5} useFlexGap sx={{ flexWrap: 'wrap' }}>
            {ROWS.map(([key, words, unit]) => (
              <NumberField
                key={key}
                label={words}
                value={label[key]}
                min={0}
                max={key === 'energyKJ' ? 4000 : 5000}
                decimals={2}
                unit={unit}
                width={150}
                onChange={(v) => setLabel((l) => ({ ...l, [key]: v }))}
                onClear={key === 'energyKJ' ? () => setLabel((l) => ({ ...l, energyKJ: undefined })) : undefined}
              />
            ))}
          </Stack>
          {trouble.map((t) => (
            <Say key={t} tone="stop" role="alert">
              {t}
            </Say>
          ))}
        </Stack>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>Leave it</Button>
        <Button variant="contained" onClick={() => void add()}>
          Add it
        </Button>
      </DialogActions>
    </Dialog>
  );
}
