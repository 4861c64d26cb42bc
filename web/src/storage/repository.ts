/** Everything the app asks of its store, in the words of the work. */
import {
  carvedOff,
  emptyWorkspace,
  standing,
  type Batch,
  type BenchEvent,
  type Draft,
  type Formula,
  type Gear,
  type Lot,
  type OwnIngredient,
  type OwnShape,
  type Photo,
  type Plan,
  type Workspace,
} from '@harina/core'
import { Dexie } from 'dexie'
import type { HarinaDatabase } from './database.ts'

export type Repository = ReturnType<typeof createRepository>

const isEnded = ({ events }: Pick<Batch, 'events'>): boolean =>
  standing(events).some((event) => event.type === 'closed' || event.type === 'abandoned')

/** The split of a batch cannot be taken back: its other part has gone its own way. */
export class PartWorkedOn extends Error {}

/** Parts carved off this batch, by the split that made them. */
const carvedBy = (events: readonly BenchEvent[]): ReadonlySet<string> =>
  new Set(standing(events).flatMap((event) => (event.type === 'split' && event.part === 'kept' ? [event.id] : [])))

export function createRepository(db: HarinaDatabase) {
  const everything = () => [
    db.formulas,
    db.lots,
    db.ingredients,
    db.shapes,
    db.gear,
    db.drafts,
    db.closedBatches,
    db.openBatches,
    db.events,
    db.photos,
    db.marks,
  ]

  const eventsOf = async (batch: string): Promise<BenchEvent[]> =>
    (await db.events.where('[batch+seq]').between([batch, Dexie.minKey], [batch, Dexie.maxKey]).toArray()).map(
      (row) => row.event,
    )

  const openBatches = async (): Promise<Batch[]> => {
    const open = await db.openBatches.toArray()
    return Promise.all(open.map(async ({ id, plan }) => ({ id, plan, events: await eventsOf(id) })))
  }

  const putOpen = async ({ id, plan, events }: Batch): Promise<void> => {
    await db.events.where('batch').equals(id).delete()
    await db.openBatches.put({ id, plan })
    await db.events.bulkAdd(events.map((event, seq) => ({ batch: id, seq, event })))
  }

  const dropOpen = async (id: string): Promise<void> => {
    await db.events.where('batch').equals(id).delete()
    await db.openBatches.delete(id)
  }

  const putBatch = async (batch: Batch): Promise<void> => {
    if (isEnded(batch)) {
      await dropOpen(batch.id)
      await db.closedBatches.put(batch)
    } else {
      await db.closedBatches.delete(batch.id)
      await putOpen(batch)
    }
  }

  /** A split makes the other part; a split taken back unmakes it, unless somebody has worked on it since. */
  const settleParts = async (before: readonly BenchEvent[], whole: Batch): Promise<void> => {
    const [was, is] = [carvedBy(before), carvedBy(whole.events)]
    for (const id of is) {
      const part = was.has(id) ? null : carvedOff(whole, id)
      if (part) await putBatch(part)
    }
    for (const id of was) {
      const part = is.has(id) ? null : carvedOff(whole, id)
      if (!part) continue
      if ((await eventsOf(part.id)).length !== part.events.length) throw new PartWorkedOn()
      await dropOpen(part.id)
    }
  }

  const readAll = async (): Promise<Workspace> => ({
    formulas: await db.formulas.toArray(),
    lots: await db.lots.toArray(),
    ingredients: await db.ingredients.toArray(),
    shapes: await db.shapes.toArray(),
    batches: [...(await db.closedBatches.toArray()), ...(await openBatches())],
    photos: await db.photos.toArray(),
    gear: (await db.gear.get('gear')) ?? null,
    draft: (await db.drafts.get('draft')) ?? null,
  })

  const writeAll = async (workspace: Workspace): Promise<void> => {
    await db.formulas.bulkPut(workspace.formulas)
    await db.lots.bulkPut(workspace.lots)
    await db.ingredients.bulkPut(workspace.ingredients)
    await db.shapes.bulkPut(workspace.shapes)
    for (const batch of workspace.batches) await putBatch(batch)
    await db.photos.bulkPut(workspace.photos)
    if (workspace.gear) await db.gear.put(workspace.gear)
    if (workspace.draft) await db.drafts.put(workspace.draft)
  }

  return {
    formulas: (): Promise<Formula[]> => db.formulas.toArray(),
    putFormula: (formula: Formula) => db.formulas.put(formula),
    deleteFormula: (id: string) => db.formulas.delete(id),
    lots: (): Promise<Lot[]> => db.lots.toArray(),
    putLot: (lot: Lot) => db.lots.put(lot),
    deleteLot: (id: string) => db.lots.delete(id),
    ingredients: (): Promise<OwnIngredient[]> => db.ingredients.toArray(),
    putIngredient: (row: OwnIngredient) => db.ingredients.put(row),
    deleteIngredient: (id: string) => db.ingredients.delete(id),
    shapes: (): Promise<OwnShape[]> => db.shapes.toArray(),
    putShape: (row: OwnShape) => db.shapes.put(row),
    deleteShape: (id: string) => db.shapes.delete(id),
    gear: (): Promise<Gear | undefined> => db.gear.get('gear'),
    putGear: (gear: Gear) => db.gear.put(gear),
    draft: (): Promise<Draft | undefined> => db.drafts.get('draft'),
    putDraft: (draft: Draft) => db.drafts.put(draft),
    photosOf: (batch: string): Promise<Photo[]> => db.photos.where('batch').equals(batch).sortBy('at'),
    putPhoto: (photo: Photo) => db.photos.put(photo),
    deletePhoto: (id: string) => db.photos.delete(id),
    closedBatches: (): Promise<Batch[]> => db.closedBatches.toArray(),
    openBatches,

    startBatch: (id: string, plan: Plan) => db.openBatches.add({ id, plan }),

    /**
     * Adds what one tap recorded; all of it or nothing. A batch that ends becomes one record in the same step, and one
     * whose ending is undone goes back to the bench.
     */
    record: (batch: string, events: readonly BenchEvent[]): Promise<void> =>
      db.transaction('rw', [db.openBatches, db.events, db.closedBatches], async () => {
        const open = await db.openBatches.get(batch)
        const closed = open ? undefined : await db.closedBatches.get(batch)
        const plan = open?.plan ?? closed?.plan
        if (!plan) throw new Error(`no batch ${batch}`)
        const before = closed?.events ?? (await eventsOf(batch))
        const whole: Batch = { id: batch, plan, events: [...before, ...events] }
        await settleParts(before, whole)
        if (closed || isEnded(whole)) await putBatch(whole)
        else await db.events.bulkAdd(events.map((event, index) => ({ batch, seq: before.length + index, event })))
      }),

    workspace: () => db.transaction('r', everything(), readAll),

    /** One transaction: a workspace is merged whole or not at all. */
    merge: (decide: (current: Workspace) => Workspace): Promise<void> =>
      db.transaction('rw', everything(), async () => writeAll(decide(await readAll()))),

    clear: (): Promise<void> =>
      db.transaction('rw', everything(), async () => {
        for (const table of everything()) if (table !== db.marks) await table.clear()
      }),

    /** Fills a browser that has never held anything; false if it has. */
    seedOnce: (workspace: Workspace): Promise<boolean> =>
      db.transaction('rw', everything(), async () => {
        if (await db.marks.get('seeded')) return false
        await db.marks.put({ id: 'seeded' })
        const current = await readAll()
        if (JSON.stringify(current) !== JSON.stringify(emptyWorkspace)) return false
        await writeAll(workspace)
        return true
      }),

    isSeeded: async (): Promise<boolean> => (await db.marks.get('seeded')) !== undefined,
  }
}
