export * from './polygon';
export * from './outline';
export * from './cutPlan';
