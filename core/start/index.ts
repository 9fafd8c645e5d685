export * from './newPlan';
export { inDefault, inPans, type Placed } from './inVessels';
export * from './eaten';
export * from './offer';
export * from './missing';
