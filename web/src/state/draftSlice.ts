/** The sheet being worked on, with its undo. Each change is a whole sheet, so undo is a step along a list. */
import { sameValue, type Draft, type Sheet } from '@harina/core'
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
/** The name of what another tab does to the sheet: all of it in a row undoes together. */
const ELSEWHERE = 'elsewhere'

const push = (past: readonly Draft[], draft: Draft) => [...past, draft].slice(-MAX_PAST)

function stepTo(before: DraftState, present: Draft, gesture: string | null): DraftState {
  const sameGesture = gesture !== null && gesture === before.gesture
  const past = sameGesture || !before.present ? before.past : push(before.past, before.present)
  return { present, past, future: [], gesture }
}

export const draftSlice = createSlice({
  name: 'draft',
  initialState,
  reducers: {
    draftLoaded: (_, { payload }: PayloadAction<Draft | null>): DraftState => ({ ...initialState, present: payload }),
    /** What is stored now, by whichever tab; the change of another tab can be undone here like any. */
    draftHeard: (state, { payload }: PayloadAction<Draft | null>): DraftState => {
      const before = state as DraftState
      if (sameValue(before.present, payload)) return before
      return payload ? stepTo(before, payload, ELSEWHERE) : initialState
    },
    sheetEdited: (
      state,
      { payload: { sheet, gesture = null } }: PayloadAction<{ sheet: Sheet; gesture?: string | null }>,
    ): DraftState => {
      const before = state as DraftState
      return before.present ? stepTo(before, { ...before.present, sheet }, gesture) : before
    },
    gestureEnded: (state): DraftState => ({ ...(state as DraftState), gesture: null }),
    /** What was being typed came to nothing: the sheet is what it was before, and nothing is left to redo. */
    gestureGivenUp: (state): DraftState => {
      const { present, past, future, gesture } = state as DraftState
      const before = gesture === null || gesture === ELSEWHERE ? undefined : past.at(-1)
      return before
        ? { present: before, past: past.slice(0, -1), future, gesture: null }
        : { present, past, future, gesture: null }
    },
    draftOpened: (state, { payload }: PayloadAction<Draft>): DraftState => stepTo(state as DraftState, payload, null),
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

export const { draftLoaded, draftHeard, sheetEdited, gestureEnded, gestureGivenUp, draftOpened, undone, redone } =
  draftSlice.actions
