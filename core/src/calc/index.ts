export { calc, calcText, type Answer } from './calc.ts'
export type { CalcTables } from './kind.ts'
