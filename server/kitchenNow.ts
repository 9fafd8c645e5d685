import { cache } from 'react';
import type { Kitchen } from '@/core/kitchen';
import type { KitchenState } from '@/db';
import { store } from './store';

/** The kitchen as it stands, the same for all that one page shows. */
export const kitchenStateNow = cache(async (): Promise<KitchenState> => (await store()).kitchenState());
export const kitchenNow = async (): Promise<Kitchen> => (await kitchenStateNow()).kitchen;
