export * from './formulas.data';
export * from './keepingOf';
export * from './fromFormula';
