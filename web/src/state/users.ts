/** Who names a record, among what can still be worked on: closed batches carry their own copy of all they need. */
import { usersOf, type RecordKind, type User } from '@harina/core'
import { heldWorkspace } from './select.ts'
import { store } from './store.ts'

export const usersOfKept = (kind: RecordKind, id: string): readonly User[] =>
  usersOf(heldWorkspace(store.getState()), kind, id)
