/**
 * Every kind of record, each with what the rest of the house does to all of them alike: check, upgrade, rename, join, count.
 * A new kind does not compile until it stands in all of these tables.
 */
import type { z } from '../zod.ts'
import { batchReferences, batchSchema, batchUpgrades, type Batch } from './batch.ts'
import { draftReferences, draftSchema, draftUpgrades, type Draft } from './draft.ts'
import { formulaReferences, formulaSchema, formulaUpgrades, type Formula } from './formula.ts'
import { gearReferences, gearSchema, gearUpgrades, type Gear } from './gear.ts'
import type { Upgrades } from './loose.ts'
import { lotReferences, lotSchema, type Lot } from './lot.ts'
import { ownIngredientSchema, type OwnIngredient } from './ownIngredient.ts'
import { ownShapeSchema, type OwnShape } from './ownShape.ts'
import { photoReferences, photoSchema, type Photo } from './photo.ts'
import type { RecordKind, Reference } from './reference.ts'

export interface Records {
  readonly formula: Formula
  readonly lot: Lot
  readonly ingredient: OwnIngredient
  readonly shape: OwnShape
  readonly batch: Batch
  readonly photo: Photo
  readonly gear: Gear
  readonly draft: Draft
}

interface Spec<R> {
  readonly schema: z.ZodMiniType<R>
  readonly references: readonly Reference[]
  readonly upgrades: Upgrades
  /** The first version of the file that has any. */
  readonly since: number
  /** What a maker calls it. */
  nameOf(record: R): string
}

export const records: { readonly [K in RecordKind]: Spec<Records[K]> } = {
  formula: {
    schema: formulaSchema,
    references: formulaReferences,
    upgrades: formulaUpgrades,
    since: 1,
    nameOf: ({ sheet }) => sheet.name,
  },
  lot: { schema: lotSchema, references: lotReferences, upgrades: {}, since: 1, nameOf: ({ name }) => name },
  ingredient: { schema: ownIngredientSchema, references: [], upgrades: {}, since: 2, nameOf: ({ name }) => name },
  shape: { schema: ownShapeSchema, references: [], upgrades: {}, since: 3, nameOf: ({ name }) => name },
  batch: {
    schema: batchSchema,
    references: batchReferences,
    upgrades: batchUpgrades,
    since: 1,
    nameOf: ({ plan }) => plan.sheet.name,
  },
  photo: {
    schema: photoSchema,
    references: photoReferences,
    upgrades: {},
    since: 4,
    nameOf: ({ at }) => at.slice(0, 16).replace('T', ' '),
  },
  gear: { schema: gearSchema, references: gearReferences, upgrades: gearUpgrades, since: 1, nameOf: () => 'Gear' },
  draft: {
    schema: draftSchema,
    references: draftReferences,
    upgrades: draftUpgrades,
    since: 1,
    nameOf: ({ sheet }) => sheet.name,
  },
}
