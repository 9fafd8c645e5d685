'use client';
import { createContext, useContext, useMemo } from 'react';
import type { Kitchen } from '@/core/kitchen';
import type { Ingredient } from '@/core/larder';
import type { KitchenState } from '@/db';
import { useKitchenNow } from './kitchenNow';
import type { PackedKitchen } from './packed';
import { useSettings, type SettingsHand } from './useSettings';
import { useThings, type ThingsHand } from './useThings';

export type { RackKind } from '@/db';
export type { SettingsChange } from './useSettings';
export { ChangedElsewhere } from './useThings';

export interface KitchenHand extends ThingsHand, SettingsHand {
  readonly kitchen: Kitchen;
  readonly unreadable: KitchenState['unreadable'];
}

/** The kitchen as it stands, with writes that honour what other pages wrote, take effect here at once and can be taken back. */
export function useKitchenHand(sent: PackedKitchen): KitchenHand {
  const kitchen = useKitchenNow(sent);
  const { state } = kitchen;
  const { keepThing, removeThing } = useThings(kitchen);
  const { keepSettings, replaceSettings } = useSettings(kitchen);
  return useMemo(
    () => ({
      kitchen: state.kitchen,
      unreadable: state.unreadable,
      keepThing,
      removeThing,
      keepSettings,
      replaceSettings,
    }),
    [state, keepThing, removeThing, keepSettings, replaceSettings],
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
