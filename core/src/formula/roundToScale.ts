import type { BatchRow } from './batchRow.ts'

/** A scale that cannot tell a row to better than this, in percent of the row, is too coarse for it. */
export const COARSE_PERCENT = 5

/** What a scale can be off by on an amount: half a step against it. @example resolutionPercent(3, 1) → 16.7 */
export const resolutionPercent = (grams: number, stepG: number): number => (50 * stepG) / grams

export interface Rounding {
  /** Effective hydration as weighed minus as written; null when the scale cannot weigh the flour at all. */
  readonly hydrationPoints: number | null
  /** The row furthest off after rounding. */
  readonly worst: { readonly id: string; readonly percentOfRow: number } | null
  /** The row for which the scale is coarsest: half a step against the amount. */
  readonly coarsest: { readonly id: string; readonly resolutionPercent: number } | null
}

/** Half up, on a step that a binary fraction cannot hold exactly (0.1 g). */
export function roundHalfUp(grams: number, stepG: number): number {
  return Number((Math.floor(grams / stepG + 0.5 + 1e-9) * stepG).toFixed(9))
}

/** Of what is less than half a step of the scale, g. */
const FINEST_G = 0.01

/**
 * What is called for at the bench: to the step of the scale, and what is less than half of one as finely as it is wanted. A pinch of salt
 * rounded to nothing is called for nowhere.
 * @example calledG(12.4, 1) → 12; calledG(0.3, 1) → 0.3
 */
export function calledG(grams: number, stepG: number): number {
  const rounded = roundHalfUp(grams, stepG)
  return rounded > 0 ? rounded : roundHalfUp(grams, FINEST_G)
}

interface Weighing {
  readonly id: string
  readonly flour: boolean
  readonly water: number
  readonly weighedG: number
  /** On the flour as weighed, g. */
  readonly wantedG: number
}

function largest<T>(items: readonly T[], size: (item: T) => number): T | null {
  return items.reduce<T | null>((best, item) => (best === null || size(item) > size(best) + 1e-12 ? item : best), null)
}

const offPercent = (row: Weighing): number => (100 * Math.abs(row.weighedG - row.wantedG)) / row.wantedG

/** Flours are rounded first; every other row is its percentage of the flour as weighed, rounded half up. */
export function roundToScale(rows: readonly BatchRow[], flourG: number, stepG: number) {
  const flours = rows.map((row) => (row.flour ? roundHalfUp((row.percent * flourG) / 100, stepG) : 0))
  const weighedFlourG = flours.reduce((sum, grams) => sum + grams, 0)
  const weighings = rows.map((row, index): Weighing => {
    const wantedG = (row.percent * weighedFlourG) / 100
    const weighedG = row.flour ? (flours[index] ?? 0) : roundHalfUp(wantedG, stepG)
    return { id: row.material.id, flour: row.flour, water: row.material.water, weighedG, wantedG }
  })
  return { weighedG: weighings.map((row) => row.weighedG), rounding: roundingOf(weighings, weighedFlourG, stepG) }
}

function roundingOf(weighings: readonly Weighing[], weighedFlourG: number, stepG: number): Rounding {
  const present = weighings.filter((row) => row.wantedG > 0)
  const worst = largest(present, offPercent)
  const coarsest = largest(present, (row) => 1 / row.wantedG)
  const shiftG = weighings.reduce((sum, row) => sum + (row.flour ? 0 : (row.weighedG - row.wantedG) * row.water), 0)
  return {
    hydrationPoints: weighedFlourG > 0 ? (100 * shiftG) / weighedFlourG : null,
    worst: worst && offPercent(worst) > 1e-9 ? { id: worst.id, percentOfRow: offPercent(worst) } : null,
    coarsest: coarsest && { id: coarsest.id, resolutionPercent: resolutionPercent(coarsest.wantedG, stepG) },
  }
}
