export * from './surroundings';
export * from './cakeMaterial';
export * from './frames';
export * from './singlePour';
export * from './water';
export * from './layers';
export * from './pipeline';
export * from './uncertainty';
