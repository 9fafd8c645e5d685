import type { ComponentProps } from 'react';
import look from './press.module.css';

/** A button of the first look: plain, so that a page with it is drawn quickly. `main` is what most come for. */
export function Press({
  main = false,
  ...props
}: Omit<ComponentProps<'button'>, 'className' | 'type'> & { main?: boolean }) {
  return <button type="button" className={main ? `${look.press} ${look.main}` : look.press} {...props} />;
}
