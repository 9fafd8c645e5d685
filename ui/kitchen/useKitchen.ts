'use client';
import { createContext, useCallback, useContext, useMemo, useState } from 'react';
import type { Kitchen } from '@/core/kitchen';
import type { Ingredient } from '@/core/larder';
import { request } from '../kit';

/** The shelves of the kitchen. */
export type RackKind =
  'ingredients' | 'vessels' | 'steamers' | 'hobs' | 'fryingPans' | 'pots' | 'appliances' | 'scoops';

interface Answer {
  readonly settings: { readonly revision: number; readonly value: Record<string, unknown> };
  readonly kitchen: Kitchen;
}

export interface KitchenHand {
  readonly kitchen: Kitchen;
  /** Writes one thing of the rack or larder and takes in the kitchen as it then is. */
  readonly keepThing: <T extends { readonly id: string }>(kind: RackKind, thing: T) => Promise<void>;
  readonly removeThing: (kind: RackKind, id: string) => Promise<void>;
  readonly keepSettings: (change: Partial<Kitchen>) => Promise<void>;
}

/** The kitchen as it stands, with writes that take effect on the page at once. */
export function useKitchenHand(initial: Kitchen): KitchenHand {
  const [kitchen, setKitchen] = useState(initial);
  const refresh = useCallback(async () => setKitchen((await request<Answer>('/api/kitchen')).kitchen), []);
  const keepThing = useCallback<KitchenHand['keepThing']>(
    async (kind, thing) => {
      await request(`/api/rack/${kind}/${encodeURIComponent(thing.id)}`, 'PUT', thing);
      await refresh();
    },
    [refresh],
  );
  const removeThing = useCallback<KitchenHand['removeThing']>(
    async (kind, id) => {
      await request(`/api/rack/${kind}/${encodeURIComponent(id)}`, 'DELETE');
      await refresh();
    },
    [refresh],
  );
  const keepSettings = useCallback<KitchenHand['keepSettings']>(
    async (change) => {
      const now = await request<Answer>('/api/kitchen');
      await request('/api/kitchen', 'PUT', {
        revision: now.settings.revision,
        value: { ...now.settings.value, ...change },
      });
      await refresh();
    },
    [refresh],
  );
  return useMemo(
    () => ({ kitchen, keepThing, removeThing, keepSettings }),
    [kitchen, keepThing, removeThing, keepSettings],
  );
}

export const KitchenContext = createContext<KitchenHand | undefined>(undefined);

/** The kitchen around this part of the page, where there is one. */
export const useKitchenMaybe = (): KitchenHand | undefined => useContext(KitchenContext);

export function useKitchen(): KitchenHand {
  const hand = useContext(KitchenContext);
  if (!hand) throw new Error('no kitchen around this part of the page');
  return hand;
}

/** An ingredient as the cook's own, with a change. */
export const ownIngredient = (i: Ingredient, change: Partial<Ingredient>): Ingredient => ({
  ...i,
  ...change,
  source: 'cook',
});
