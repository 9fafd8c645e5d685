import type { Accompaniment } from '../plan';

export type { CoolingStage, CutForm, FillingInForce } from '../plan';
export type AccompanimentMethod = Accompaniment['method'];
