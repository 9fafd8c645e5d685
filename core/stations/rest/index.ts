export * from './cook';
export * from './input';
export * from './eaten';
