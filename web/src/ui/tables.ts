/** The field's tables: ingredients, doughs, shapes and schools. The page fetches them once, before it is drawn. */
import {
  doughTable,
  shapeTable,
  type Dough,
  type Ingredient,
  type Kitchen,
  type School,
  type Shape,
} from '@harina/core'

export interface RawTables {
  readonly ingredients: readonly Ingredient[]
  readonly doughs: readonly Dough[]
  readonly shapes: readonly Shape[]
  readonly schools: readonly School[]
}

export interface Tables extends Pick<Kitchen, 'doughs' | 'shapes' | 'schools'> {
  readonly ingredientRows: readonly Ingredient[]
}

let provided: Tables | null = null

export function provideTables({ ingredients, doughs, shapes, schools }: RawTables): void {
  provided = { ingredientRows: ingredients, doughs: doughTable(doughs), shapes: shapeTable(shapes), schools }
}

export function tables(): Tables {
  if (!provided) throw new Error('the tables were not provided before the page was drawn')
  return provided
}
