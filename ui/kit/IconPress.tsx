import NextLink from 'next/link';
import type { ReactNode } from 'react';
import look from './press.module.css';

/** A press that shows a drawing only: its words are read out, and stand beside the pointer. With an address it leads there. */
export function IconPress({
  label,
  small = false,
  href,
  disabled,
  onClick,
  children,
}: {
  label: string;
  /** In a row of a table. */
  small?: boolean;
  href?: string;
  disabled?: boolean;
  onClick?: () => void;
  children: ReactNode;
}) {
  return href === undefined ? (
    <button
      type="button"
      className={small ? `${look.icon} ${look.close}` : look.icon}
      aria-label={label}
      title={label}
      disabled={disabled}
      onClick={onClick}
    >
      {children}
    </button>
  ) : (
    <NextLink className={small ? `${look.icon} ${look.close}` : look.icon} aria-label={label} title={label} href={href}>
      {children}
    </NextLink>
  );
}
