/** The browser's own store. Documents live here; every version has its upgrade and a saved sample in its test. */
import type { BenchEvent, Batch, Draft, Formula, Gear, Lot, OwnIngredient, Plan } from '@harina/core'
import { batch1to2, draft1to2, formula1to2, gear1to2 } from '@harina/core'
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

/** What version 2 makes of each table of version 1; open batches keep their events in a table of their own. */
const upgrades = [
  ['formulas', formula1to2],
  ['gear', gear1to2],
  ['drafts', draft1to2],
  ['closedBatches', batch1to2],
  ['openBatches', batch1to2],
] as const

export class HarinaDatabase extends Dexie {
  formulas!: EntityTable<Formula, 'id'>
  lots!: EntityTable<Lot, 'id'>
  ingredients!: EntityTable<OwnIngredient, 'id'>
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
    this.version(2)
      .stores({ ingredients: 'id' })
      .upgrade(async (was) => {
        for (const [table, upgrade] of upgrades)
          for (const record of await was.table<Record<string, unknown>>(table).toArray())
            await was.table(table).put(upgrade(record))
      })
  }
}
