/** Batches: an open one has a row an event; a closed one is one record, with its summary beside it. */
import {
  benchEventSchema,
  carvedOff,
  isEnded,
  MAX_EVENTS,
  activeEvents,
  summarise,
  SUMMARY_VERSION,
  type Batch,
  type BatchSummary,
  type BenchEvent,
} from '@harina/core'
import { Dexie } from 'dexie'
import type { HarinaDatabase, Mark, OpenBatch } from './database.ts'
import { BookFull, checked, PartWorkedOn, Refused } from './refusal.ts'
import { summaryOf, summaryTable } from './summaries.ts'

/** Parts carved off this batch, by the split that made them. */
const carvedBy = (events: readonly BenchEvent[]): ReadonlySet<string> =>
  new Set(activeEvents(events).flatMap((event) => (event.type === 'split' && event.part === 'kept' ? [event.id] : [])))

/** Less is not told of, points. */
const CLEAR_POINTS = 0.1
const isOther = (before: number | null, now: number | null): boolean =>
  before === null || now === null ? before !== now : Math.abs(before - now) >= CLEAR_POINTS

/** How many batches are read at a time, where all of them are wanted. */
const AT_A_TIME = 200

export function batchTables(db: HarinaDatabase) {
  const all = [db.openBatches, db.events, db.closedBatches, db.summaries]
  const summaries = summaryTable(db.summaries)

  const eventsOf = async (batch: string): Promise<BenchEvent[]> =>
    (await db.events.where('[batch+seq]').between([batch, Dexie.minKey], [batch, Dexie.maxKey]).toArray()).map(
      (row) => row.event,
    )
  const whole = async ({ id, plan }: OpenBatch): Promise<Batch> => ({ id, plan, events: await eventsOf(id) })

  const dropOpen = async (id: string): Promise<void> => {
    await db.events.where('batch').equals(id).delete()
    await db.openBatches.delete(id)
  }

  /** Many at once: a file of thousands comes in in seconds. */
  const putClosed = async (batches: readonly Batch[]): Promise<void> => {
    const open = new Set(await db.openBatches.toCollection().primaryKeys())
    for (const { id } of batches) if (open.has(id)) await dropOpen(id)
    await db.closedBatches.bulkPut(batches)
    await summaries.put(batches.map(summarise))
  }

  const putOpen = async ({ id, plan, events }: Batch): Promise<void> => {
    await db.closedBatches.delete(id)
    await summaries.remove([id])
    await db.events.where('batch').equals(id).delete()
    await db.openBatches.put({ id, plan })
    await db.events.bulkAdd(events.map((event, seq) => ({ batch: id, seq, event })))
  }

  /** Within a transaction over `all`: where each batch belongs, whole. */
  const put = async (batches: readonly Batch[]): Promise<void> => {
    await putClosed(batches.filter(isEnded))
    for (const batch of batches) if (!isEnded(batch)) await putOpen(batch)
  }

  const get = async (id: string): Promise<Batch | undefined> => {
    const open = await db.openBatches.get(id)
    return open ? whole(open) : db.closedBatches.get(id)
  }

  /** A split makes the other part; a split taken back unmakes it, unless somebody has worked on it since. */
  const settleParts = async (before: readonly BenchEvent[], now: Batch): Promise<void> => {
    const [was, is] = [carvedBy(before), carvedBy(now.events)]
    for (const id of is) {
      const part = was.has(id) ? null : carvedOff(now, id)
      if (part) await put([checked('batch', part)])
    }
    for (const id of was) {
      const part = is.has(id) ? null : carvedOff(now, id)
      if (!part) continue
      const stands = await get(part.id)
      if (stands && stands.events.length !== part.events.length) throw new PartWorkedOn()
      await dropOpen(part.id)
    }
  }

  /** Every closed batch, some at a time: never all of them in memory. */
  const eachClosed = async (visit: (batches: readonly Batch[]) => Promise<void>): Promise<void> => {
    let last: string | undefined
    for (;;) {
      const from = last === undefined ? db.closedBatches.orderBy('id') : db.closedBatches.where('id').above(last)
      const batches = await from.limit(AT_A_TIME).toArray()
      if (batches.length === 0) return
      await visit(batches)
      last = batches.at(-1)?.id
    }
  }

  const areFresh = (mark: Mark | undefined): boolean => mark?.version === SUMMARY_VERSION

  /**
   * Adds what one tap recorded; all of it or nothing. A batch that ends becomes one record in the same step, and one
   * whose ending is undone goes back to the bench. The batch as it then stands.
   */
  const record = (id: string, events: readonly BenchEvent[]): Promise<Batch> =>
    db.transaction('rw', all, async () => {
      for (const event of events) {
        const read = benchEventSchema.safeParse(event)
        if (!read.success) throw new Refused('event', read.error.issues[0])
      }
      const before = await get(id)
      if (!before) throw new Error(`no batch ${id}`)
      const now: Batch = { ...before, events: [...before.events, ...events] }
      if (now.events.length > MAX_EVENTS) throw new BookFull()
      await settleParts(before.events, now)
      if (isEnded(before) || isEnded(now)) await put([now])
      else await db.events.bulkAdd(events.map((event, n) => ({ batch: id, seq: before.events.length + n, event })))
      return now
    })

  return {
    all,
    put,
    get,
    eachClosed,
    areFresh,

    discard: (id: string): Promise<void> =>
      db.transaction('rw', all, async () => {
        await dropOpen(id)
        await db.closedBatches.delete(id)
        await summaries.remove([id])
      }),

    openIds: (): Promise<string[]> => db.openBatches.toCollection().primaryKeys(),
    open: async (): Promise<Batch[]> => {
      const [batches, rows] = await Promise.all([db.openBatches.toArray(), db.events.toArray()])
      const whole = new Map(batches.map(({ id, plan }) => [id, { id, plan, events: [] as BenchEvent[] }]))
      for (const { batch, event } of rows) whole.get(batch)?.events.push(event)
      return [...whole.values()]
    },
    closed: (): Promise<Batch[]> => db.closedBatches.toArray(),
    summaries: (): Promise<BatchSummary[]> => summaries.all(),

    /** All begin, or none does. */
    start: (batches: readonly OpenBatch[]): Promise<void> =>
      db.transaction('rw', db.openBatches, async () => {
        for (const { id, plan } of batches) {
          const { plan: good } = checked('batch', { id, plan, events: [] })
          await db.openBatches.add({ id, plan: good })
        }
      }),

    record,

    /** One tap that parts a batch and goes on with the part: both, or neither. */
    recordParted: (id: string, split: BenchEvent, other: string, event: BenchEvent): Promise<readonly [Batch, Batch]> =>
      db.transaction('rw', all, async () => [await record(id, [split]), await record(other, [event])] as const),

    /**
     * Summaries follow from batches: where they were made by an older Harina, or never, they are made now. Of how many batches the
     * older one said something else of their flour.
     */
    freshSummaries: async ({ anew = false } = {}): Promise<number> => {
      if (areFresh(await db.marks.get('summaries')) && !anew) return 0
      return db.transaction('rw', [...all, db.marks], async () => {
        const told = new Map((await summaries.all().catch(() => [])).map(({ id, thirst }) => [id, thirst]))
        let others = 0
        await db.summaries.clear()
        await eachClosed(async (batches) => {
          const made = batches.map(summaryOf)
          others += made.filter(({ id, thirst }) => told.has(id) && isOther(told.get(id) ?? null, thirst)).length
          await summaries.put(made)
        })
        await db.marks.put({ id: 'summaries', version: SUMMARY_VERSION })
        return others
      })
    },
  }
}
