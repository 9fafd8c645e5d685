export * from './cases';
export * from './rows';
export * from './table';
