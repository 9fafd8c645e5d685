'use client';
import { useCallback, useState } from 'react';
import type { LinePlace } from '@/core/plan';
import type { StationProps } from '../plan/StationProps';
import { StandInDialog } from './StandInDialog';

/** Asks what could stand in for a line: how it is begun, and what is asked then. */
export function useStandIn(props: StationProps) {
  const [at, setAt] = useState<{ readonly place: LinePlace; readonly index: number } | undefined>(undefined);
  return {
    swap: useCallback((place: LinePlace, index: number) => setAt({ place, index }), []),
    asked: at ? <StandInDialog {...props} at={at} onClose={() => setAt(undefined)} /> : null,
  };
}
