import { makeCopy, openCopy, type Made, type Opened, type Progress, type Watched, type Why } from '@/db/copy';

/** What is asked of the thread that makes and opens copies. */
export type CopyAsked =
  | { readonly what: 'make'; readonly live: string; readonly file: string; readonly why: Why }
  | { readonly what: 'open'; readonly live: string; readonly file: string; readonly called: string };
export type CopyTold =
  | { readonly progress: Progress }
  | { readonly done: Made | Opened }
  /** Why not, in a sentence where it is meant for the cook. */
  | { readonly failed: { readonly code?: string; readonly words: string } };
export const STOP = 'stop';

/** Makes and opens copies of one kitchen, beside its work. */
export interface CopyWork {
  readonly make: (file: string, why: Why, watched?: Watched) => Promise<Made>;
  readonly open: (file: string, called: string, watched?: Watched) => Promise<Opened>;
}

/** Does what is asked, on whichever thread it is called. */
export const doCopyWork = (asked: CopyAsked, watched: Watched): Promise<Made | Opened> =>
  asked.what === 'make'
    ? makeCopy(asked.live, asked.file, { ...watched, why: asked.why })
    : openCopy(asked.file, asked.called, asked.live, watched);

type Do = (asked: CopyAsked, watched: Watched) => Promise<unknown>;
export const workBy = (live: string, work: Do): CopyWork => ({
  make: (file, why, watched = {}) => work({ what: 'make', live, file, why }, watched) as Promise<Made>,
  open: (file, called, watched = {}) => work({ what: 'open', live, file, called }, watched) as Promise<Opened>,
});

/** On the thread that asks: for tests, developing and the command line. */
export const copyHere = (live: string): CopyWork => workBy(live, doCopyWork);
