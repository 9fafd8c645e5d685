export * from './ingredient';
export * from './table.data';
export * from './lookup';
export * from './choiOkos';
export * from './label';
