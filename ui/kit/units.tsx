'use client';
import { createContext, useContext, useMemo, type ReactNode } from 'react';
import { degreesIn, inUnits, measuredNames, METRIC, type UnitChoice } from '@/core/units';

const UnitsContext = createContext<UnitChoice>(METRIC);

/** The units a cook chose, for every field and sentence below it. */
export function UnitsProvider({ units, children }: { units: UnitChoice; children: ReactNode }) {
  return <UnitsContext value={units}>{children}</UnitsContext>;
}
export const useUnits = (): UnitChoice => useContext(UnitsContext);

/** Below it, further names of the cook's things are left as they were given. */
export function NamesKept({ names, children }: { names: readonly string[]; children: ReactNode }) {
  const units = useUnits();
  const all = measuredNames([...(units.names ?? []), ...names]).join('\n');
  const kept = useMemo(() => ({ ...units, names: all === '' ? [] : all.split('\n') }), [units, all]);
  return <UnitsContext value={kept}>{children}</UnitsContext>;
}

/** A temperature as a mark on a drawing or an axis: whole degrees of the cook's own. */
export const useDegrees = (): ((tempC: number) => number) => {
  const units = useUnits();
  return (tempC) => degreesIn(tempC, units);
};

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
