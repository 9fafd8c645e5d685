/** @jest-environment jsdom */
import { sheetText } from './themeSheet';
import { theme } from './theme';

const sheetOf = (css: string): CSSStyleSheet => {
  const style = document.createElement('style');
  style.textContent = css;
  document.head.append(style);
  return style.sheet as CSSStyleSheet;
};

test('every colour and measure the theme speaks of is in its sheet, by day and by night', () => {
  const rules = [...sheetOf(sheetText(theme.generateStyleSheets())).cssRules] as CSSStyleRule[];
  expect(rules.map((r) => r.selectorText)).toEqual([':root', ':root, [data-kitchen="light"]', '[data-kitchen="dark"]']);
  const [shared, day, night] = rules.map((r) => r.style);
  expect([day, night].map((s) => s.getPropertyValue('color-scheme'))).toEqual(['light', 'dark']);
  const spoken = (value: unknown): string[] =>
    typeof value === 'string'
      ? [...value.matchAll(/var\((--[\w-]+)/g)].map((m) => m[1])
      : typeof value === 'object' && value !== null
        ? Object.values(value).flatMap(spoken)
        : [];
  const names = spoken(theme.vars.palette);
  expect(names.length).toBeGreaterThan(100);
  const lacking = (style: CSSStyleDeclaration) =>
    names.filter((n) => style.getPropertyValue(n) === '' && shared.getPropertyValue(n) === '');
  // The library has no bar of its own dark colour, nor icons, by day.
  const nightOnly = ['--mui-palette-text-icon', '--mui-palette-AppBar-darkBg', '--mui-palette-AppBar-darkColor'];
  expect(lacking(night)).toEqual([]);
  expect(lacking(day)).toEqual(nightOnly);
  expect(day.getPropertyValue('--mui-palette-primary-main')).not.toBe(
    night.getPropertyValue('--mui-palette-primary-main'),
  );
});
