/** Everything a maker has, and the file that carries it. `docs/file-format.md` describes the file. */
import {
  isOnlyOne,
  kinds,
  RECORD_KINDS,
  timeSchema,
  type Kinds,
  type OnlyOne,
  type RecordKind,
  type Records,
} from '../model/index.ts'
import { z } from '../zod.ts'

export const FILE_VERSION = 14

/** A list of each kind, or the one there is. */
export type Workspace = {
  -readonly [K in RecordKind as Kinds[K]['home']]: K extends OnlyOne ? Records[K] | null : Records[K][]
}

const oneEach = (rows: readonly unknown[]): boolean =>
  new Set(rows.map((row) => (row as { id: string }).id)).size === rows.length
const listOf = (schema: z.ZodMiniType) => z.array(schema).check(z.refine(oneEach, { params: { code: 'id-twice' } }))

export const headSchemas = () => ({
  format: z.literal('harina'),
  version: z.literal(FILE_VERSION),
  exportedAt: timeSchema,
})

/** The file as a whole; it is read record by record, see `readFile.ts`. */
export const workspaceFileSchema = z.lazy(() =>
  z.strictObject({
    ...headSchemas(),
    ...Object.fromEntries(
      RECORD_KINDS.map((kind) => {
        const schema: z.ZodMiniType = kinds[kind].schema
        return [kinds[kind].home, isOnlyOne(kind) ? z.nullable(schema) : listOf(schema)]
      }),
    ),
  }),
)

export interface WorkspaceFile extends Workspace {
  readonly format: 'harina'
  readonly version: typeof FILE_VERSION
  readonly exportedAt: string
}

/** All records of a kind; of which there is one, that one or none. */
export function recordsOf<K extends RecordKind>(workspace: Workspace, kind: K): readonly Records[K][] {
  const held: unknown = workspace[kinds[kind].home]
  return (Array.isArray(held) ? held : held === null ? [] : [held]) as readonly Records[K][]
}

/** A workspace made kind by kind. */
export function workspaceOf(make: (kind: RecordKind) => readonly Records[RecordKind][]): Workspace {
  const made = RECORD_KINDS.map((kind) => {
    const rows = make(kind)
    return [kinds[kind].home, isOnlyOne(kind) ? (rows[0] ?? null) : [...rows]]
  })
  return Object.fromEntries(made) as Workspace
}

export const emptyWorkspace: Workspace = workspaceOf(() => [])

export const toFile = (workspace: Workspace, exportedAt: string): WorkspaceFile => ({
  format: 'harina',
  version: FILE_VERSION,
  exportedAt,
  ...workspace,
})
