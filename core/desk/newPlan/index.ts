export * from './newPlan';
export { inDefault, inPans, type Placed } from './inVessels';
export * from './eaten';
export * from './filmVessel';
export * from './offer';
export * from './wishes';
export * from './missing';
