/** `npm run build` reads the tables through their schemas first: a table that does not fit is not built in. */
import {
  ingredientSchema,
  pressKindSchema,
  doughSchema,
  shapeSchema,
  flavourSchema,
  hazardSchema,
} from '@harina/core/model'
import { schoolSchema } from '@harina/core/sheet'
import { readerSchema } from '@harina/core/recipe'
import { sauceSchema } from '@harina/core/match'
import { troubleSchema } from '@harina/core/trouble'
import type { z } from '@harina/core'
import { doughs, flavours, hazards, ingredients, presses, reader, sauces, schools, shapes, troubles } from './index.ts'

interface Table {
  readonly name: string
  readonly rows: readonly object[]
  readonly schema: z.ZodMiniType
  readonly key: (row: never) => string
}
const byId = (row: { readonly id: string }): string => row.id

const tables: readonly Table[] = [
  { name: 'ingredients', rows: ingredients, schema: ingredientSchema, key: byId },
  { name: 'doughs', rows: doughs, schema: doughSchema, key: byId },
  { name: 'shapes', rows: shapes, schema: shapeSchema, key: byId },
  { name: 'schools', rows: schools, schema: schoolSchema, key: byId },
  { name: 'troubles', rows: troubles, schema: troubleSchema, key: byId },
  { name: 'sauces', rows: sauces, schema: sauceSchema, key: byId },
  { name: 'presses', rows: presses, schema: pressKindSchema, key: byId },
  { name: 'hazards', rows: hazards, schema: hazardSchema, key: byId },
  { name: 'flavours', rows: flavours, schema: flavourSchema, key: (row: { ingredient: string }) => row.ingredient },
]

/** What is wrong with a table, a line each; none for one that fits. */
export function problemsOf({ name, rows, schema, key }: Table): readonly string[] {
  const seen = new Set<string>()
  return rows.flatMap((row) => {
    const id = key(row as never)
    const twice = seen.has(id) ? [`${name}: ${id} stands there twice`] : []
    seen.add(id)
    const issues = schema.safeParse(row).error?.issues ?? []
    return [...twice, ...issues.map((issue) => `${name}: ${id}, ${issue.path.join('.')}: ${issue.message}`)]
  })
}

/** The reader's words are one table of several lists. */
const readerProblems = (): readonly string[] => {
  const known = new Set(ingredients.map(({ id }) => id))
  const named = [...reader.names, ...reader.counted].map(({ ingredient }) => ingredient)
  return [
    ...(readerSchema.safeParse(reader).error?.issues ?? []).map(
      ({ path, message }) => `reader: ${path.join('.')}: ${message}`,
    ),
    ...named.filter((id) => !known.has(id)).map((id) => `reader: there is no ingredient ${id}`),
  ]
}

export const tableProblems = (): readonly string[] => [...tables.flatMap(problemsOf), ...readerProblems()]
