import { useCallback } from 'react';
import type { Forecast } from '@/core/forecast';
import { readMass } from '@/core/larder';
import { gramsPerMeasure } from '../kit/measure';

/** Reads what is said of a line: grams, spoons or cups of what it is. */
export function useLineWords(forecast: Forecast | undefined) {
  return useCallback(
    (line: string, dry: boolean) => {
      // Spoons and cups of the larder are of what it is ready to use.
      if (dry) return undefined;
      const resolved = forecast?.light.resolved;
      const of = forecast?.light.flow.lines.find((l) => l.id === line)?.ingredient;
      const ingredient = of === undefined ? undefined : resolved?.larder.get(of);
      if (!ingredient || !resolved) return undefined;
      return (text: string) => readMass(text, ingredient, gramsPerMeasure(ingredient, resolved.kitchen));
    },
    [forecast],
  );
}
