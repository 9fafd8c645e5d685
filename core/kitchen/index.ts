export * from './schema';
export * from './defaults';
