import { ok, problem, type Result } from '../result.ts'

/** Flour is traded and compared as if it held 14 % water. */
export const DRY_SHARE_AT_14 = 0.86

export interface FlourPart {
  readonly grams: number
  /** Fraction of total mass. */
  readonly moisture: number
}

/** F14 = Σ F(1 − m)/0.86, in g. */
export const massAt14 = (flours: readonly FlourPart[]): number =>
  flours.reduce((sum, flour) => sum + (flour.grams * (1 - flour.moisture)) / DRY_SHARE_AT_14, 0)

const massOf = (flours: readonly FlourPart[]): number => flours.reduce((sum, flour) => sum + flour.grams, 0)

/**
 * Hydration on the 14 % basis, percent: 100 (W + F − F14)/F14. Negative when very dry flour has had no water.
 * @example basis14Percent([{ grams: 1000, moisture: 0.115 }], 543.6) → 50.0
 */
export function basis14Percent(flours: readonly FlourPart[], waterG: number): number {
  const at14 = massAt14(flours)
  return (100 * (waterG + massOf(flours) - at14)) / at14
}

/**
 * Water in g that brings these flours to a hydration on the 14 % basis: W = h·F14 − (F − F14). May be negative.
 * Source: 14 % moisture basis of the cereal laboratories.
 * @example waterForBasis14(50, [{ grams: 1000, moisture: 0.115 }]) → 543.6
 */
export function waterForBasis14(percent: number, flours: readonly FlourPart[]): number {
  const at14 = massAt14(flours)
  return (percent / 100) * at14 - (massOf(flours) - at14)
}

export interface RebaseRequest {
  readonly basis14Percent: number
  readonly flourG: number
  readonly flourMoisture: number
  readonly otherWaterG: number
}

/**
 * The water still to add (g) for a hydration on the 14 % basis when milk, egg or purée brings some already,
 * and the effective hydration that comes of it (percent). Problems: `rebase-impossible`.
 */
export function rebaseHydration(request: RebaseRequest): Result<{ waterG: number; hydrationPercent: number }> {
  const { flourG, flourMoisture, otherWaterG } = request
  const allWaterG = waterForBasis14(request.basis14Percent, [{ grams: flourG, moisture: flourMoisture }])
  const waterG = allWaterG - otherWaterG
  if (waterG < 0) return problem('rebase-impossible', 'basis14Percent', { overG: -waterG })
  return ok({ waterG, hydrationPercent: (100 * allWaterG) / flourG })
}
