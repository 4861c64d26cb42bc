import type { Result, Sheet } from '@harina/core'
import { useCallback } from 'react'
import { gestureEnded } from '../../state/draftSlice.ts'
import { editDraft } from '../../state/editDraft.ts'
import { useAppDispatch } from '../../state/store.ts'

/** Editing the sheet on paper: one change, or one step of a gesture that will undo as a whole. */
export function useSheet() {
  const dispatch = useAppDispatch()
  const edit = editDraft
  /** Takes an edit that the core may have refused; hands the refusal on to the field. */
  const attempt = useCallback(
    (next: Result<Sheet>, gesture: string) => (next.ok ? editDraft(() => next.value, gesture) : next),
    [],
  )
  const done = useCallback(() => dispatch(gestureEnded()), [dispatch])
  return { edit, attempt, done }
}
