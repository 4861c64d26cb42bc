/** What a kind of request is, and the small words their schemas share. */
import type { IngredientTable } from '../model/index.ts'
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

export interface Kind {
  readonly schema: z.ZodType
  run(request: never, table: IngredientTable): Result<Computed>
}

export const kind = <S extends z.ZodType>(
  schema: S,
  run: (request: z.infer<S>, table: IngredientTable) => Result<Computed>,
): Kind => ({ schema, run })

export const plain = (result: object): Result<Computed> => ok({ result, warnings: [] })

export const positive = z.number().positive()
export const notNegative = z.number().min(0)
export const fraction = z.number().min(0).max(1)
export const id = z.string().min(1).max(200)
