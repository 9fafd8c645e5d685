export * from './ingredients.data';
export * from './standInsFor';
export * from './exchange';
export * from './gear';
