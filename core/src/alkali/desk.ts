/** From the ingredient table to the chemistry: which salts an alkali of the table is, and what a spoon of it would mean. */
import type { Ingredient } from '../model/index.ts'
import type { BlendPart } from './dose.ts'

/** Salts by mass of the table's alkalis; those of unknown strength, as bottled solutions, have none. */
const COMPOSITION: Readonly<Record<string, readonly BlendPart[]>> = {
  'sodium-carbonate-anhydrous': [{ salt: 'sodium-carbonate', share: 1 }],
  'sodium-carbonate-monohydrate': [{ salt: 'sodium-carbonate-monohydrate', share: 1 }],
  'sodium-carbonate-decahydrate': [{ salt: 'sodium-carbonate-decahydrate', share: 1 }],
  'potassium-carbonate': [{ salt: 'potassium-carbonate', share: 1 }],
  'carbonate-blend-60-40': [
    { salt: 'sodium-carbonate', share: 0.6 },
    { salt: 'potassium-carbonate', share: 0.4 },
  ],
  'baking-soda-baked': [
    { salt: 'sodium-carbonate', share: 0.97 },
    { salt: 'sodium-bicarbonate', share: 0.03 },
  ],
  'baking-soda': [{ salt: 'sodium-bicarbonate', share: 1 }],
}

/** Grams of each alkali salt in so many grams of an ingredient, by its composition; none for what is no alkali. */
export const saltsIn = (ingredient: string, grams: number) =>
  (COMPOSITION[ingredient] ?? []).map(({ salt, share }) => ({ salt, grams: grams * share }))

/**
 * Grams of one alkali that bring as much carbonate as a gram of the other, by the table's factors; 0 where either brings none.
 * @example anhydrous for the decahydrate → 0.37
 */
export function gramForGram(from: Pick<Ingredient, 'carbonate'>, to: Pick<Ingredient, 'carbonate'>): number {
  const { carbonate = 0 } = to
  return carbonate > 0 ? (from.carbonate ?? 0) / carbonate : 0
}

/** Alkalis that can stand in for one another in equal carbonate. */
export const swappable = Object.keys(COMPOSITION).filter((id) => id !== 'baking-soda')

/** What a teaspoon of it may weigh, g, by how it is filled: said so that nobody uses one. */
export function teaspoonG({ densityGPerMl, cupFactor }: Pick<Ingredient, 'densityGPerMl' | 'cupFactor'>) {
  const levelG = densityGPerMl * 5
  return { lowG: levelG * (cupFactor?.low ?? 1), highG: levelG * (cupFactor?.high ?? 1) }
}

export interface Stock {
  /** Powder for the jar, g. */
  readonly powderG: number
  readonly waterG: number
  /** Of the made solution, for the dough at hand, g. */
  readonly solutionG: number
  /** Water that solution brings to the dough, g. */
  readonly bringsWaterG: number
}

/**
 * A stock solution of `percent` g powder in 100 g of solution, enough for `batches` doughs that want `doseG` of powder each.
 * @example stockSolution(3, 10, 4) → { powderG: 12, waterG: 108, solutionG: 30, bringsWaterG: 27 }
 */
export function stockSolution(doseG: number, percent: number, batches: number): Stock {
  const solutionG = (100 * doseG) / percent
  const powderG = doseG * batches
  return { powderG, waterG: solutionG * batches - powderG, solutionG, bringsWaterG: solutionG - doseG }
}
