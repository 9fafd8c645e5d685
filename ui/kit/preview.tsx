'use client';
import { createContext, useContext } from 'react';

/**
 * What is half typed or half dragged, shown and not yet taken: changes made inside `show` are seen everywhere and kept nowhere, until the same
 * change is made outside it or `drop` puts all back.
 */
export interface Preview {
  readonly show: (change: () => void) => void;
  readonly drop: () => void;
}

const PreviewContext = createContext<Preview | undefined>(undefined);
export const PreviewProvider = PreviewContext.Provider;
/** The preview around this part of the page; undefined where changes are only taken whole. */
export const usePreview = (): Preview | undefined => useContext(PreviewContext);
