export * from './connect';
export * from './trouble';
export * from './plans';
export * from './kitchen';
export * from './batches';
export type { Page, Place } from './page';
export type { Unreadable } from './unreadable';
export type { RackKind } from './models';
