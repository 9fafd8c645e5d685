import NextLink from 'next/link';
import type { ComponentProps } from 'react';
import look from './press.module.css';

/** A button of the first look: plain, so that a page with it is drawn quickly. `main` is what most come for, `quiet` stands in a row of many, `fix` is said in a sentence. */
export function Press({
  main = false,
  quiet = false,
  fix = false,
  ...props
}: Omit<ComponentProps<'button'>, 'className' | 'type'> & {
  main?: boolean;
  quiet?: boolean;
  fix?: boolean;
}) {
  const kind = fix ? ` ${look.quiet} ${look.fix}` : main ? ` ${look.main}` : quiet ? ` ${look.quiet}` : '';
  return <button type="button" className={look.press + kind} {...props} />;
}

/** The same, leading to another page. */
export const LinkPress = ({
  main = false,
  ...props
}: Omit<ComponentProps<typeof NextLink>, 'className'> & { main?: boolean }) => (
  <NextLink className={look.press + (main ? ` ${look.main}` : '')} {...props} />
);
