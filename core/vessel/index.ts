export * from './shape';
export * from './wall';
export * from './fill';
export * from './choosePans';
export * from './sizeFromWater';
export * from './release';
