import type { CookedHow } from './family';

/** What follows from how a family is cooked, besides its physics. */
export interface Way {
  /** It needs a steamer; a cake of the pot and a film of the pan need none. */
  readonly overSteam: boolean;
  /** What it is poured into, as a cook calls one. */
  readonly into: 'pan' | 'mould' | 'sheet' | 'film';
  /** Made many times over by its nature: its moulds are heated empty, and filled where they stand. */
  readonly refilled: boolean;
  /** A sheet that is filled, rolled or folded. */
  readonly bends: boolean;
  /** Layer upon layer in one vessel. */
  readonly stacked: boolean;
}

const PAN: Way = { overSteam: true, into: 'pan', refilled: false, bends: false, stacked: false };
const WAYS: Readonly<Record<CookedHow, Way>> = {
  steamed: PAN,
  layers: { ...PAN, stacked: true },
  cups: { ...PAN, into: 'mould', refilled: true },
  sheets: { ...PAN, into: 'sheet', refilled: true, bends: true },
  pot: { ...PAN, overSteam: false },
  'pan-film': { ...PAN, overSteam: false, into: 'film', bends: true },
};

export const wayOf = (family: { readonly cooked: CookedHow }): Way => WAYS[family.cooked];
