/** Who names a record, among what can still be worked on: closed batches carry their own copy of all they need. */
import { emptyWorkspace, usersOf, type RecordKind, type User } from '@harina/core'
import { documentsOf } from './documentsSlice.ts'
import { store } from './store.ts'

export function usersOfKept(kind: RecordKind, id: string): readonly User[] {
  const { documents, draft, batches } = store.getState()
  const workspace = {
    ...emptyWorkspace,
    formulas: [...documentsOf(documents, 'formula')],
    lots: [...documentsOf(documents, 'lot')],
    batches: [...batches.open],
    draft: draft.present,
  }
  return usersOf(workspace, kind, id)
}
