'use client';
import { createContext, useCallback, useContext, useMemo, useState, type ReactNode } from 'react';
import { sentenceOf } from './request';
import { grounded } from './grounded';

const Toast = grounded(() => import('./Toast'));

export interface Done {
  readonly words: string;
  /** Takes it back. */
  readonly undo?: (() => Promise<void>) | undefined;
}
interface Shown extends Done {
  readonly n: number;
}

const UndoContext = createContext<(done: Done) => void>(() => undefined);

/** Tells what was done, and offers to take it back. */
export const useTell = (): ((done: Done) => void) => useContext(UndoContext);

const wrong = (e: unknown): string => sentenceOf(e, 'That did not work; try again.');

/** One place at the foot of the page where what was done is told and can be undone. */
export function UndoProvider({ children }: { children: ReactNode }) {
  const [shown, setShown] = useState<Shown | undefined>(undefined);
  const tell = useCallback((done: Done) => setShown((s) => ({ ...done, n: (s?.n ?? 0) + 1 })), []);
  const close = () => setShown(undefined);
  const undo = useMemo(() => shown?.undo, [shown]);
  return (
    <UndoContext value={tell}>
      {children}
      {shown ? (
        <Toast
          key={shown.n}
          words={shown.words}
          undo={
            undo &&
            (() => {
              close();
              void undo().then(
                () => tell({ words: 'Taken back.' }),
                (e: unknown) => tell({ words: wrong(e) }),
              );
            })
          }
          onClose={close}
        />
      ) : null}
    </UndoContext>
  );
}
