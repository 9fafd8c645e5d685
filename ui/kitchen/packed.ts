import type { Kitchen } from '@/core/kitchen';
import { fromTable, likeTable, type LikeTable } from '@/core/larder';
import type { KitchenState, PastBlend, Settings } from '@/db';

/** A kitchen as a page is sent it: nothing said twice, and of the shipped larder only what is other here. */
export interface PackedKitchen {
  readonly kitchen: Omit<Kitchen, 'ingredients'>;
  readonly ingredients: readonly LikeTable[];
  readonly settingsRevision: number;
  /** Those that are not the first, and of what is no thing of its shelf; 0: a thing that is in no row of its own. */
  readonly revisions: Partial<KitchenState['revisions']>;
  readonly unreadable: KitchenState['unreadable'];
}

type Shelf = keyof KitchenState['revisions'];
// Each named once, or it does not compile.
const EACH: Readonly<Record<Shelf, null>> = {
  ingredients: null,
  vessels: null,
  steamers: null,
  hobs: null,
  fryingPans: null,
  pots: null,
  appliances: null,
  scoops: null,
};
const SHELVES = Object.keys(EACH) as Shelf[];
const idsOn = (kitchen: Kitchen, shelf: Shelf): readonly string[] => kitchen[shelf].map((thing) => thing.id);

/** What of the revisions is not as it mostly is: the first of each thing of its shelf. */
function packRevisions(kitchen: Kitchen, revisions: KitchenState['revisions']): PackedKitchen['revisions'] {
  const shelves = SHELVES.map((shelf) => {
    const things = new Set(idsOn(kitchen, shelf));
    const ids = [...new Set([...things, ...Object.keys(revisions[shelf])])];
    const other = ids.filter((id) => revisions[shelf][id] !== 1 || !things.has(id));
    return [shelf, Object.fromEntries(other.map((id) => [id, revisions[shelf][id] ?? 0]))] as const;
  });
  return Object.fromEntries(shelves.filter(([, other]) => Object.keys(other).length > 0));
}

function unpackRevisions(kitchen: Kitchen, packed: PackedKitchen['revisions']): KitchenState['revisions'] {
  const shelves = SHELVES.map((shelf) => {
    const all = { ...Object.fromEntries(idsOn(kitchen, shelf).map((id) => [id, 1])), ...packed[shelf] };
    return [shelf, Object.fromEntries(Object.entries(all).filter(([, revision]) => revision > 0))] as const;
  });
  return Object.fromEntries(shelves) as KitchenState['revisions'];
}

/** Past batches as dots of a drawing: shares to a thousandth. */
export const packBlends = (past: readonly PastBlend[]): readonly PastBlend[] =>
  past.map((b) => ({
    ...b,
    shares: Object.fromEntries(Object.entries(b.shares).map(([id, share]) => [id, Math.round(1000 * share) / 1000])),
  }));

export function packKitchen({ kitchen, settings, revisions, unreadable }: KitchenState): PackedKitchen {
  const { ingredients, ...rest } = kitchen;
  return {
    kitchen: rest,
    ingredients: ingredients.map(likeTable),
    settingsRevision: settings.revision,
    revisions: packRevisions(kitchen, revisions),
    unreadable,
  };
}

export function unpackKitchen(p: PackedKitchen): KitchenState {
  const kitchen = { ...p.kitchen, ingredients: p.ingredients.map(fromTable) };
  const shelves = new Set<string>([...SHELVES, 'format', 'version']);
  return {
    kitchen,
    // The settings are what of a kitchen stands on no shelf.
    settings: {
      revision: p.settingsRevision,
      value: Object.fromEntries(Object.entries(kitchen).filter(([k]) => !shelves.has(k))) as unknown as Settings,
    },
    revisions: unpackRevisions(kitchen, p.revisions),
    unreadable: p.unreadable,
  };
}
