/** A mass as cups and spoons hold it, for a bench without a scale. */
import { TABLESPOON_ML, TEASPOON_ML } from './unitTables.ts'

/** Marks of a set of cups. */
const CUP_MARKS = [3 / 4, 2 / 3, 1 / 2, 1 / 3, 1 / 4] as const

export interface InMeasures {
  /** Cups, tablespoons, teaspoons: whole ones and their marks; 0 where none is wanted. */
  readonly cups: number
  readonly tablespoons: number
  readonly teaspoons: number
  /** What they hold together, ml. */
  readonly ml: number
}

/** The largest whole number with a mark that fits. */
const upTo = (value: number, marks: readonly number[]): number => {
  const whole = Math.floor(value + 1e-9)
  return whole + (marks.find((mark) => mark <= value - whole + 1e-9) ?? 0)
}

/**
 * The most of cups that fit, then spoons for the rest: beside a whole cup to a tablespoon, beside a part of one to a teaspoon,
 * alone to half a teaspoon, and the smallest to a quarter.
 * @example 333 ml by cups of 236.6 → 1 ⅓ cups and a tablespoon; 4 ml → ¾ teaspoon
 */
export function inMeasures(ml: number, cupMl: number): InMeasures {
  const cups = ml >= cupMl / 4 ? upTo(ml / cupMl, CUP_MARKS) : 0
  const restMl = Math.max(0, ml - cups * cupMl)
  const stepMl =
    cups >= 1 ? TABLESPOON_ML : cups > 0 ? TEASPOON_ML : ml >= TABLESPOON_ML ? TEASPOON_ML / 2 : TEASPOON_ML / 4
  // The smallest that is there is never called as nothing.
  const spoonsMl = Math.max(cups > 0 ? 0 : stepMl, Math.round(restMl / stepMl) * stepMl)
  const tablespoons = Math.floor(spoonsMl / TABLESPOON_ML + 1e-9)
  const teaspoons = (spoonsMl - tablespoons * TABLESPOON_ML) / TEASPOON_ML
  return { cups, tablespoons, teaspoons, ml: cups * cupMl + spoonsMl }
}
