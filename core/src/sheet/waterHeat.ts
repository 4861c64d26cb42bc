/** How warm the water goes in, by dough and school, and what it is called then. */
import type { Dough, Ingredient, IngredientTable } from '../model/index.ts'
import type { SchoolSets } from './schoolSets.ts'

/** Poured at this heat or above, the starch is scalded. °C. */
export const SCALDS_C = 60

type Span = { readonly fromC: number; readonly toC: number }

/** Plain water is one ingredient at several heats: the coldest first, and below which heat each is called so, °C. */
const PLAIN: readonly (readonly [id: string, belowC: number])[] = [
  ['water-cold', 16],
  ['water-room', 28],
  ['water-warm', 60],
  ['water-hot', Infinity],
]

/** Which plain water this heat makes. @example plainWaterAt(44) → 'water-warm' */
export const plainWaterAt = (celsius: number): string =>
  PLAIN.find(([, belowC]) => celsius < belowC)?.[0] ?? 'water-hot'

/** Water and nothing else, whatever its heat or hardness. */
export const isStillWater = (id: string): boolean => isWaterByHeat(id) || id === 'water-hard' || id === 'ice'

export const isWaterByHeat = (id: string): boolean => PLAIN.some(([plain]) => plain === id)

/** A plain water as the heat it is used at makes it, so that no name contradicts the sheet; all else as it is. */
export const asHeated = (ingredient: Ingredient, waterC: number | null, ingredients: IngredientTable): Ingredient =>
  waterC !== null && isWaterByHeat(ingredient.id) ? (ingredients.get(plainWaterAt(waterC)) ?? ingredient) : ingredient

const middle = ({ fromC, toC }: Span): number => (fromC + toC) / 2

/**
 * The middle of what a school's span and the dough's own table share, °C; null where they share nothing: such a school is not
 * for this dough. @example hot, 60 to 75, of a dough for 38 to 50 or 60 to 75 → 67.5; cold, 5 to 18, of it → null
 */
export function schoolWaterC({ waterC }: Pick<Dough, 'waterC'>, { waterC: asked }: SchoolSets): number | null {
  if (!asked) return null
  const shared = waterC
    .map(({ fromC, toC }) => ({ fromC: Math.max(fromC, asked.fromC), toC: Math.min(toC, asked.toC) }))
    .filter(({ fromC, toC }) => fromC < toC)
    .sort((a, b) => b.toC - b.fromC - (a.toC - a.fromC))[0]
  return shared ? middle(shared) : null
}

/** By the school, else the dough's own first choice; null where a dough takes no water. */
export function waterCFor(dough: Pick<Dough, 'waterC'>, sets: SchoolSets): number | null {
  const [first] = dough.waterC
  return schoolWaterC(dough, sets) ?? (first ? middle(first) : null)
}
