export * from './events';
export * from './steamerFactor';
export * from './textureOffset';
export * from './snapshot';
