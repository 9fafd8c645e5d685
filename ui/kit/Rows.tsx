import type { ReactNode } from 'react';
import look from './rows.module.css';

/** One under another; with a label a section of its own. */
export const Column = ({ children, stale, label }: { children: ReactNode; stale?: boolean; label?: string }) => {
  const as = { className: look.column, style: stale ? { opacity: 0.6 } : undefined };
  return label === undefined ? (
    <div {...as}>{children}</div>
  ) : (
    <section {...as} aria-label={label}>
      {children}
    </section>
  );
};
/** Beside one another, as far as there is room; `align` where they differ in height. */
export const Row = ({ children, align = 'start' }: { children: ReactNode; align?: 'start' | 'center' | 'end' }) => (
  <div className={look.row} data-align={align}>
    {children}
  </div>
);
/** A thing apart from the page, on paper of its own. */
export const Panel = ({
  children,
  chosen = false,
  label,
}: {
  children: ReactNode;
  chosen?: boolean;
  label?: string;
}) => (
  <section className={look.panel} data-chosen={chosen ? '' : undefined} aria-label={label}>
    {children}
  </section>
);
/** Words, and beside them what can be done about it. */
export const Beside = ({ children, presses }: { children: ReactNode; presses: ReactNode }) => (
  <div className={look.beside}>
    <div>{children}</div>
    {presses}
  </div>
);
/** What a part of a station is called. */
export const Title = ({ children }: { children: ReactNode }) => <h3 className={look.title}>{children}</h3>;
/** A sentence to be read. */
export const Note = ({ children }: { children: ReactNode }) => <p className={look.note}>{children}</p>;
/** What is said in passing, under a drawing or a field. */
export const Small = ({ children }: { children: ReactNode }) => (
  <p className={`${look.soft} ${look.small}`}>{children}</p>
);
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
