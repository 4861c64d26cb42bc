import type { CalcTables } from '@harina/core/calc'
import { ingredientTable } from '@harina/core/model'
import { doughs, ingredients, reader } from './index.ts'

/** What the calculation port looks up: these tables as they ship. */
export const calcTables: CalcTables = {
  ingredients: ingredientTable(ingredients),
  recipes: { ingredients, doughs, reader },
}
