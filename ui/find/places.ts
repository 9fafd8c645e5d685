import { FAMILIES } from '@/core/families';
import type { Findable } from '@/core/desk/finder';

/** Something found: what it is, what stands beside it, and where it leads. */
export interface Place extends Findable {
  readonly beside: string;
  readonly href: string;
}

/** What can be done from anywhere, by the words a cook would use for it. */
export const ACTIONS: readonly Place[] = [
  {
    id: 'new',
    name: 'New plan',
    also: ['begin a cake', 'what shall I make'],
    beside: 'which cake?',
    href: '/plans/new',
  },
  {
    id: 'have',
    name: 'What can I make of what I have',
    also: ['cupboard', 'leftover', 'open can'],
    beside: 'ranked',
    href: '/plans/new?of=have',
  },
  { id: 'galley', name: 'Galley', also: ['home', 'plans'], beside: 'plans, stove, fridge', href: '/' },
  {
    id: 'rack',
    name: 'Rack',
    also: ['vessels', 'pans', 'tins', 'steamers', 'hobs', 'rings'],
    beside: 'pans and steamers',
    href: '/rack',
  },
  {
    id: 'larder',
    name: 'Larder',
    also: ['ingredients', 'stock', 'cups', 'add an ingredient'],
    beside: 'ingredients',
    href: '/larder',
  },
  {
    id: 'notebook',
    name: 'Notebook',
    also: ['batches', 'tastings', 'history'],
    beside: 'what was cooked',
    href: '/notebook',
  },
  {
    id: 'learned',
    name: 'What was learned',
    also: ['time factors', 'my steamer'],
    beside: 'of this kitchen',
    href: '/notebook/learned',
  },
  {
    id: 'copies',
    name: 'Save a copy of the kitchen',
    also: ['back up', 'backup', 'export', 'copies', 'archive', 'save everything'],
    beside: 'one file',
    href: '/copies',
  },
  {
    id: 'open-copy',
    name: 'Open a copy of a kitchen',
    also: ['restore', 'import', 'put back', 'move to another machine', 'undo a copy'],
    beside: 'shown first',
    href: '/copies',
  },
  {
    id: 'deleted',
    name: 'Deleted',
    also: ['trash', 'bin', 'bring back'],
    beside: 'plans, batches, photos',
    href: '/trash',
  },
  ...FAMILIES.map((f) => ({
    id: `begin-${f.id}`,
    name: `Begin ${/^[aeiou]/i.test(f.name) ? 'an' : 'a'} ${f.name.toLowerCase()}`,
    also: [f.name, f.about],
    beside: 'new plan',
    href: `/plans/new?begin=${f.id}`,
  })),
];
