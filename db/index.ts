export * from './connect';
export * from './trouble';
export * from './plans';
export * from './kitchen';
export * from './batches';
export { pageOf, type Page, type Place } from './page';
export type { Unreadable } from './unreadable';
export type { RackKind } from './models';
