export * from './advice.types';
export { adviceFor } from './adviceFor';
export { applyFix } from './applyFix';
export { bandsFor } from './bandsFor';
export { outside } from './outside';
export { panNeed } from './panNeed';
export { otherPans } from './cakeAdvice';
