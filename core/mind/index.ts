export { concernsOf } from './concerns';
export { lookerIn, type Look, type Looker } from './lookAt';
export { mindOf, SHOWN, waysFor, type Minded } from './mindOf';
export { opposed, movesOf } from './moves';
export { tryFix, type Tried } from './tryFix';
