/** The browser's own store. Documents live here; every version has its upgrade and a saved sample in its test. */
import type { BenchEvent, Batch, Draft, Formula, Gear, Lot, Plan } from '@harina/core'
import { Dexie, type EntityTable, type Table } from 'dexie'

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
  readonly id: 'seeded'
}

export class HarinaDatabase extends Dexie {
  formulas!: EntityTable<Formula, 'id'>
  lots!: EntityTable<Lot, 'id'>
  gear!: EntityTable<Gear, 'id'>
  drafts!: EntityTable<Draft, 'id'>
  closedBatches!: EntityTable<Batch, 'id'>
  openBatches!: EntityTable<OpenBatch, 'id'>
  events!: Table<EventRow, [string, number]>
  marks!: EntityTable<Mark, 'id'>

  constructor(name = 'harina') {
    // Strict: a write is on the disk before it is called done, so a flat battery loses nothing.
    super(name, { chromeTransactionDurability: 'strict' })
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
  }
}
