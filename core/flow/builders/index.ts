export * from './kit';
export * from './ready';
export * from './liquid';
export * from './batter';
export * from './cake';
export * from './slab';
export * from './repeats';
export * from './pieces';
