export * from './newPlan';
