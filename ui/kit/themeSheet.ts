import { hashOf } from '@/core/flow';
import { theme } from './theme';

type Rules = Readonly<Record<string, string | number | Readonly<Record<string, string | number>>>>;

const property = (name: string): string =>
  name.startsWith('--') ? name : name.replace(/[A-Z]/g, (c) => `-${c.toLowerCase()}`);

/** Style rules, a selector each, as the text of a sheet. */
export const sheetText = (rules: readonly Rules[]): string =>
  rules
    .flatMap((r) => Object.entries(r))
    .map(
      ([selector, body]) =>
        `${selector}{${Object.entries(body)
          .map(([name, value]) => `${property(name)}:${value}`)
          .join(';')}}`,
    )
    .join('');

/** The colours and measures of both kitchens, by day and by night: the same for every page, so it is a sheet of its own that a browser keeps. */
export const THEME_SHEET = sheetText(theme.generateStyleSheets() as readonly Rules[]);

/** Its address, which changes with what it says. */
export const THEME_ADDRESS = `/theme.css?v=${hashOf(THEME_SHEET)}`;
