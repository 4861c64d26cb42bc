import type { Batch } from '@harina/core'
import { createSlice, type PayloadAction } from '@reduxjs/toolkit'

/** Batches running now, as the store last told; every tab hears the same. */
export interface BenchSlice {
  readonly batches: readonly Batch[]
  readonly loaded: boolean
}

const initialState: BenchSlice = { batches: [], loaded: false }

export const benchSlice = createSlice({
  name: 'bench',
  initialState,
  reducers: {
    openBatchesRead: (_, { payload }: PayloadAction<readonly Batch[]>): BenchSlice => ({
      batches: payload,
      loaded: true,
    }),
  },
})

export const { openBatchesRead } = benchSlice.actions
