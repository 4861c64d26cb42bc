/** What a kind of request is, and the small words their schemas share. */
import type { IngredientTable } from '../model/index.ts'
import type { RecipeTables } from '../recipe/index.ts'
import { ok, type Result } from '../result.ts'
import { z } from '../zod.ts'

export interface Warning {
  readonly code: string
  readonly severity: 'note' | 'caution' | 'danger'
  readonly data?: Readonly<Record<string, string | number>>
}

export interface Computed {
  readonly result: object
  readonly warnings: readonly Warning[]
}

/** What the kinds look things up in. */
export interface CalcTables {
  readonly ingredients: IngredientTable
  readonly recipes: RecipeTables
}

export interface Kind {
  readonly schema: z.ZodMiniType
  run(request: never, tables: CalcTables): Result<Computed>
}

export const kind = <S extends z.ZodMiniType>(
  schema: S,
  run: (request: z.infer<S>, tables: CalcTables) => Result<Computed>,
): Kind => ({ schema, run })

export const plain = (result: object): Result<Computed> => ok({ result, warnings: [] })

export { positive } from '../model/index.ts'
export const notNegative = z.number().check(z.minimum(0))
export const fraction = z.number().check(z.minimum(0), z.maximum(1))
export const id = z.string().check(z.minLength(1), z.maxLength(200))
