import type {
  batchStore,
  Clock,
  Database,
  kitchenStore,
  KitchenState,
  photoStore,
  planStore,
  trashStore,
  watchForDamage,
} from '@/db';
import type { Heavy } from './heavy';

/** The kitchen's repositories, its clock, and what of them is kept until something is written. */
export interface BaseStore {
  readonly db: Database;
  readonly plans: ReturnType<typeof planStore>;
  readonly kitchen: ReturnType<typeof kitchenStore>;
  readonly batches: ReturnType<typeof batchStore>;
  readonly photos: ReturnType<typeof photoStore>;
  /** What was deleted and can be brought back. */
  readonly trash: ReturnType<typeof trashStore>;
  /** Looks for damage by turns. */
  readonly damage: ReturnType<typeof watchForDamage>;
  /** Heavy work, done beside the kitchen's. */
  readonly heavy: Heavy;
  /** The kitchen's clock. */
  readonly clock: Clock;
  /** The kitchen as it stands, read again only after something was written. */
  readonly kitchenState: () => Promise<KitchenState>;
  /** What `read` found, kept until something is written. `what` names it; there is to be a handful of them, not one for each thing asked. */
  readonly sinceWritten: <T>(what: string, read: () => Promise<T>) => Promise<T>;
}
