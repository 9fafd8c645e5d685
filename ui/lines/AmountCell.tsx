'use client';
import { useState } from 'react';
import { readMass, type Ingredient } from '@/core/larder';
import { sayGrams, timesAmount } from '@/core/units';
import { NumberField, type FieldLook } from '../kit';
import { useKitchen } from '../kitchen/useKitchen';
import { MyCupField } from './MyCupField';
import { gramsPerMeasure, showIn, useMeasure, type Shown } from '../kit/measure';

/** One amount, shown and edited in the cook's measure; the plan keeps grams. */
export function AmountCell({
  ingredient,
  name,
  massG,
  onChange,
  as = 'bare',
}: {
  ingredient: Ingredient | undefined;
  name: string;
  massG: number;
  onChange: (massG: number) => void;
  as?: FieldLook;
}) {
  const { kitchen } = useKitchen();
  const [measure] = useMeasure();
  // Cups turn into spoons as the amount shrinks, but not under the cook's fingers.
  const [held, setHeld] = useState<{ readonly shown: Shown; readonly massG: number } | undefined>(undefined);
  const width = { xs: 88, sm: 112 };
  if (!ingredient || measure === 'g')
    return (
      <NumberField
        as={as}
        label={`Grams of ${name}`}
        value={massG}
        min={0}
        max={50000}
        unit="g"
        width={width}
        words={ingredient ? (text) => readMass(text, ingredient, gramsPerMeasure(ingredient, kitchen)) : undefined}
        onChange={onChange}
      />
    );
  const now = showIn(measure, massG, ingredient, kitchen);
  const { unit, perUnitG } = held?.shown ?? now;
  const aside = `${sayGrams(massG)}${now.note ? `, ${now.note}` : ''}`;
  const flourLike = measure === 'cups' && ingredient.dipFactor > 1.01;
  return (
    <span
      style={{
        display: as === 'said' ? 'inline' : 'inline-flex',
        flexDirection: 'column',
        alignItems: 'flex-end',
        gap: 6,
      }}
    >
      <NumberField
        as={as}
        label={`Amount of ${name}`}
        value={held && held.massG !== massG ? massG / perUnitG : (held?.shown ?? now).rounded.value}
        min={0}
        max={50000}
        decimals={3}
        fractions
        unit={unit}
        width={width}
        words={(text) => timesAmount(readMass(text, ingredient, gramsPerMeasure(ingredient, kitchen)), 1 / perUnitG)}
        onChange={(v) => onChange(v * perUnitG)}
        onFocus={() => setHeld({ shown: now, massG })}
        onBlur={() => setHeld(undefined)}
      />
      {as === 'said' ? <small> ({aside})</small> : <small style={{ textAlign: 'right' }}>{aside}</small>}
      {flourLike && as !== 'said' ? <MyCupField ingredient={ingredient} /> : null}
    </span>
  );
}
