export * from './connect';
export * from './trouble';
export * from './plans';
export * from './kitchen';
export type { BatchCard, UnreadableEvent } from './batchColumns';
export * from './batches';
export { pageOf, type Page, type Place } from './page';
export type { Unreadable } from './unreadable';
export type { RackKind } from './models';
