'use client';
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

/** The same for every page, so it is written once and not at each. */
const SHEET = sheetText(theme.generateStyleSheets() as readonly Rules[]);

/** The colours and measures of both kitchens, by day and by night. */
export const ThemeSheet = () => <style dangerouslySetInnerHTML={{ __html: SHEET }} />;
