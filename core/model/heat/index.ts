export * from './grid';
export * from './lookup';
export * from './gelatinise';
export * from './material';
export * from './conduction.types';
export * from './conduct';
export * from './survey';
export * from './airFilm';
