import { z } from '../zod.ts'
import { each, one, together, upgradesOf, type Upgrades } from './loose.ts'
import type { Reference } from './reference.ts'
import { sheetReferencesAt, sheetSchema, sheetUpgrades } from './sheet.ts'
import { idSchema, timeSchema, wordsOf } from './text.ts'

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

export const formulaReferences: readonly Reference[] = [
  ...sheetReferencesAt('sheet'),
  ...sheetReferencesAt('versions.*.sheet'),
]

/** 2: tags, the archive and versions. */
const ownUpgrades: Upgrades = {
  2: (formula) => ({ ...formula, tags: [], archived: false, versions: [] }),
}
export const formulaUpgrades = together(
  upgradesOf(sheetUpgrades, (upgrade) => (formula) => ({
    ...formula,
    sheet: one(formula['sheet'], upgrade),
    versions: each(formula['versions'], (version) => ({ ...version, sheet: one(version['sheet'], upgrade) })),
  })),
  ownUpgrades,
)
