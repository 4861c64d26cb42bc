/** Rows that spoil first, and what that means for a rest. */
import { isDairyOrEgg, type Shape, type Sheet } from '../model/index.ts'
import type { WorkedRow } from './workedRow.ts'

/** Fresh food with water of its own; dry powders and plain liquids are none. Fraction of mass. */
export const FRESH_WATER = 0.3

/** Egg, milk and curd, and what is as perishable: bean curd, cooked pulses. */
export const isPerishable = ({ ingredient }: WorkedRow): boolean =>
  isDairyOrEgg(ingredient) || (ingredient.group === 'pulse' && ingredient.water > FRESH_WATER)

/** A base of milk or curd: such a dough rests in the fridge. */
export const isCurdBased = (rows: readonly WorkedRow[]): boolean =>
  rows.some((row) => row.part === 'base' && row.grams > 0 && isDairyOrEgg(row.ingredient))

/** A rest of a perishable dough is no longer than this at room heat, min. */
export const PERISHABLE_REST_MIN = 60

/** Water poured so hot cooks part of the starch: it sets to a glue that holds without gluten, and spoils as cooked food does. °C. */
export const SETS_STARCH_C = 85

/** Made with its filling; skins kept empty are plain dough. */
export const isFilled = ({ unfilled }: Pick<Sheet, 'unfilled'>, { fillingG }: Pick<Shape, 'fillingG'>): boolean =>
  fillingG !== undefined && !unfilled
