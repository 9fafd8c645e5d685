import type {} from '@mui/material/themeCssVarsAugmentation';
import { createTheme } from '@mui/material/styles';
import { DAY, NIGHT } from './palette';

type Hues = { [K in keyof typeof DAY]: string };
const palette = (h: Hues) => ({
  primary: { main: h.ink, contrastText: h.paper },
  secondary: { main: h.pea },
  success: { main: h.pandan },
  warning: { main: h.turmeric },
  error: { main: h.persimmon },
  background: { default: h.ground, paper: h.paper },
  text: { primary: h.ink, secondary: h.soft },
  divider: h.line,
});

/** The look: flat fills, fine lines, generous tabular figures, no shadows. */
const made = createTheme({
  cssVariables: { colorSchemeSelector: 'data-kitchen' },
  colorSchemes: { light: { palette: palette(DAY) }, dark: { palette: palette(NIGHT) } },
  shape: { borderRadius: 4 },
  typography: {
    fontFamily: "'Be Vietnam Pro', system-ui, sans-serif",
    fontSize: 14,
    h1: { fontSize: '1.5rem', fontWeight: 600, letterSpacing: '-0.01em' },
    h2: { fontSize: '1.05rem', fontWeight: 600 },
    h3: { fontSize: '0.9rem', fontWeight: 600 },
    button: { textTransform: 'none', fontWeight: 500 },
  },
  components: {
    MuiPaper: { defaultProps: { elevation: 0, variant: 'outlined' } },
    MuiAppBar: { defaultProps: { elevation: 0 } },
    MuiButton: { defaultProps: { disableElevation: true, size: 'small' } },
    MuiButtonBase: { defaultProps: { disableRipple: true } },
    MuiTextField: { defaultProps: { size: 'small' } },
    MuiSelect: { defaultProps: { size: 'small' } },
    MuiTooltip: { defaultProps: { arrow: true, enterDelay: 400 } },
  },
});

/** The names of its variables are the same at every look, so they are worked out once and not for each page. */
export const theme = { ...made, generateThemeVars: () => made.vars };
