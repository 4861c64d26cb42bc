import type { Dough, Ingredient } from '@harina/core'
import { decode, type Decoded, type DecodeOptions, type RecipeTables } from '@harina/core/recipe'
import { readerFacts } from './readerFacts.ts'

export interface ReadInput {
  readonly text: string
  /** The kitchen's, its own among them. */
  readonly ingredients: readonly Ingredient[]
  readonly doughs: readonly Dough[]
  readonly options: DecodeOptions
}

let known: { readonly key: string; readonly tables: RecipeTables } | null = null

/** The same tables for the same kitchen: their names are looked up a thousand times. */
function tablesOf({ ingredients, doughs }: ReadInput): RecipeTables {
  const key = JSON.stringify(ingredients)
  if (known?.key !== key) known = { key, tables: { ingredients, doughs, reader: readerFacts } }
  return known.tables
}

export const recipeJobs = {
  read: (input: ReadInput): Decoded => decode(input.text, tablesOf(input), input.options),
}
export type RecipeJobs = typeof recipeJobs
