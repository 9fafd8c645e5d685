export * from './polygon';
export * from './outline';
export * from './cutPlan';
export * from './lattice';
export * from './cutSvg';
export * from './cutFor';
