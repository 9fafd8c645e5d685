'use client';
import { createContext, useContext } from 'react';
import type { Plan } from '@/core/plan';

/**
 * A change tried on: shown everywhere while it lasts, kept nowhere, not as a draft either, and gone when it is dropped or anything is taken.
 */
export interface TryOn {
  readonly show: (change: (p: Plan) => Plan) => void;
  readonly drop: () => void;
}
const TryOnContext = createContext<TryOn>({ show: () => undefined, drop: () => undefined });
export const TryOnProvider = TryOnContext.Provider;
export const useTryOn = (): TryOn => useContext(TryOnContext);
