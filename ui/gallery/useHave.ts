'use client';
import { useMemo } from 'react';
import type { Kitchen } from '@/core/kitchen';
import { deviceStore, useDeviceStore } from '../kit/deviceStore';

const KEPT = deviceStore('idle-ladle/have');
/** What hardly any kitchen is without. */
const PANTRY = ['fine-salt', 'white-sugar', 'oil'] as const;

/** What the cook says is at hand, remembered on this device; until she says, what the larder keeps grams of and what no kitchen is without. */
export function useHave(kitchen: Kitchen): readonly [ReadonlySet<string>, (id: string, at: boolean) => void] {
  const raw = useDeviceStore(KEPT);
  const have = useMemo((): ReadonlySet<string> => {
    try {
      const said: unknown = raw === null ? undefined : JSON.parse(raw);
      if (Array.isArray(said)) return new Set(said.filter((x) => typeof x === 'string'));
    } catch {
      /* what cannot be read was not said */
    }
    return new Set([...PANTRY, ...kitchen.ingredients.filter((i) => (i.stockG ?? 0) > 0).map((i) => i.id)]);
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
