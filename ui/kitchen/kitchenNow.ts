import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useMemo } from 'react';
import type { KitchenState } from '@/db';
import { request } from '../kit';
import { unpackKitchen, type PackedKitchen } from './packed';

/** Under which the kitchen lies on the page. */
export const KEY = ['kitchen'];

/** The kitchen as this page knows it. */
export interface KitchenNow {
  readonly state: KitchenState;
  /** What it is at this moment, also between two drawings. */
  readonly now: () => KitchenState;
  readonly refresh: () => Promise<void>;
}

export function useKitchenNow(sent: PackedKitchen): KitchenNow {
  const initial = useMemo(() => unpackKitchen(sent), [sent]);
  const client = useQueryClient();
  const state = useQuery({
    queryKey: KEY,
    queryFn: () => request<KitchenState>('/api/kitchen'),
    initialData: initial,
    initialDataUpdatedAt: 0,
    structuralSharing: true,
  }).data;
  const refresh = useCallback(async () => {
    await client.invalidateQueries({ queryKey: KEY });
  }, [client]);
  const now = useCallback(() => client.getQueryData<KitchenState>(KEY) ?? initial, [client, initial]);
  return { state, now, refresh };
}
