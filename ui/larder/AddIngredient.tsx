'use client';
import { Typography } from '@mui/material';
import { useController, useWatch } from 'react-hook-form';
import { z } from 'zod';
import {
  BLEND_GUESSES,
  DIETS,
  keptBlend,
  larderOf,
  unlabelledBlend,
  type BlendGuess,
  type BlendPart,
  type Ingredient,
  type Larder,
} from '@/core/larder';
import type { Result } from '@/core/units';
import { ownId } from '../kit';
import { FormDialog } from '../kit/FormDialog';
import { FormChoice, FormNumber, FormWords } from '../kit/form';
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

const plantLike = (kind: Ingredient['kind']): boolean => kind !== 'protein' && kind !== 'seasoning' && kind !== 'fat';

interface Values {
  readonly way: Way;
  readonly name: string;
  readonly aliases: string;
  readonly label: LabelDraft;
  readonly parts: readonly BlendPart[];
  readonly guess: BlendGuess;
  readonly allergens: AllergenAnswer;
  readonly stockG: number | undefined;
}

/** What a pack, a blend or a guess says, without its other names. */
function readWay(v: Values, id: string, larder: Larder): Result<Omit<Ingredient, 'alsoCalled'>> {
  const name = v.name.trim();
  if (v.way === 'blend') return keptBlend(id, name, v.parts, larder);
  if (v.way === 'bought') return unlabelledBlend(id, name, v.guess, larder);
  const read = fromLabel(v.label);
  return read.ok
    ? { ok: true, value: { ...read.value, id, name, allergens: [], allergensStated: true, diets: [] } }
    : read;
}

/** The fields as an ingredient, or all that is missing of it. */
const ingredientFrom = (larder: Larder) =>
  z.custom<Values>().transform((v, ctx): Ingredient => {
    const missing = (message: string) => ctx.addIssue({ code: 'custom', message });
    const read = readWay(v, ownId(), larder);
    const asked = v.way !== 'blend';
    if (v.name.trim() === '') missing('Give the ingredient a name.');
    if (!read.ok) read.problems.forEach((p) => missing(p.sentence));
    if (asked && v.allergens === undefined)
      missing('Say which allergens are in it, or that there are none, or that they are not stated.');
    if (!read.ok) return z.NEVER;
    return {
      ...read.value,
      alsoCalled: v.aliases
        .split(',')
        .map((a) => a.trim())
        .filter((a) => a !== ''),
      ...(v.stockG === undefined ? {} : { stockG: v.stockG }),
      ...(asked && v.allergens
        ? {
            allergens: [...v.allergens.list],
            allergensStated: v.allergens.stated,
            // What was not stated fits no diet that could be broken by it.
            diets: v.allergens.stated && v.way === 'label' && plantLike(v.label.kind) ? [...DIETS] : [],
          }
        : {}),
    };
  });

/** What is asked of it, by the way it comes in. */
function WayFields({ larder }: { larder: Larder }) {
  const way = useWatch<Values, 'way'>({ name: 'way' });
  const { field: label } = useController<Values, 'label'>({ name: 'label' });
  const { field: parts } = useController<Values, 'parts'>({ name: 'parts' });
  const { field: allergens } = useController<Values, 'allergens'>({ name: 'allergens' });
  return (
    <>
      {way === 'label' ? <LabelForm draft={label.value} onChange={label.onChange} /> : null}
      {way === 'blend' ? <BlendForm parts={parts.value} larder={larder} onChange={parts.onChange} /> : null}
      {way === 'bought' ? (
        <>
          <FormChoice<BlendGuess>
            name="guess"
            label="It is probably"
            width={270}
            options={BLEND_GUESSES.map((g) => ({ value: g.id, words: g.words }))}
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
        <AllergenChoice value={allergens.value} onChange={allergens.onChange} />
      )}
    </>
  );
}

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
  return (
    <FormDialog<Values, Ingredient>
      title="Add to the larder"
      keepWords="Add it"
      schema={ingredientFrom(larder) as never}
      values={{
        way: 'label',
        name: called,
        aliases: '',
        label: BLANK_LABEL,
        parts: MILD,
        guess: 'rice-tapioca',
        allergens: undefined,
        stockG: undefined,
      }}
      thingOf={(v) => v}
      onClose={onClose}
      onKeep={onAdd}
    >
      <FormChoice<Way> name="way" label="What it is" width={270} options={WAYS} />
      <FormWords name="name" label="Name" />
      <FormWords
        name="aliases"
        label="Also called"
        most={300}
        helper="other names to find it by, with commas between"
      />
      <WayFields larder={larder} />
      <FormNumber name="stockG" clears label="In the cupboard" min={0} max={100000} unit="g" width={150} />
    </FormDialog>
  );
}
