export * from './newPlan';
export { inDefault, inPans, type Placed } from './inVessels';
