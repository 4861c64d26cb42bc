import { z } from '../../zod.ts'
import { kindOf } from './kind.ts'
import { each, one, together, upgradesOf, type Upgrades } from '../loose.ts'
import { under } from '../reference.ts'
import { sheetReferences, sheetSchema, sheetUpgrades } from '../sheet.ts'
import { idSchema, timeSchema, wordsOf } from '../text.ts'

/** A formula as it stood before a change was kept. */
const versionSchema = z.lazy(() => z.strictObject({ at: timeSchema, sheet: sheetSchema }))
export const MAX_VERSIONS = 100
export const MAX_TAGS = 20

export const formulaSchema = z.lazy(() =>
  z.strictObject({
    id: idSchema,
    sheet: sheetSchema,
    tags: z.array(wordsOf(40)).check(z.maxLength(MAX_TAGS)),
    archived: z.boolean(),
    /** Oldest first; the sheet above is the newest and not among them. */
    versions: z.array(versionSchema).check(z.maxLength(MAX_VERSIONS)),
    createdAt: timeSchema,
    updatedAt: timeSchema,
  }),
)

export type Formula = z.infer<typeof formulaSchema>
export type FormulaVersion = z.infer<typeof versionSchema>

/** 2: tags, the archive and versions. */
const ownUpgrades: Upgrades = {
  2: (formula) => ({ ...formula, tags: [], archived: false, versions: [] }),
}

export const formulaKind = kindOf({
  home: 'formulas',
  one: false,
  held: true,
  table: { name: 'formulas', keys: 'id' },
  schema: formulaSchema,
  references: [...under('sheet', sheetReferences), ...under('versions.*.sheet', sheetReferences)],
  upgrades: together(
    upgradesOf(sheetUpgrades, (upgrade) => (formula) => ({
      ...formula,
      sheet: one(formula['sheet'], upgrade),
      versions: each(formula['versions'], (version) => ({ ...version, sheet: one(version['sheet'], upgrade) })),
    })),
    ownUpgrades,
  ),
  since: 1,
  nameOf: ({ sheet }) => sheet.name,
})
