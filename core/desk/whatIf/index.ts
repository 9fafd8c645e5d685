export * from './levers';
export * from './sweep';
