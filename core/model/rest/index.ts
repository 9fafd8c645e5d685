export * from './safety';
export * from './surroundings';
export * from './carryOver';
export * from './cool';
export * from './staling';
export * from './resteam';
export * from './keeping';
