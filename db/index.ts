export * from './connect';
export * from './plans';
export * from './kitchen';
export * from './batches';
export type { RackKind } from './models';
