import type { Result, Sheet } from '@harina/core'
import { useCallback } from 'react'
import { gestureEnded, gestureGivenUp } from '../../state/draftSlice.ts'
import { editDraft } from '../../state/editDraft.ts'
import { notify } from '../../state/notify.ts'
import { useAppDispatch } from '../../state/store.ts'
import type { Left } from '../../ui/useTyped.ts'
import { problemTold } from '#web/ui/units.ts'

/** A press is told what came of it; a field tells it itself, beside what was typed. */
function edit(change: (sheet: Sheet) => Sheet, gesture: string | null = null): Result<Sheet> {
  const done = editDraft(change, gesture)
  if (!done.ok && gesture === null) notify('That does not go', { description: problemTold(done.problem) })
  return done
}

/** Takes an edit that the core may have refused; hands the refusal on to the field. */
const attempt = (next: Result<Sheet>, gesture: string): Result<Sheet> =>
  next.ok ? editDraft(() => next.value, gesture) : next

/** Editing the sheet on paper: one change, or one step of a gesture that will undo as a whole. */
export function useSheet() {
  const dispatch = useAppDispatch()
  const done = useCallback(
    (left: Left = 'read') => dispatch(left === 'unread' ? gestureGivenUp() : gestureEnded()),
    [dispatch],
  )
  return { edit, attempt, done }
}
