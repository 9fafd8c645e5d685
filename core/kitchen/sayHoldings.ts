import { plural } from '../units';

/** How much there is in a kitchen. */
export interface Holdings {
  readonly plans: number;
  readonly batches: number;
  readonly photos: number;
  /** Things of rack and larder. */
  readonly things: number;
}
/** "4 plans, 6 batches, 2 photos, 34 things of rack and larder". */
export const sayHoldings = ({ plans, batches, photos, things }: Holdings): string =>
  [
    plural(plans, 'plan'),
    plural(batches, 'batch', 'batches'),
    plural(photos, 'photo'),
    plural(things, 'thing of rack and larder', 'things of rack and larder'),
  ].join(', ');
