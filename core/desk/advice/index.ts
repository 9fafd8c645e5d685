export { concernsOf, SHOWN } from './concerns';
export { lookerIn, type Look, type Looker } from './lookAt';
export { minding, mindOf, waysFor, type Minded } from './mindOf';
export { opposed, movesOf } from './moves';
export { tryFix, type Tried } from './tryFix';
export { measurings, type Measuring, type Narrowed } from './measureFirst';
