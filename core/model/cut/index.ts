export * from './polygon';
export * from './outline';
export * from './cutPlan';
export { DIAMOND_DEG, type Cut } from './shapes';
export * from './lattice';
export * from './cutSvg';
export * from './cutFor';
