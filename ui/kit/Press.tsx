import type { ComponentProps } from 'react';
import look from './press.module.css';

/** A button of the first look: plain, so that a page with it is drawn quickly. `main` is what most come for, `quiet` stands in a row of many. */
export function Press({
  main = false,
  quiet = false,
  ...props
}: Omit<ComponentProps<'button'>, 'className' | 'type'> & { main?: boolean; quiet?: boolean }) {
  const kind = main ? ` ${look.main}` : quiet ? ` ${look.quiet}` : '';
  return <button type="button" className={look.press + kind} {...props} />;
}
