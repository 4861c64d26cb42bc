import type { Ingredient } from '../model/index.ts'
import type { Known, Part } from './knownRows.ts'

export interface WorkedRow {
  readonly key: string
  readonly ingredient: Ingredient
  readonly lot: string | undefined
  readonly part: Part
  /** Fraction of mass; for a flour, as it stands in store today. */
  readonly water: number
  readonly moistureBy: Known['moistureBy']
  readonly reckoned: number
  readonly airShare: number
  /** Per 100 of what the sheet counts on: flour, or its base. */
  readonly percent: number
  /** Per 100 of all flour. */
  readonly onFlour: number
  readonly grams: number
  readonly weighedG: number
}
