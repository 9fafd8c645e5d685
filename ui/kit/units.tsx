'use client';
import { createContext, useContext, type ReactNode } from 'react';
import { inUnits, METRIC, type UnitChoice } from '@/core/units';

const UnitsContext = createContext<UnitChoice>(METRIC);

/** The units a cook chose, for every field and sentence below it. */
export function UnitsProvider({ units, children }: { units: UnitChoice; children: ReactNode }) {
  return <UnitsContext value={units}>{children}</UnitsContext>;
}
export const useUnits = (): UnitChoice => useContext(UnitsContext);

/** A sentence of the core in the cook's own units. */
export function Told({ children }: { children: string }) {
  return inUnits(children, useUnits());
}

/** Text as it stands, or told in the cook's units where it is plain words; a list of words and numbers is one sentence. */
export function ToldNode({ children }: { children: ReactNode }) {
  const units = useUnits();
  if (typeof children === 'string') return inUnits(children, units);
  const parts = Array.isArray(children) ? (children as readonly ReactNode[]) : undefined;
  return parts?.every((p) => typeof p === 'string' || typeof p === 'number')
    ? inUnits(parts.join(''), units)
    : children;
}
