/** The ways people say how wet a dough is, to be read and written: percent, flour ÷ n, parts, cups. */

import type { Ingredient, Window } from '../model/index.ts'

/** Water is flour divided by this. @example divisorOf(50) → 2 */
export const divisorOf = (percent: number): number => 100 / percent
/** The water that such a divisor means, percent of flour. @example percentOfDivisor(2) → 50 */
export const percentOfDivisor = (divisor: number): number => 100 / divisor

export interface Parts {
  readonly flour: number
  readonly water: number
  /** What these parts really are, percent. */
  readonly percent: number
}

/**
 * Small whole parts nearest to a hydration.
 * @example partsOf(48) → { flour: 2, water: 1, percent: 50 }; partsOf(48, 25) → { flour: 25, water: 12 }
 */
export function partsOf(percent: number, largest = 12): Parts {
  const off = (parts: Parts) => Math.abs(parts.percent - percent)
  let best: Parts = { flour: 1, water: Math.max(1, Math.round(percent / 100)), percent: 0 }
  best = { ...best, percent: (100 * best.water) / best.flour }
  for (let flour = 1; flour <= largest; flour += 1) {
    const water = Math.max(1, Math.round((percent / 100) * flour))
    const parts = { flour, water, percent: (100 * water) / flour }
    if (off(parts) < off(best) - 1e-9) best = parts
  }
  return best
}

/** Water of so many parts on flour of so many, percent. @example percentOfParts(2, 1) → 50 */
export const percentOfParts = (flour: number, water: number): number => (100 * water) / flour

/** What a millilitre holds, and how far a cup that is filled strays, times that. */
export const filledBy = ({ densityGPerMl, cupFactor }: Pick<Ingredient, 'densityGPerMl' | 'cupFactor'>) => ({
  gPerMl: densityGPerMl,
  low: cupFactor?.low ?? 1,
  high: cupFactor?.high ?? 1,
})

/** Low and high by how it is filled: spooned and levelled, scooped and shaken. g. */
export function cupG({ densityGPerMl, cupFactor }: Ingredient, cupMl: number): Window {
  const { low, high } = cupFactor ?? { low: 1, high: 1 }
  const best = densityGPerMl * cupMl
  return { low: best * low, best, high: best * high }
}

/** How many cups a mass is, by how they are filled. */
export function cupsOf(grams: number, ingredient: Ingredient, cupMl: number): Window {
  const cup = cupG(ingredient, cupMl)
  return { low: grams / cup.high, best: grams / cup.best, high: grams / cup.low }
}

/**
 * Hydration that cups of flour and of water come to, percent: a span, because nobody fills a cup twice alike.
 * @example 2 cups of remilled durum (0.66 g/ml, 0.93 to 1.13) and 1 of water → 67 to 81, likely 76
 */
export function percentOfCups(flourCups: number, waterCups: number, flour: Ingredient, cupMl: number): Window {
  const cup = cupG(flour, cupMl)
  const waterG = waterCups * cupMl
  const percent = (flourCupG: number) => (100 * waterG) / (flourCups * flourCupG)
  return { low: percent(cup.high), best: percent(cup.best), high: percent(cup.low) }
}
