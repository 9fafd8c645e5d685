export const PAPERS = ['a4', 'letter'] as const;
export type Paper = (typeof PAPERS)[number];
export const PAPER_WORDS: Readonly<Record<Paper, string>> = { a4: 'A4', letter: 'Letter' };
export const SHEETS = ['card', 'steps', 'labels'] as const;
export type Sheet = (typeof SHEETS)[number];
export const SHEET_WORDS: Readonly<Record<Sheet, string>> = {
  card: 'Card and label',
  steps: 'Step sheet',
  labels: 'Labels',
};
