export * from './answers';
export * from './slots';
export * from './step';
export * from './cautions.data';
export * from './stepsOf';
export * from './allergenWords';
