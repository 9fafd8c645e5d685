'use client';
import { useMemo } from 'react';
import type { Kitchen } from '@/core/kitchen';
import { deviceStore, readKept, useDeviceStore } from '../kit/deviceStore';

const KEPT = deviceStore('idle-ladle/have');
/** What hardly any kitchen is without. */
const PANTRY = ['fine-salt', 'white-sugar', 'oil'] as const;

/** What the cook says is at hand, remembered on this device; until she says, what the larder keeps grams of and what no kitchen is without. */
export function useHave(kitchen: Kitchen): readonly [ReadonlySet<string>, (id: string, at: boolean) => void] {
  const raw = useDeviceStore(KEPT);
  const have = useMemo((): ReadonlySet<string> => {
    const said = readKept(raw, (x) => (Array.isArray(x) ? x.filter((id) => typeof id === 'string') : undefined));
    return new Set(said ?? [...PANTRY, ...kitchen.ingredients.filter((i) => (i.stockG ?? 0) > 0).map((i) => i.id)]);
  }, [raw, kitchen.ingredients]);
  return [
    have,
    (id, at) => {
      const next = new Set(have);
      if (at) next.add(id);
      else next.delete(id);
      KEPT.set(JSON.stringify([...next]));
    },
  ];
}
