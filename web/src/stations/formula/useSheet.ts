import type { Result, Sheet } from '@harina/core'
import { useCallback } from 'react'
import { gestureEnded, sheetEdited } from '../../state/draftSlice.ts'
import { store, useAppDispatch } from '../../state/store.ts'

/** Editing the sheet on paper: one change, or one step of a gesture that will undo as a whole. */
export function useSheet() {
  const dispatch = useAppDispatch()
  const edit = useCallback(
    (change: (sheet: Sheet) => Sheet, gesture?: string) => {
      const sheet = store.getState().draft.present?.sheet
      if (sheet) dispatch(sheetEdited({ sheet: change(sheet), gesture: gesture ?? null }))
    },
    [dispatch],
  )
  /** Takes an edit that the core may have refused; hands the refusal on to the field. */
  const attempt = useCallback(
    (next: Result<Sheet>, gesture: string) => {
      if (next.ok) dispatch(sheetEdited({ sheet: next.value, gesture }))
      return next
    },
    [dispatch],
  )
  const done = useCallback(() => dispatch(gestureEnded()), [dispatch])
  return { edit, attempt, done }
}
