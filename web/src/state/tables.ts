/** The field's tables: ingredients, doughs, shapes, schools, sauces and presses. The page fetches them once, before it is drawn. */
import {
  doughTable,
  type Dough,
  type Ingredient,
  type Kitchen,
  type PressKind,
  type SauceRow,
  type School,
  type Shape,
  type Trouble,
} from '@harina/core'

export interface RawTables {
  readonly ingredients: readonly Ingredient[]
  readonly doughs: readonly Dough[]
  readonly shapes: readonly Shape[]
  readonly schools: readonly School[]
  readonly sauces: readonly SauceRow[]
  readonly presses: readonly PressKind[]
  readonly troubles: readonly Trouble[]
}

export interface Tables
  extends Pick<Kitchen, 'doughs' | 'schools'>, Pick<RawTables, 'sauces' | 'presses' | 'troubles'> {
  readonly ingredientRows: readonly Ingredient[]
  readonly shapeRows: readonly Shape[]
}

let provided: Tables | null = null

export function provideTables({ ingredients, doughs, shapes, ...rest }: RawTables): void {
  provided = { ...rest, ingredientRows: ingredients, doughs: doughTable(doughs), shapeRows: shapes }
}

export function tables(): Tables {
  if (!provided) throw new Error('the tables were not provided before the page was drawn')
  return provided
}
