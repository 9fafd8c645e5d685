import type { Kitchen } from '@/core/kitchen';
import { fromTable, likeTable, type LikeTable } from '@/core/larder';
import type { KitchenState, Settings } from '@/db';

/** A kitchen as a page is sent it: nothing said twice, and of the shipped larder only what is other here. */
export interface PackedKitchen {
  readonly kitchen: Omit<Kitchen, 'ingredients'>;
  readonly ingredients: readonly LikeTable[];
  readonly settingsRevision: number;
  readonly revisions: KitchenState['revisions'];
  readonly unreadable: KitchenState['unreadable'];
}

export function packKitchen({ kitchen, settings, revisions, unreadable }: KitchenState): PackedKitchen {
  const { ingredients, ...rest } = kitchen;
  return {
    kitchen: rest,
    ingredients: ingredients.map(likeTable),
    settingsRevision: settings.revision,
    revisions,
    unreadable,
  };
}

export function unpackKitchen(p: PackedKitchen): KitchenState {
  const kitchen = { ...p.kitchen, ingredients: p.ingredients.map(fromTable) };
  const shelves = new Set([...Object.keys(p.revisions), 'format', 'version']);
  return {
    kitchen,
    // The settings are what of a kitchen stands on no shelf.
    settings: {
      revision: p.settingsRevision,
      value: Object.fromEntries(Object.entries(kitchen).filter(([k]) => !shelves.has(k))) as unknown as Settings,
    },
    revisions: p.revisions,
    unreadable: p.unreadable,
  };
}
