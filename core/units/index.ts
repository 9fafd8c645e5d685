export * from './problem';
export * from './provenance';
export * from './constants';
export * from './measures';
export * from './roundForKitchen';
export * from './format';
export * from './band';
