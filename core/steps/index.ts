export * from './answers';
export * from './step';
export * from './cautions.data';
export * from './stepsOf';
export * from './allergenWords';
