export * from './why';
