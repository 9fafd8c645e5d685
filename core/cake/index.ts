export * from './body';
export * from './cake.types';
export * from './cakeOf';
export * from './cold';
export * from './gramsAHead';
export * from './layers';
