import { z } from '../../zod.ts'
import { kindOf } from './kind.ts'
import { one, upgradesOf } from '../loose.ts'
import { under } from '../reference.ts'
import { sheetReferences, sheetSchema, sheetUpgrades } from '../sheet.ts'
import { idSchema } from '../text.ts'

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

export const draftKind = kindOf({
  home: 'draft',
  one: true,
  held: false,
  table: { name: 'drafts', keys: 'id' },
  schema: draftSchema,
  references: [{ at: 'formula', to: 'formula' }, ...under('sheet', sheetReferences)],
  upgrades: upgradesOf(sheetUpgrades, (upgrade) => (draft) => ({ ...draft, sheet: one(draft['sheet'], upgrade) })),
  since: 1,
  nameOf: ({ sheet }) => sheet.name,
})
