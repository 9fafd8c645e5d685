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
    ...(plans > 0 ? [plural(plans, 'plan')] : []),
    ...(batches > 0 ? [plural(batches, 'batch', 'batches')] : []),
    ...(photos > 0 ? [plural(photos, 'photo')] : []),
    ...(things > 0 ? [plural(things, 'thing of rack and larder', 'things of rack and larder')] : []),
  ].join(', ') || 'nothing yet';
