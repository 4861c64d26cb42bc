/**
 * Every kind of record. A new one is its file and its line here: the store, the file, joining, rescue, what is held and who
 * names whom follow from these.
 */
import type { z } from '../../zod.ts'
import type { GearPart } from '../gearParts/index.ts'
import { batchKind } from './batch.ts'
import { draftKind } from './draft.ts'
import { formulaKind } from './formula.ts'
import { gearKind } from './gear.ts'
import { ingredientKind } from './ingredient.ts'
import { lotKind } from './lot.ts'
import { photoKind } from './photo.ts'
import { shapeKind } from './shape.ts'

export const kinds = {
  formula: formulaKind,
  lot: lotKind,
  ingredient: ingredientKind,
  shape: shapeKind,
  batch: batchKind,
  photo: photoKind,
  gear: gearKind,
  draft: draftKind,
}

export type Kinds = typeof kinds
export type RecordKind = keyof Kinds
export type Records = { readonly [K in RecordKind]: z.infer<Kinds[K]['schema']> }
export const RECORD_KINDS = Object.keys(kinds) as RecordKind[]

type With<Part extends keyof Kinds[RecordKind]> = { readonly [P in Part]: true }
type KindsWith<Part extends keyof Kinds[RecordKind]> = {
  [K in RecordKind]: Kinds[K] extends With<Part> ? K : never
}[RecordKind]

export type OnlyOne = KindsWith<'one'>
export const isOnlyOne = (kind: RecordKind): kind is OnlyOne => kinds[kind].one

/** Kinds that the app holds whole while it runs. */
export type HeldKind = KindsWith<'held'>
export const HELD = RECORD_KINDS.filter((kind): kind is HeldKind => kinds[kind].held)

type Known<To extends RecordKind | GearPart> = To
/** All that records name. A reference to what is neither a kind nor a part of Gear does not compile. */
export type Referred = Known<Kinds[RecordKind]['references'][number]['to']>
export const isKind = (named: string): named is RecordKind => Object.hasOwn(kinds, named)

/** What a maker calls this one. */
export const nameOf = <K extends RecordKind>(kind: K, record: Records[K]): string =>
  (kinds[kind].nameOf as (record: Records[K]) => string)(record)

export * from './batch.ts'
export * from './draft.ts'
export * from './formula.ts'
export * from './gear.ts'
export * from './ingredient.ts'
export * from './kind.ts'
export * from './lot.ts'
export * from './photo.ts'
export * from './shape.ts'
