export * from './advice.types';
export { adviceFor } from './adviceFor';
export { applyFix } from './applyFix';
export { bandsFor } from './bandsFor';
export { outside } from './level';
export { panNeed } from './panNeed';
