import type { Vessel } from '@/core/kitchen';
import type { Life } from '@/core/work/timeline';
import type { Keep } from '@/core/model/rest';
import type { SteamTimes } from '@/core/model/steam';
import type { Step, WeighOut } from '@/core/steps';

/** All that is printed of a plan. */
export interface Printed {
  readonly name: string;
  readonly family: string;
  readonly guests: number;
  readonly keep: Keep;
  readonly allergens: readonly string[];
  readonly notStated: readonly string[];
  readonly diets: readonly string[];
  readonly byWeight: readonly string[];
  readonly addIns: readonly string[];
  readonly beside: readonly { readonly name: string; readonly byWeight: readonly string[] }[];
  readonly massG: number;
  readonly pieces: number | null;
  readonly gramsAPiece: number | null;
  readonly times: Pick<SteamTimes, 'checkAtS' | 'planForS' | 'standS' | 'totalS'> | null;
  readonly vessel: string;
  readonly depthM: number;
  readonly heat: string;
  readonly section: {
    readonly vessel: Vessel;
    readonly pieceShare: number;
    readonly layers: readonly { readonly colour: string; readonly toM: number; readonly fromS: number }[] | null;
  };
  /** Its clock without the steps, which are told apart. */
  readonly life: Omit<Life, 'laid'>;
  readonly weighOut: readonly WeighOut[];
  readonly steps: readonly Pick<Step, 'verb' | 'sentence' | 'lookFor' | 'timeline' | 'handsOnS' | 'waitS'>[];
  readonly cautions: readonly string[];
}

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
