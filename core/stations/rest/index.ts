export * from './cook';
export * from './input';
