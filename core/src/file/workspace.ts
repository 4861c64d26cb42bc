/** Everything a maker has, and the file that carries it. `docs/file-format.md` describes the file. */
import {
  batchSchema,
  draftSchema,
  formulaSchema,
  gearSchema,
  lotSchema,
  ownIngredientSchema,
  ownShapeSchema,
  photoSchema,
  RECORD_KINDS,
  timeSchema,
  type RecordKind,
  type Records,
} from '../model/index.ts'
import { z } from '../zod.ts'

export const FILE_VERSION = 9

const oneEach = <T extends { id: string }>(rows: readonly T[]): boolean =>
  new Set(rows.map((row) => row.id)).size === rows.length
const listOf = <S extends z.ZodMiniType<{ id: string }>>(schema: S) =>
  z.array(schema).check(z.refine(oneEach, { params: { code: 'id-twice' } }))

export const workspaceFileSchema = z.lazy(() =>
  z.strictObject({
    format: z.literal('harina'),
    version: z.literal(FILE_VERSION),
    exportedAt: timeSchema,
    formulas: listOf(formulaSchema),
    lots: listOf(lotSchema),
    ingredients: listOf(ownIngredientSchema),
    shapes: listOf(ownShapeSchema),
    batches: listOf(batchSchema),
    photos: listOf(photoSchema),
    gear: z.nullable(gearSchema),
    draft: z.nullable(draftSchema),
  }),
)

export type WorkspaceFile = z.infer<typeof workspaceFileSchema>
export type Workspace = Omit<WorkspaceFile, 'format' | 'version' | 'exportedAt'>

/** Where a workspace keeps each kind: a list, or the one there is. */
export const homes = {
  formula: 'formulas',
  lot: 'lots',
  ingredient: 'ingredients',
  shape: 'shapes',
  batch: 'batches',
  photo: 'photos',
  gear: 'gear',
  draft: 'draft',
} as const satisfies Readonly<Record<RecordKind, keyof Workspace>>

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

/** All records of a kind; of which there is one, that one or none. */
export function recordsOf<K extends RecordKind>(workspace: Workspace, kind: K): readonly Records[K][] {
  const held: unknown = workspace[homes[kind]]
  return (Array.isArray(held) ? held : held === null ? [] : [held]) as readonly Records[K][]
}

/** A workspace made kind by kind. */
export function workspaceOf(make: (kind: RecordKind) => readonly Records[RecordKind][]): Workspace {
  const made = RECORD_KINDS.map((kind) => {
    const rows = make(kind)
    return [homes[kind], Array.isArray(emptyWorkspace[homes[kind]]) ? rows : (rows[0] ?? null)]
  })
  return Object.fromEntries(made) as Workspace
}

export const toFile = (workspace: Workspace, exportedAt: string): WorkspaceFile => ({
  format: 'harina',
  version: FILE_VERSION,
  exportedAt,
  ...workspace,
})
