export { calc, calcText, type Answer } from './calc.ts'
export { COARSE_PERCENT } from './kinds.ts'
