/** A sack or jar that a row may be weighed from. */
import { z } from '../zod.ts'
import { between, fraction } from './ranges.ts'
import type { Reference } from './reference.ts'
import { idSchema, nameSchema, noteSchema } from './text.ts'

export const lotSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  ingredient: idSchema,
  note: noteSchema,
  /** In the maker's own money. */
  pricePerKg: z.optional(between(0, 100_000)),
  /** What is left in the sack. */
  stockG: z.optional(between(0, 10_000_000)),
  /** As its label says, fraction of mass. */
  protein: z.optional(fraction),
})

export type Lot = z.infer<typeof lotSchema>

export const lotReferences: readonly Reference[] = [{ at: 'ingredient', to: 'ingredient' }]
