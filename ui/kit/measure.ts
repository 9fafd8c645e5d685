'use client';
import { useCallback } from 'react';
import { CUP_ML, roundSpoonOrCup, sayGrams, TABLESPOON_ML, TEASPOON_ML, type Rounded } from '@/core/units';
import type { Kitchen } from '@/core/kitchen';
import { usedFrom, type GramsPerMeasure, type Ingredient } from '@/core/larder';
import { deviceStore, useDeviceStore } from './deviceStore';

export const MEASURES = ['g', 'cups', 'packs'] as const;
export type Measure = (typeof MEASURES)[number];
export const MEASURE_WORDS: Readonly<Record<Measure, string>> = {
  g: 'By weight',
  cups: 'Cups and spoons',
  packs: 'Packs, pieces',
};

const KEPT = deviceStore('idle-ladle/measure');

/** The cook's choice of measure, remembered on this device. Plans keep grams whatever is shown, so nothing drifts. */
export function useMeasure(): readonly [Measure, (m: Measure) => void] {
  const kept = useDeviceStore(KEPT);
  const choose = useCallback((m: Measure) => void KEPT.set(m), []);
  return [MEASURES.find((m) => m === kept) ?? 'g', choose];
}

/** Grams of one of this cook's cups: weighed by them, or the regional cup times the table's density. */
export function gramsPerCup(i: Ingredient, kitchen: Kitchen): { readonly grams: number; readonly mine: boolean } {
  const mine = kitchen.myCups[i.id];
  return mine === undefined
    ? { grams: CUP_ML[kitchen.cup] * i.bulkDensityGPerMl, mine: false }
    : { grams: mine, mine: true };
}

/** Grams of an ingredient in this cook's cup, spoons and ml. */
export function gramsPerMeasure(i: Ingredient, kitchen: Kitchen): GramsPerMeasure {
  const cup = gramsPerCup(i, kitchen).grams;
  const ml = cup / CUP_ML[kitchen.cup];
  return { cup, tablespoon: ml * TABLESPOON_ML[kitchen.tablespoon], teaspoon: ml * TEASPOON_ML, ml };
}

/** Light hands spoon a flour down to this share of its usual density, where nothing better is known. */
const LIGHT = 0.9;

export interface Shown {
  readonly unit: string;
  readonly perUnitG: number;
  readonly rounded: Rounded;
  readonly note: string;
}

/** An amount in the chosen measure: packs and pieces, or cups and spoons by size, with what is lost by rounding and the spoon-or-scoop spread. */
export function showIn(measure: Measure, massG: number, i: Ingredient, kitchen: Kitchen): Shown {
  if (measure === 'packs' && (i.piece || i.pack)) {
    // As bought: what is peeled off or soaked up stands between the piece and the grams of the plan.
    const [unit, oneG] = i.piece
      ? ([i.piece.word, i.piece.massG] as const)
      : ([i.pack?.word ?? 'pack', i.pack?.massG ?? 1] as const);
    const perUnitG = usedFrom(i, oneG);
    const value = Math.round((massG / perUnitG) * 100) / 100;
    return {
      unit,
      perUnitG,
      rounded: { value, error: massG ? (value * perUnitG) / massG - 1 : 0, mustSay: false },
      note: i.piece
        ? i.piece.weighed
          ? `${sayGrams(oneG)} in one, by your weighing`
          : `${i.piece.fromG} to ${i.piece.toG} g in one, weigh it`
        : `${oneG} g in one`,
    };
  }
  if (measure === 'g' || measure === 'packs')
    return { unit: 'g', perUnitG: 1, rounded: { value: massG, error: 0, mustSay: false }, note: '' };
  const { mine } = gramsPerCup(i, kitchen);
  const per = gramsPerMeasure(i, kitchen);
  const [unit, perUnitG] =
    massG >= per.cup / 4
      ? (['cup', per.cup] as const)
      : massG >= per.tablespoon
        ? (['tbsp', per.tablespoon] as const)
        : (['tsp', per.teaspoon] as const);
  const rounded = roundSpoonOrCup(massG / perUnitG, unit);
  const spread =
    !mine && i.dipFactor > 1.01
      ? `${Math.round((rounded.value * perUnitG * (i.lightDensityGPerMl ?? i.bulkDensityGPerMl * LIGHT)) / i.bulkDensityGPerMl)} g by light hands, ${Math.round(rounded.value * perUnitG)} spooned, ${Math.round(rounded.value * perUnitG * i.dipFactor)} scooped`
      : mine
        ? 'by your cup'
        : '';
  return {
    unit,
    perUnitG,
    rounded,
    note: [
      rounded.mustSay
        ? `rounded ${rounded.error > 0 ? 'up' : 'down'} ${Math.abs(Math.round(rounded.error * 100))} %`
        : '',
      spread,
    ]
      .filter(Boolean)
      .join('; '),
  };
}
