'use client';
import { TextField, Typography } from '@mui/material';
import { useState } from 'react';
import {
  BLEND_GUESSES,
  DIETS,
  keptBlend,
  larderOf,
  unlabelledBlend,
  type BlendGuess,
  type BlendPart,
  type Ingredient,
} from '@/core/larder';
import type { Result } from '@/core/units';
import { Choice, KeepDialog, NumberField } from '../kit';
import { useKitchenMaybe } from '../kitchen/useKitchen';
import { AllergenChoice, type AllergenAnswer } from './AllergenChoice';
import { BlendForm } from './BlendForm';
import { BLANK_LABEL, fromLabel, LabelForm, type LabelDraft } from './LabelForm';

const WAYS = [
  { value: 'label', words: 'From a label' },
  { value: 'blend', words: 'A dry blend of my own' },
  { value: 'bought', words: 'A bought blend without a label' },
] as const;
type Way = (typeof WAYS)[number]['value'];

const MILD: readonly BlendPart[] = [
  { ingredient: 'rice-flour-fine', share: 400 },
  { ingredient: 'tapioca', share: 100 },
];

/** A new ingredient: from the panel of its pack, a dry blend kept as one item, or a bought blend of which nothing is known yet. */
export function AddIngredient({
  called = '',
  onClose,
  onAdd,
}: {
  /** What was typed when it was not found. */
  called?: string;
  onClose: () => void;
  onAdd: (i: Ingredient) => Promise<void>;
}) {
  const hand = useKitchenMaybe();
  const larder = larderOf(hand?.kitchen.ingredients ?? []);
  const [way, setWay] = useState<Way>('label');
  const [name, setName] = useState(called);
  const [aliases, setAliases] = useState('');
  const [label, setLabel] = useState<LabelDraft>(BLANK_LABEL);
  const [parts, setParts] = useState<readonly BlendPart[]>(MILD);
  const [guess, setGuess] = useState<BlendGuess>('rice-tapioca');
  const [allergens, setAllergens] = useState<AllergenAnswer>(undefined);
  const [stockG, setStockG] = useState<number | undefined>(undefined);

  const made = (id: string): Result<Omit<Ingredient, 'alsoCalled'>> => {
    if (way === 'blend') return keptBlend(id, name.trim(), parts, larder);
    if (way === 'bought') return unlabelledBlend(id, name.trim(), guess, larder);
    const read = fromLabel(label);
    return read.ok
      ? { ok: true, value: { ...read.value, id, name: name.trim(), allergens: [], allergensStated: true, diets: [] } }
      : read;
  };
  const add = async () => {
    const result = made(`own-${crypto.randomUUID().slice(0, 8)}`);
    const asked = way !== 'blend';
    const said = [
      ...(name.trim() === '' ? ['Give the ingredient a name.'] : []),
      ...(result.ok ? [] : result.problems.map((p) => p.sentence)),
      ...(asked && allergens === undefined
        ? ['Say which allergens are in it, or that there are none, or that they are not stated.']
        : []),
    ];
    if (said.length > 0 || !result.ok) return said;
    const alsoCalled = aliases
      .split(',')
      .map((a) => a.trim())
      .filter((a) => a !== '');
    await onAdd({
      ...result.value,
      alsoCalled,
      ...(stockG === undefined ? {} : { stockG }),
      ...(asked && allergens
        ? {
            allergens: [...allergens.list],
            allergensStated: allergens.stated,
            // What was not stated fits no diet that could be broken by it.
            diets: allergens.stated && way === 'label' && plantLike(label.kind) ? [...DIETS] : [],
          }
        : {}),
    });
    return [];
  };
  return (
    <KeepDialog title="Add to the larder" keepWords="Add it" onClose={onClose} onKeep={add}>
      <Choice label="What it is" value={way} width={270} options={WAYS} onChange={setWay} />
      <TextField label="Name" value={name} onChange={(e) => setName(e.target.value.slice(0, 160))} />
      <TextField
        label="Also called"
        value={aliases}
        onChange={(e) => setAliases(e.target.value.slice(0, 300))}
        helperText="other names to find it by, with commas between"
      />
      {way === 'label' ? <LabelForm draft={label} onChange={setLabel} /> : null}
      {way === 'blend' ? <BlendForm parts={parts} larder={larder} onChange={setParts} /> : null}
      {way === 'bought' ? (
        <>
          <Choice
            label="It is probably"
            value={guess}
            width={270}
            options={BLEND_GUESSES.map((g) => ({ value: g.id, words: g.words }))}
            onChange={setGuess}
          />
          <Typography variant="body2" color="text.secondary">
            A drain test in the Water part of a plan settles how much liquid it takes; after the first batch say here
            how it set.
          </Typography>
        </>
      ) : null}
      {way === 'blend' ? (
        <Typography variant="body2" color="text.secondary">
          Its allergens are those of its flours.
        </Typography>
      ) : (
        <AllergenChoice value={allergens} onChange={setAllergens} />
      )}
      <NumberField
        label="In the cupboard"
        value={stockG}
        min={0}
        max={100000}
        unit="g"
        width={150}
        onChange={setStockG}
        onClear={() => setStockG(undefined)}
      />
    </KeepDialog>
  );
}

const plantLike = (kind: Ingredient['kind']): boolean => kind !== 'protein' && kind !== 'seasoning' && kind !== 'fat';
