export * from './surroundings';
export * from './carryOver';
export * from './cool';
