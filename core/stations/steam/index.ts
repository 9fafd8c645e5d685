export * from './context';
export * from './cooking';
export * from './cook';
export * from './input';
export * from './setting';
export { pourOf, readyOf, roomOf } from './pour';
export { stackOf } from './stack';
export { shareSteam } from './shared';
export { STEAM_LAWS } from './explain';
