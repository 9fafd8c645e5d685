export * from './Shell';
export * from './NumberField';
export * from './Choice';
export * from './Fact';
export * from './Say';
export * from './marks';
export * from './request';
export { inField } from './KeysHelp';
