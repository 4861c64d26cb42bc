/** Batches that run now, whole, and those that have ended, in a few figures each; every tab hears the same. */
import { sameValue, type Batch, type BatchSummary } from '@harina/core'
import { createSlice, type PayloadAction } from '@reduxjs/toolkit'

export interface BatchesState {
  readonly open: readonly Batch[]
  /** Null until the store has answered. */
  readonly ended: readonly BatchSummary[] | null
  readonly loaded: boolean
}

const initialState: BatchesState = { open: [], ended: null, loaded: false }

/** A batch only grows, so as many entries are the same entries. */
const isAsBefore = (before: Batch | undefined, now: Batch): before is Batch =>
  before !== undefined &&
  before.events.length === now.events.length &&
  sameValue(before.events.at(-1), now.events.at(-1))

export const batchesSlice = createSlice({
  name: 'batches',
  initialState,
  reducers: {
    openBatchesRead: (state, { payload }: PayloadAction<readonly Batch[]>): BatchesState => {
      const before = state as BatchesState
      const known = new Map(before.open.map((batch) => [batch.id, batch]))
      const open = payload.map((batch) => {
        const was = known.get(batch.id)
        return isAsBefore(was, batch) ? was : batch
      })
      const same = open.length === before.open.length && open.every((batch, n) => batch === before.open[n])
      return { ...before, open: same ? before.open : open, loaded: true }
    },
    endedBatchesRead: (state, { payload }: PayloadAction<readonly BatchSummary[]>): BatchesState => ({
      ...(state as BatchesState),
      ended: payload,
    }),
    /** What a tap has stored, before the store's own news of it. */
    batchRecorded: (state, { payload }: PayloadAction<Batch>): BatchesState => {
      const before = state as BatchesState
      return { ...before, open: before.open.map((batch) => (batch.id === payload.id ? payload : batch)) }
    },
  },
})

export const { openBatchesRead, endedBatchesRead, batchRecorded } = batchesSlice.actions
