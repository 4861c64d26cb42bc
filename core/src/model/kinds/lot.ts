/** A sack or jar that a row may be weighed from. */
import { z } from '../../zod.ts'
import { between, fraction } from '../ranges.ts'
import { kindOf } from './kind.ts'
import { idSchema, nameSchema, noteSchema, timeSchema } from '../text.ts'

/** How flour is packed, from what breathes most to what does not. */
export const PACKINGS = ['open-bin', 'small-paper', 'paper-sack', 'sealed'] as const
export type Packing = (typeof PACKINGS)[number]

export const lotSchema = z.lazy(() =>
  z.strictObject({
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
    /** What it stands in: how soon it follows the air. */
    packing: z.optional(z.enum(PACKINGS)),
    /** When it came, or was opened; it follows the air from then on. */
    since: z.optional(timeSchema),
    /** Water when it came, as its label says, fraction of mass. */
    startMoisture: z.optional(between(0.08, 0.18)),
  }),
)

export type Lot = z.infer<typeof lotSchema>

export const lotKind = kindOf({
  home: 'lots',
  one: false,
  held: true,
  table: { name: 'lots', keys: 'id' },
  schema: lotSchema,
  references: [{ at: 'ingredient', to: 'ingredient' }],
  upgrades: {},
  since: 1,
  nameOf: ({ name }) => name,
})
