export * from './schema';
export * from './readPlan';
export * from './resolve';
