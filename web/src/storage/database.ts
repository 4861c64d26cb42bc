/** The browser's own store. Records live here; every version has its upgrade and a saved sample in its test. */
import {
  kinds,
  RECORD_KINDS,
  type Batch,
  type BenchEvent,
  type Photo,
  type Plan,
  type RecordKind,
  type Records,
} from '@harina/core'
import { Dexie, type EntityTable, type Table, type Transaction } from 'dexie'
import type { SummaryBucket } from './summaries.ts'

/** A batch that has not ended: its plan here, its events a row each. */
export interface OpenBatch {
  readonly id: string
  readonly plan: Plan
}

export interface EventRow {
  readonly batch: string
  readonly seq: number
  readonly event: BenchEvent
}

/** Things true of this browser, not of the workspace. */
export interface Mark {
  readonly id: 'seeded' | 'summaries' | 'checked'
  readonly version?: number
  /** The build that has found everything here as its schemas have it. */
  readonly by?: string
}

/** Brings every table from the version before to this one, by the upgrades that files go through. */
const upgradeTo = (version: number) => async (was: Transaction) => {
  for (const kind of RECORD_KINDS) {
    const { upgrades, table } = kinds[kind]
    const upgrade = upgrades[version]
    if (!upgrade) continue
    for (const name of kind === 'batch' ? [table.name, 'openBatches'] : [table.name])
      for (const record of await was.table<Record<string, unknown>>(name).toArray())
        await was.table(name).put(upgrade(record))
    if (kind === 'batch')
      for (const row of await was.table<EventRow>('events').toArray()) {
        const { events } = upgrade({ events: [row.event] }) as { events: BenchEvent[] }
        await was.table('events').put({ ...row, event: events[0] })
      }
  }
}

/** What stands in the store, by the keys and indexes of each table: one a kind, and the store's own. */
export const STORE_VERSION = 15
const TABLES = {
  ...Object.fromEntries(Object.values(kinds).map(({ table: { name, keys } }) => [name, keys])),
  openBatches: 'id',
  summaries: 'bucket',
  events: '[batch+seq], batch',
  marks: 'id',
}

export class HarinaDatabase extends Dexie {
  closedBatches!: EntityTable<Batch, 'id'>
  openBatches!: EntityTable<OpenBatch, 'id'>
  /** Of closed batches, written with them. */
  summaries!: Table<SummaryBucket, number>
  events!: Table<EventRow, [string, number]>
  photos!: EntityTable<Photo, 'id'>
  marks!: EntityTable<Mark, 'id'>

  /** `isCurrent`: this browser is known to hold this version or nothing, so the way from older ones is not laid out. */
  constructor(name = 'harina', isCurrent = false) {
    // On this machine's own address Dexie takes itself to be developed on, and notes where each promise was made.
    Dexie.debug = false
    // Strict: a write is on the disk before it is called done, so a flat battery loses nothing. What was read is kept by
    // the state that shows it, so nothing is kept twice here.
    super(name, { chromeTransactionDurability: 'strict', cache: 'disabled' })
    if (!isCurrent) this.comeFromOlder()
    this.version(STORE_VERSION).stores(TABLES).upgrade(upgradeTo(14))
  }

  /** Of batches, that of the closed ones. */
  tableOf<K extends RecordKind>(kind: K): Table<Records[K], string> {
    return this.table(kinds[kind].table.name)
  }

  /** Each version by what it added; every one of them costs a slow processor time, whatever the store holds. */
  private comeFromOlder(): void {
    this.version(1).stores({
      formulas: 'id',
      lots: 'id',
      gear: 'id',
      drafts: 'id',
      closedBatches: 'id',
      openBatches: 'id',
      events: '[batch+seq], batch',
      marks: 'id',
    })
    this.version(2).stores({ ingredients: 'id' }).upgrade(upgradeTo(2))
    this.version(3).stores({ shapes: 'id' }).upgrade(upgradeTo(3))
    this.version(4).stores({ photos: 'id, batch' }).upgrade(upgradeTo(4))
    this.version(5).stores({ summaries: 'bucket', photos: 'id, batch, base64.length' })
    this.version(6).upgrade(upgradeTo(5))
    this.version(7).upgrade(upgradeTo(6))
    this.version(8).upgrade(upgradeTo(7))
    this.version(9).upgrade(upgradeTo(8))
    this.version(10).upgrade(upgradeTo(9))
    this.version(11).upgrade(upgradeTo(10))
    this.version(12).upgrade(upgradeTo(11))
    this.version(13).upgrade(upgradeTo(12))
    this.version(14).upgrade(upgradeTo(13))
  }
}
