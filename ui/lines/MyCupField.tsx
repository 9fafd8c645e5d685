'use client';
import type { Ingredient } from '@/core/larder';
import { CUP_ML } from '@/core/units';
import { NumberField } from '../kit';
import { useKitchen } from '../kitchen/useKitchen';

/** What this cook's own cup of something weighs, g; empty, the table's density is taken. */
export function MyCupField({ ingredient }: { ingredient: Ingredient }) {
  const { kitchen, keepSettings } = useKitchen();
  const { id, name } = ingredient;
  return (
    <NumberField
      settled
      label={`My ${CUP_ML[kitchen.cup]} ml cup`}
      value={kitchen.myCups[id]}
      min={1}
      max={2000}
      unit="g"
      width={{ xs: 88, sm: 128 }}
      onChange={(g) =>
        void keepSettings({ myCups: { [id]: g } }, `Your cup of ${name} is taken as ${Math.round(g)} g.`)
      }
      onClear={() => void keepSettings({ myCups: { [id]: undefined } }, `A cup of ${name} is the table’s again.`)}
    />
  );
}
