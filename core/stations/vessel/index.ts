export * from './fewerLoads';
