export * from './schema';
export * from './hob';
export * from './gear';
export { MOST_VESSELS, vesselSchema, WALL_MATERIALS, type Vessel, type WallMaterial } from './vessel';
export * from './defaults';
export * from './timeFactors';
export * from './sets';
