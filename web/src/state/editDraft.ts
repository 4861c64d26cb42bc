/** Changes of the sheet on paper: what no file could carry, and what could not be shown, is refused; the last good sheet stays. */
import { ok, problem, sheetSchema, type Result, type Sheet } from '@harina/core'
import { Refused } from '../storage/index.ts'
import { sheetEdited } from './draftSlice.ts'
import { tellFailure } from './failure.ts'
import { selectKitchen } from './select.ts'
import { store } from './store.ts'
import { workOut } from './worked.ts'

/** What a change makes of the sheet, if that is nothing that could be shown. A sheet that is broken already may be put right in steps. */
function fault(from: Sheet, to: Sheet): Result<never> | null {
  const kitchen = selectKitchen(store.getState())
  const worked = kitchen && workOut(to, kitchen)
  if (!kitchen || !worked || worked.ok) return null
  return workOut(from, kitchen).ok || worked.problem.code === 'dough-too-large' ? worked : null
}

/** One change, or one step of a gesture that will undo as a whole. */
export function editDraft(change: (sheet: Sheet) => Sheet, gesture: string | null = null): Result<Sheet> {
  const sheet = store.getState().draft.present?.sheet
  if (!sheet) return problem('no-draft')
  const next = change(sheet)
  const read = sheetSchema.safeParse(next)
  if (!read.success) {
    const [issue] = read.error.issues
    tellFailure(new Refused('draft', issue), '')
    return problem('refused', issue?.path.join('.'))
  }
  const refused = fault(sheet, next)
  if (refused) return refused
  store.dispatch(sheetEdited({ sheet: next, gesture }))
  return ok(next)
}
