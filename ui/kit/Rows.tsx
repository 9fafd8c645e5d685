import type { ReactNode } from 'react';
import look from './rows.module.css';

/** One under another. */
export const Column = ({ children, stale }: { children: ReactNode; stale?: boolean }) => (
  <div className={look.column} style={stale ? { opacity: 0.6 } : undefined}>
    {children}
  </div>
);
/** Beside one another, as far as there is room. */
export const Row = ({ children }: { children: ReactNode }) => <div className={look.row}>{children}</div>;
/** Figures beside one another. */
export const Facts = ({ children, testId }: { children: ReactNode; testId?: string }) => (
  <div className={`${look.row} ${look.facts}`} data-testid={testId}>
    {children}
  </div>
);
/** What stands beside the matter. */
export const Soft = ({ children }: { children: ReactNode }) => <p className={look.soft}>{children}</p>;
/** A sentence in which something is changed. */
export const SaidLine = ({ children }: { children: ReactNode }) => <p className={look.said}>{children}</p>;
