'use client';
import { useEffect, useState } from 'react';
import { FAMILIES } from '@/core/families';
import type { Kitchen } from '@/core/kitchen';
import type { Offer, Wanted } from '@/core/desk/newPlan';
import { corePool } from '@/workers/corePool';

export interface Offers {
  readonly byFamily: ReadonlyMap<string, Offer>;
  /** How many are still being worked out. */
  readonly left: number;
}
const NONE: Offers = { byFamily: new Map(), left: FAMILIES.length };

/** What each family would come to here for so many, each told as it is worked out on the cores there are. */
export function useOffers(kitchen: Kitchen, { guests, role }: Wanted): Offers {
  const [offers, setOffers] = useState<{ key: string; kitchen: Kitchen; found: Offers }>();
  const key = `${guests ?? ''} ${role ?? ''}`;
  useEffect(() => {
    const stop = new AbortController();
    const wanted: Wanted = { ...(guests === undefined ? {} : { guests }), ...(role === undefined ? {} : { role }) };
    for (const f of FAMILIES)
      void corePool()
        .run('offer', [f.id, kitchen, wanted], { signal: stop.signal })
        .catch(() => undefined)
        .then((offer) => {
          if (stop.signal.aborted) return;
          setOffers((o) => {
            const so = o?.key === key && o.kitchen === kitchen ? o.found : NONE;
            return {
              key,
              kitchen,
              found: {
                byFamily: offer ? new Map([...so.byFamily, [f.id, offer]]) : so.byFamily,
                left: Math.max(0, so.left - 1),
              },
            };
          });
        });
    return () => stop.abort();
  }, [kitchen, key, guests, role]);
  return offers?.key === key && offers.kitchen === kitchen ? offers.found : NONE;
}
