import { z } from '../zod.ts'
import { one, upgradesOf } from './loose.ts'
import type { Reference } from './reference.ts'
import { sheetReferencesAt, sheetSchema, sheetUpgrades } from './sheet.ts'
import { idSchema } from './text.ts'

/** The sheet being worked on. There is one. */
export const draftSchema = z.lazy(() =>
  z.strictObject({
    id: z.literal('draft'),
    /** The formula this began as, if it stands in the book. */
    formula: z.nullable(idSchema),
    sheet: sheetSchema,
  }),
)

export type Draft = z.infer<typeof draftSchema>

export const draftReferences: readonly Reference[] = [{ at: 'formula', to: 'formula' }, ...sheetReferencesAt('sheet')]

export const draftUpgrades = upgradesOf(sheetUpgrades, (upgrade) => (draft) => ({
  ...draft,
  sheet: one(draft['sheet'], upgrade),
}))
