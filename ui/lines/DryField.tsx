'use client';
import { dryFromSoaked, soakedFromDry, type Ingredient, type Soak } from '@/core/larder';
import { NumberField, type FieldLook, type FieldWidth } from '../kit';

/** A dried thing by what is weighed dry; the plan keeps what it weighs ready to use. */
export function DryField({
  ingredient,
  massG,
  soak,
  onChange,
  ...look
}: {
  ingredient: Ingredient;
  massG: number;
  soak: Soak;
  onChange: (massG: number) => void;
  label: string;
  as?: FieldLook;
  width?: FieldWidth;
}) {
  return (
    <NumberField
      {...look}
      value={dryFromSoaked(ingredient, massG, soak)}
      min={0}
      max={5000}
      unit="g"
      onChange={(dry) => onChange(Math.round(soakedFromDry(ingredient, dry, soak) * 100) / 100)}
    />
  );
}
