import type { Material } from '../model/index.ts'

export interface BatchRow {
  readonly material: Material
  /** Parts per 100 of all flour. */
  readonly percent: number
  readonly flour: boolean
}
