'use client';
import { Stack, Typography } from '@mui/material';
import { readMass, type Ingredient } from '@/core/larder';
import { CUP_ML, timesAmount } from '@/core/units';
import { NumberField } from '../kit';
import { useKitchen } from '../kitchen/useKitchen';
import { gramsPerMeasure, showIn, useMeasure } from './measure';

/** One amount, shown and edited in the cook's measure; the plan keeps grams. */
export function AmountCell({
  ingredient,
  name,
  massG,
  onChange,
}: {
  ingredient: Ingredient | undefined;
  name: string;
  massG: number;
  onChange: (massG: number) => void;
}) {
  const { kitchen, keepSettings } = useKitchen();
  const [measure] = useMeasure();
  const width = { xs: 88, sm: 112 };
  if (!ingredient || measure === 'g')
    return (
      <NumberField
        bare
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
  const shown = showIn(measure, massG, ingredient, kitchen);
  const flourLike = measure === 'cups' && ingredient.dipFactor > 1.01;
  return (
    <Stack spacing={0.75} sx={{ alignItems: 'flex-end' }}>
      <NumberField
        bare
        label={`Amount of ${name}`}
        value={shown.rounded.value}
        min={0}
        max={50000}
        decimals={3}
        fractions
        unit={shown.unit}
        width={width}
        words={(text) =>
          timesAmount(readMass(text, ingredient, gramsPerMeasure(ingredient, kitchen)), 1 / shown.perUnitG)
        }
        onChange={(v) => onChange(v * shown.perUnitG)}
      />
      <Typography variant="caption" color="text.secondary" sx={{ textAlign: 'right' }}>
        {Math.round(massG * 10) / 10} g{shown.note ? `, ${shown.note}` : ''}
      </Typography>
      {flourLike ? (
        <NumberField
          label={`My ${CUP_ML[kitchen.cup]} ml cup`}
          value={kitchen.myCups[ingredient.id]}
          min={1}
          max={2000}
          unit="g"
          width={{ xs: 88, sm: 128 }}
          onChange={(g) => void keepSettings({ myCups: { ...kitchen.myCups, [ingredient.id]: g } })}
          onClear={() =>
            void keepSettings({
              myCups: Object.fromEntries(Object.entries(kitchen.myCups).filter(([id]) => id !== ingredient.id)),
            })
          }
        />
      ) : null}
    </Stack>
  );
}
