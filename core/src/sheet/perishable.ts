/** Rows that spoil first, and what that means for a rest. */
import { isDairyOrEgg, type Shape, type Sheet } from '../model/index.ts'
import { spoilageOf } from '../safety/index.ts'
import type { WorkedRow } from './workedRow.ts'

/** Egg, milk and curd, and what spoils as fast: bean curd, cooked pulses, plant drinks, squid ink. */
export const isPerishable = ({ ingredient, grams }: WorkedRow): boolean =>
  grams > 0 && spoilageOf(ingredient) === 'perishable'

/** A base of milk or curd: such a dough rests in the fridge. */
export const isCurdBased = (rows: readonly WorkedRow[]): boolean =>
  rows.some((row) => row.part === 'base' && row.grams > 0 && isDairyOrEgg(row.ingredient))

/** Water poured so hot cooks part of the starch: it sets to a glue that holds without gluten, and spoils as cooked food does. °C. */
export const SETS_STARCH_C = 85

/** Made with its filling; skins kept empty are plain dough. */
export const isFilled = ({ unfilled }: Pick<Sheet, 'unfilled'>, { fillingG }: Pick<Shape, 'fillingG'>): boolean =>
  fillingG !== undefined && !unfilled
