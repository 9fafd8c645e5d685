export * from './forecastJson';
export * from './jsonSchema';
export * from './readJson';
