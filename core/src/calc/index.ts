export { calc, calcText, type Answer } from './calc.ts'
