/**
 * The `.harina.json` file: everything a workspace holds, or a part of it. Versions, oldest first: 1 to 4.
 * `docs/file-format.md` describes it; its JSON Schema is generated from the schema below.
 */
import { z } from '../zod.ts'
import { ok, problem, type Result } from '../result.ts'
import {
  batchSchema,
  draftSchema,
  formulaSchema,
  gearSchema,
  lotSchema,
  ownIngredientSchema,
  ownShapeSchema,
  photoSchema,
} from './documents.ts'
import type { Batch, Draft, Formula, Gear, Lot, OwnIngredient, OwnShape, Photo } from './documents.ts'
import type { Loose } from './loose.ts'
import { file1to2 } from './upgrade1to2.ts'
import { file2to3 } from './upgrade2to3.ts'
import { file3to4 } from './upgrade3to4.ts'
import { timeSchema } from './text.ts'

export const FILE_VERSION = 4
/** Room for several hundred photos. */
export const FILE_MAX_CHARACTERS = 128 * 1024 * 1024

const oneEach = <T extends { id: string }>(rows: readonly T[]): boolean =>
  new Set(rows.map((row) => row.id)).size === rows.length
const listOf = <S extends z.ZodType<{ id: string }>>(schema: S) =>
  z
    .array(schema)
    .max(100_000)
    .refine(oneEach, { params: { code: 'id-twice' } })

export const workspaceFileSchema = z.strictObject({
  format: z.literal('harina'),
  version: z.literal(FILE_VERSION),
  exportedAt: timeSchema,
  formulas: listOf(formulaSchema),
  lots: listOf(lotSchema),
  ingredients: listOf(ownIngredientSchema),
  shapes: listOf(ownShapeSchema),
  batches: listOf(batchSchema),
  photos: listOf(photoSchema),
  gear: gearSchema.nullable(),
  draft: draftSchema.nullable(),
})

export type WorkspaceFile = z.infer<typeof workspaceFileSchema>
export type Workspace = Omit<WorkspaceFile, 'format' | 'version' | 'exportedAt'>

export const emptyWorkspace: Workspace = {
  formulas: [],
  lots: [],
  ingredients: [],
  shapes: [],
  batches: [],
  photos: [],
  gear: null,
  draft: null,
}

export const toFile = (workspace: Workspace, exportedAt: string): WorkspaceFile => ({
  format: 'harina',
  version: FILE_VERSION,
  exportedAt,
  ...workspace,
})

/** Keys that reach an object's prototype; no file of ours has them. */
const HOSTILE_KEYS = new Set(['__proto__', 'constructor', 'prototype'])

/** Walks without recursion: a file nested a million deep must not take the page down. */
function hasHostileKey(root: unknown): boolean {
  const pending: unknown[] = [root]
  while (pending.length > 0) {
    const value = pending.pop()
    if (typeof value !== 'object' || value === null) continue
    for (const key of Object.keys(value)) {
      if (HOSTILE_KEYS.has(key)) return true
      pending.push((value as Record<string, unknown>)[key])
    }
  }
  return false
}

function parse(text: string): Result<unknown> {
  try {
    return ok(JSON.parse(text))
  } catch {
    return problem(/^\s*[[{]/.test(text) && !/[\]}]\s*$/.test(text) ? 'file-cut-short' : 'file-not-json')
  }
}

/** From each version to the next. */
const upgrades: readonly ((file: Loose) => Loose)[] = [file1to2, file2to3, file3to4]

/**
 * Text of a file in, a workspace out, or one problem: `file-empty`, `file-too-big`, `file-cut-short`, `file-not-json`,
 * `file-hostile`, `file-foreign`, `file-newer` (data: version), `file-markup` (path), `file-broken` (path).
 */
export function readWorkspaceFile(text: string): Result<WorkspaceFile> {
  if (text.length > FILE_MAX_CHARACTERS) return problem('file-too-big')
  if (text.trim() === '') return problem('file-empty')
  const parsed = parse(text)
  if (!parsed.ok) return parsed
  if (hasHostileKey(parsed.value)) return problem('file-hostile')
  const head = z
    .looseObject({ format: z.literal('harina'), version: z.number().int().positive() })
    .safeParse(parsed.value)
  if (!head.success) return problem('file-foreign')
  if (head.data.version > FILE_VERSION) return problem('file-newer', undefined, { version: head.data.version })
  const newest = upgrades.slice(head.data.version - 1).reduce((file, upgrade) => upgrade(file), head.data as Loose)
  const read = workspaceFileSchema.safeParse(newest)
  if (read.success) return ok(read.data)
  const issue = read.error.issues[0]
  const markup = issue?.code === 'custom' && issue.params?.['code'] === 'not-plain-text'
  return problem(markup ? 'file-markup' : 'file-broken', issue?.path.join('.') ?? '')
}

export type ClashChoice = 'keep-both' | 'replace' | 'skip'

export interface Clash {
  readonly kind: 'formula' | 'lot' | 'ingredient' | 'shape' | 'batch' | 'photo' | 'gear' | 'draft'
  readonly id: string
  readonly name: string
}

export interface ImportPreview {
  readonly fresh: number
  /** Already here, to the letter. */
  readonly same: number
  readonly clashes: readonly Clash[]
}

