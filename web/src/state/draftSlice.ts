/** The sheet being worked on, with its undo. Each change is a whole sheet, so undo is a step along a list. */
import type { Draft, Sheet } from '@harina/core'
import { createSlice, type PayloadAction } from '@reduxjs/toolkit'

export interface DraftState {
  readonly present: Draft | null
  readonly past: readonly Draft[]
  readonly future: readonly Draft[]
  /** Changes of one gesture (a drag, a field being typed in) undo together. */
  readonly gesture: string | null
}

const MAX_PAST = 200
const initialState: DraftState = { present: null, past: [], future: [], gesture: null }

const push = (past: readonly Draft[], draft: Draft) => [...past, draft].slice(-MAX_PAST)

export const draftSlice = createSlice({
  name: 'draft',
  initialState,
  reducers: {
    draftLoaded: (_, { payload }: PayloadAction<Draft | null>): DraftState => ({ ...initialState, present: payload }),
    sheetEdited: (
      state,
      { payload: { sheet, gesture = null } }: PayloadAction<{ sheet: Sheet; gesture?: string | null }>,
    ): DraftState => {
      const { present, past } = state as DraftState
      if (!present) return state as DraftState
      const sameGesture = gesture !== null && gesture === state.gesture
      return { present: { ...present, sheet }, past: sameGesture ? past : push(past, present), future: [], gesture }
    },
    gestureEnded: (state): DraftState => ({ ...(state as DraftState), gesture: null }),
    draftOpened: (state, { payload }: PayloadAction<Draft>): DraftState => {
      const { present, past } = state as DraftState
      return { present: payload, past: present ? push(past, present) : past, future: [], gesture: null }
    },
    undone: (state): DraftState => {
      const { present, past, future } = state as DraftState
      const before = past.at(-1)
      if (!before || !present) return state as DraftState
      return { present: before, past: past.slice(0, -1), future: [present, ...future], gesture: null }
    },
    redone: (state): DraftState => {
      const { present, past, future } = state as DraftState
      const [next, ...rest] = future
      if (!next || !present) return state as DraftState
      return { present: next, past: push(past, present), future: rest, gesture: null }
    },
  },
})

export const { draftLoaded, sheetEdited, gestureEnded, draftOpened, undone, redone } = draftSlice.actions
