/** Porcelain by day, night kitchen by dark: celadon grounds, butterfly-pea ink, pandan ready, turmeric watch, persimmon stop. */
export const DAY = {
  ground: '#EEF5F1',
  paper: '#FAFDFB',
  ink: '#232C66',
  soft: '#566089',
  line: '#B7CFC5',
  celadon: '#D7E8DF',
  pandan: '#24734A',
  turmeric: '#8F5D00',
  persimmon: '#B3381E',
  pea: '#3F4FA8',
  milk: '#F4F8F6',
} as const;
export const NIGHT = {
  ground: '#11162C',
  paper: '#192041',
  ink: '#DFE7F6',
  soft: '#A5B1D2',
  line: '#3A4674',
  celadon: '#25305A',
  pandan: '#77CF9F',
  turmeric: '#EBBE57',
  persimmon: '#F58A6F',
  pea: '#95A5F5',
  milk: '#DCE5E4',
} as const;
