import { cache } from 'react';
import { store } from './store';

/** The kitchen as it stands, read once for all that one page shows. */
export const kitchenNow = cache(async () => (await store()).kitchen.read());
