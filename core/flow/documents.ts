import type { Accompaniment } from '../plan';

export type { CoolingStage, CutForm, Filling, Line, Plan } from '../plan';
export type AccompanimentMethod = Accompaniment['method'];
