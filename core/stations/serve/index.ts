export * from './films';
