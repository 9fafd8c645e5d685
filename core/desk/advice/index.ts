export { concernsOf, SHOWN } from './concerns';
export { lookerIn } from './lookAt';
export type { Look, Looker } from './look.types';
export { mindOf, waysFor, type Minded } from './mindOf';
export { opposed, movesOf } from './moves';
export { tryFix, type Tried } from './tryFix';
export { measurings, type Measuring, type Narrowed } from './measureFirst';
