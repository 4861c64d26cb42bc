/** The browser's own store. Documents live here; every version has its upgrade and a saved sample in its test. */
import type { BenchEvent, Batch, Draft, Formula, Gear, Lot, OwnIngredient, OwnShape, Photo, Plan } from '@harina/core'
import {
  batch1to2,
  batch2to3,
  batch3to4,
  draft1to2,
  draft2to3,
  formula1to2,
  formula2to3,
  gear1to2,
  gear2to3,
  gear3to4,
} from '@harina/core'
import { Dexie, type EntityTable, type Table, type Transaction } from 'dexie'

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

type Upgrade = (record: Readonly<Record<string, unknown>>) => Readonly<Record<string, unknown>>

/** What each version makes of the tables before it; open batches keep their events in a table of their own. */
const upgradesTo2: Readonly<Record<string, Upgrade>> = {
  formulas: formula1to2,
  gear: gear1to2,
  drafts: draft1to2,
  closedBatches: batch1to2,
  openBatches: batch1to2,
}
const upgradesTo3: Readonly<Record<string, Upgrade>> = {
  formulas: formula2to3,
  gear: gear2to3,
  drafts: draft2to3,
  closedBatches: batch2to3,
  openBatches: batch2to3,
}
const upgradesTo4: Readonly<Record<string, Upgrade>> = {
  gear: gear3to4,
  closedBatches: batch3to4,
  openBatches: batch3to4,
}

const through = (upgrades: Readonly<Record<string, Upgrade>>) => async (was: Transaction) => {
  for (const [table, upgrade] of Object.entries(upgrades))
    for (const record of await was.table<Record<string, unknown>>(table).toArray())
      await was.table(table).put(upgrade(record))
}

export class HarinaDatabase extends Dexie {
  formulas!: EntityTable<Formula, 'id'>
  lots!: EntityTable<Lot, 'id'>
  ingredients!: EntityTable<OwnIngredient, 'id'>
  shapes!: EntityTable<OwnShape, 'id'>
  gear!: EntityTable<Gear, 'id'>
  drafts!: EntityTable<Draft, 'id'>
  closedBatches!: EntityTable<Batch, 'id'>
  openBatches!: EntityTable<OpenBatch, 'id'>
  events!: Table<EventRow, [string, number]>
  photos!: EntityTable<Photo, 'id'>
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
    this.version(2).stores({ ingredients: 'id' }).upgrade(through(upgradesTo2))
    this.version(3).stores({ shapes: 'id' }).upgrade(through(upgradesTo3))
    this.version(4).stores({ photos: 'id, batch' }).upgrade(through(upgradesTo4))
  }
}