/** One spelling for one value, whatever the order of its keys. */
function canonical(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map(canonical).join()}]`
  if (typeof value !== 'object' || value === null) return JSON.stringify(value) ?? 'null'
  const entries = Object.entries(value).filter(([, part]) => part !== undefined)
  return `{${entries
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([key, part]) => `${JSON.stringify(key)}:${canonical(part)}`)
    .join()}}`
}

const named: readonly {
  kind: Clash['kind']
  of(w: Workspace): readonly { id: string; name: string; value: unknown }[]
}[] = [
  { kind: 'formula', of: (w) => w.formulas.map((f) => ({ id: f.id, name: f.sheet.name, value: f })) },
  { kind: 'lot', of: (w) => w.lots.map((l) => ({ id: l.id, name: l.name, value: l })) },
  { kind: 'ingredient', of: (w) => w.ingredients.map((i) => ({ id: i.id, name: i.name, value: i })) },
  { kind: 'shape', of: (w) => w.shapes.map((s) => ({ id: s.id, name: s.name, value: s })) },
  { kind: 'batch', of: (w) => w.batches.map((b) => ({ id: b.id, name: b.plan.sheet.name, value: b })) },
  {
    kind: 'photo',
    of: (w) => w.photos.map((p) => ({ id: p.id, name: p.at.slice(0, 16).replace('T', ' '), value: p })),
  },
  { kind: 'gear', of: (w) => (w.gear ? [{ id: 'gear', name: 'Gear', value: w.gear }] : []) },
  { kind: 'draft', of: (w) => (w.draft ? [{ id: 'draft', name: w.draft.sheet.name, value: w.draft }] : []) },
]

/** What a file would bring to a workspace: so many new, so many the same, and those that differ under one identifier. */
export function previewImport(current: Workspace, incoming: Workspace): ImportPreview {
  let fresh = 0
  let same = 0
  const clashes: Clash[] = []
  for (const { kind, of } of named) {
    const here = new Map(of(current).map((entry) => [entry.id, canonical(entry.value)]))
    for (const { id, name, value } of of(incoming)) {
      const present = here.get(id)
      if (present === undefined) fresh += 1
      else if (present === canonical(value)) same += 1
      else clashes.push({ kind, id, name })
    }
  }
  return { fresh, same, clashes }
}

interface Merge {
  readonly current: Workspace
  readonly choice: ClashChoice
  readonly newId: () => string
}

/** Which incoming records to write, and under which identifier. */
function settle<T extends { id: string }>(here: readonly T[], incoming: readonly T[], { choice, newId }: Merge) {
  const known = new Map(here.map((record) => [record.id, canonical(record)]))
  const ids = new Map<string, string>()
  const writes = incoming.filter((record) => {
    const present = known.get(record.id)
    if (present === undefined) return true
    if (present === canonical(record) || choice === 'skip') return false
    if (choice === 'keep-both') ids.set(record.id, newId())
    return true
  })
  return { writes, idOf: (id: string) => ids.get(id) ?? id }
}

function mergedGear(incoming: Gear | null, { current, choice }: Merge): Gear | null {
  if (!incoming || !current.gear || choice === 'replace') return incoming
  const known = new Set(current.gear.places.map((place) => place.id))
  const places = [...current.gear.places, ...incoming.places.filter((place) => !known.has(place.id))].slice(0, 20)
  return { ...current.gear, places }
}

/** The records to write so that a file joins a workspace; references follow records that are kept under a new identifier. */
export function mergeImport(incoming: Workspace, merge: Merge): Workspace {
  const { current, choice } = merge
  const lots = settle<Lot>(current.lots, incoming.lots, merge)
  const ingredients = settle<OwnIngredient>(current.ingredients, incoming.ingredients, merge)
  const shapes = settle<OwnShape>(current.shapes, incoming.shapes, merge)
  const formulas = settle<Formula>(current.formulas, incoming.formulas, merge)
  const batches = settle<Batch>(current.batches, incoming.batches, merge)
  const photos = settle<Photo>(current.photos, incoming.photos, merge)
  const formulaRef = (id: string | null) => (id === null ? null : formulas.idOf(id))
  const rowRefs = <R extends { ingredient: string; lot?: string | undefined }>(row: R): R => ({
    ...row,
    ingredient: ingredients.idOf(row.ingredient),
    ...(row.lot === undefined ? {} : { lot: lots.idOf(row.lot) }),
  })
  const sheetRefs = (sheet: Draft['sheet']): Draft['sheet'] => ({
    ...sheet,
    shape: shapes.idOf(sheet.shape),
    alsoShapes: sheet.alsoShapes.map((also) => ({ ...also, shape: shapes.idOf(also.shape) })),
    rows: sheet.rows.map(rowRefs),
  })
  return {
    ingredients: ingredients.writes.map((row) => ({ ...row, id: ingredients.idOf(row.id) })),
    shapes: shapes.writes.map((shape) => ({ ...shape, id: shapes.idOf(shape.id) })),
    lots: lots.writes.map((lot) => ({ ...lot, id: lots.idOf(lot.id), ingredient: ingredients.idOf(lot.ingredient) })),
    formulas: formulas.writes.map((f) => ({
      ...f,
      id: formulas.idOf(f.id),
      sheet: sheetRefs(f.sheet),
      versions: f.versions.map((version) => ({ ...version, sheet: sheetRefs(version.sheet) })),
    })),
    batches: batches.writes.map((batch) => ({
      ...batch,
      id: batches.idOf(batch.id),
      plan: {
        ...batch.plan,
        formula: formulaRef(batch.plan.formula),
        sheet: sheetRefs(batch.plan.sheet),
        rows: batch.plan.rows.map(rowRefs),
      },
    })),
    photos: photos.writes.map((photo) => ({ ...photo, id: photos.idOf(photo.id), batch: batches.idOf(photo.batch) })),
    gear: mergedGear(incoming.gear, merge),
    draft:
      incoming.draft && (!current.draft || choice === 'replace')
        ? { ...incoming.draft, formula: formulaRef(incoming.draft.formula), sheet: sheetRefs(incoming.draft.sheet) }
        : null,
  }
}
