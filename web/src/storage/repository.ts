/** Everything the app asks of its store, in the words of the work. */
import {
  emptyWorkspace,
  HELD,
  recordsOf,
  sameValue,
  workspaceOf,
  type Batch,
  type BatchSummary,
  type HeldKind,
  type RecordKind,
  type Records,
  type Workspace,
} from '@harina/core'
import type { Table } from 'dexie'
import { batchTables } from './batches.ts'
import type { HarinaDatabase } from './database.ts'
import { documentTables, DOCUMENT_KINDS, PHOTOS_MOST_CHARACTERS } from './documents.ts'
import { checked, StoreDropped } from './refusal.ts'
import { wakeful } from './wakeful.ts'

export type Repository = ReturnType<typeof createRepository>

/** Every record of the kinds that a page holds while it runs; of the draft, the one there is. */
export type HeldRecords = { readonly [K in HeldKind | 'draft']: readonly Records[K][] }
const WANTED = [...HELD, 'draft'] as const

/** What the app holds while it runs. */
export interface Held {
  readonly records: HeldRecords
  /** Batches at the bench. */
  readonly open: readonly Batch[]
  /** Batches that have ended; null where their summaries are still to be made. */
  readonly ended: readonly BatchSummary[] | null
}

export interface Opened {
  /** Nothing has ever been kept here. */
  readonly isNew: boolean
  /** A first workspace was put in, or none was wanted. */
  readonly isSeeded: boolean
  /** The build that last found everything as its schemas have it. */
  readonly checkedBy: string | null
  readonly held: Held
}

export function createRepository(db: HarinaDatabase, photosMost = PHOTOS_MOST_CHARACTERS) {
  const documents = documentTables(db, photosMost)
  const batches = batchTables(db)
  const everything = [...DOCUMENT_KINDS.map((kind) => db.tableOf(kind)), ...batches.all, db.marks]

  const readAll = async (): Promise<Workspace> => {
    const read = new Map<RecordKind, readonly Records[RecordKind][]>()
    for (const kind of DOCUMENT_KINDS) read.set(kind, await documents.read(kind))
    read.set('batch', [...(await batches.closed()), ...(await batches.open())])
    return workspaceOf((kind) => read.get(kind) ?? [])
  }

  const writeAll = async (workspace: Workspace): Promise<void> => {
    // Two kitchens joined may be more than one can be.
    if (workspace.gear) checked('gear', workspace.gear)
    for (const kind of DOCUMENT_KINDS) {
      const table: Table<Records[RecordKind], string> = db.tableOf(kind)
      await table.bulkPut([...recordsOf(workspace, kind)])
    }
    await batches.put(workspace.batches)
  }

  const clearAll = async (): Promise<void> => {
    for (const table of everything) if (table !== db.marks) await table.clear()
  }

  const isNew = async (): Promise<boolean> => (await db.marks.count()) === 0
  /** This page has seen that something is kept here. */
  let known = false

  /** On a full disk a browser may drop the store and open an empty one in its place: that one is left shut. */
  const openAgain = async (): Promise<void> => {
    await db.open()
    if (!known || !(await isNew())) return
    db.close()
    throw new StoreDropped()
  }
  let opening: Promise<unknown> | null = null
  /** One at a time: nobody slips in before it is known what was opened, or before it holds what it begins with. */
  const oneAtATime = <T>(work: Promise<T>): Promise<T> => {
    opening = work
    const over = () => {
      if (opening === work) opening = null
    }
    work.then(over, over)
    return work
  }
  const waking = {
    isOpen: () => db.isOpen() && opening === null,
    open: () => opening ?? oneAtATime(openAgain()),
  }

  const asked = wakeful(waking, {
    ...documents,
    batches,

    /** Opens the store, and takes in one go what the first screen hangs on. */
    open: async (): Promise<Opened> => {
      await db.open()
      return db.transaction('r', everything, async () => {
        const marked = db.marks.toArray().then((marks) => new Map(marks.map((mark) => [mark.id, mark])))
        // All asked at once: each answer on its own would be waited for before the next is asked.
        const [marks, read, open, ended] = await Promise.all([
          marked,
          Promise.all(WANTED.map(async (kind) => [kind, await documents.read(kind)] as const)),
          batches.open(),
          marked.then((marks) => (batches.areFresh(marks.get('summaries')) ? batches.summaries() : null)),
        ])
        return {
          isNew: marks.size === 0,
          isSeeded: marks.has('seeded'),
          checkedBy: marks.get('checked')?.by ?? null,
          held: { records: Object.fromEntries(read) as unknown as HeldRecords, open, ended },
        }
      })
    },

    /** Makes ready what follows from what is kept; from now on an empty store is one that was dropped. */
    makeReady: async (): Promise<{ readonly judgedAnew: number }> => {
      const judgedAnew = await batches.freshSummaries()
      known = true
      return { judgedAnew }
    },

    /** Null: something was found that no schema takes. */
    noteChecked: async (by: string | null): Promise<void> => {
      if (by === null) await db.marks.delete('checked')
      else await db.marks.put({ id: 'checked', by })
    },

    /** A record as it lies there, whatever it holds: to be saved as a file where it cannot be shown. */
    raw: (kind: RecordKind, id: string): Promise<unknown> =>
      kind === 'batch' ? batches.get(id) : db.tableOf(kind).get(id),
    discard: (kind: RecordKind, id: string): Promise<void> =>
      kind === 'batch' ? batches.discard(id) : db.tableOf(kind).delete(id),

    workspace: (): Promise<Workspace> => db.transaction('r', everything, readAll),

    /** One transaction: a workspace is merged whole or not at all. */
    merge: (decide: (current: Workspace) => Workspace): Promise<void> =>
      db.transaction('rw', everything, async () => writeAll(decide(await readAll()))),

    clear: (): Promise<void> => db.transaction('rw', everything, clearAll),

    /**
     * Every record in turn, kind by kind, for a file: closed batches some at a time, so that a large workspace is never in
     * memory whole.
     */
    each: (visit: (kind: RecordKind, records: readonly Records[RecordKind][]) => void): Promise<void> =>
      db.transaction('r', everything, async () => {
        for (const kind of DOCUMENT_KINDS) visit(kind, await documents.read(kind))
        await batches.eachClosed(async (closed) => visit('batch', closed))
        visit('batch', await batches.open())
      }),
  })

  const fill = (workspace: Workspace): Promise<boolean> =>
    db.transaction('rw', everything, async () => {
      if (await db.marks.get('seeded')) return false
      await db.marks.put({ id: 'seeded' })
      if (!sameValue(await readAll(), emptyWorkspace)) return false
      await writeAll(workspace)
      return true
    })

  /** Fills a browser that has never held anything; false if it has. Whatever else is asked waits for it. */
  const seedOnce = (workspace: Workspace | Promise<Workspace>): Promise<boolean> => {
    const before = (opening ?? Promise.resolve()).catch(() => undefined)
    return oneAtATime(
      before
        .then(() => workspace)
        .then(async (first) => {
          if (!db.isOpen()) await openAgain()
          return fill(first)
        }),
    )
  }

  return {
    ...asked,
    seedOnce,
    /** After the browser has dropped the store: what a page still holds goes into the new one. */
    putBack: async (workspace: Workspace): Promise<void> => {
      known = false
      await seedOnce(workspace)
      await asked.makeReady()
    },
  }
}
