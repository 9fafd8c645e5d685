export * from './layOut';
export * from './lifeOf';
export * from './marksOf';
export * from './foldScale';
export * from './cakeAt';
export * from './stations';
