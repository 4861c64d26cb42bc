/** What a browser that has never held anything begins with. */
import { emptyWorkspace, isEnded, readWorkspaceFile, recordsOf, summarise, type Workspace } from '@harina/core'
import { endedBatchesRead, openBatchesRead } from './batchesSlice.ts'
import { documentsHeard, SHELVED } from './documentsSlice.ts'
import { draftHeard } from './draftSlice.ts'
import { store } from './store.ts'

/** The server may offer a workspace; without one the app begins empty. */
export async function offeredWorkspace(): Promise<Workspace> {
  const answer = await fetch('/workspace/start.harina.json').catch(() => null)
  if (answer?.status !== 200 || !answer.headers.get('content-type')?.includes('json')) return emptyWorkspace
  const read = readWorkspaceFile(await answer.text())
  return read.ok ? read.value : emptyWorkspace
}

/** On the screen before it is in the store: what the store says afterwards is the same. */
export function showWorkspace(workspace: Workspace): void {
  for (const kind of SHELVED) {
    const records = recordsOf(workspace, kind)
    if (kind !== 'gear' || records.length > 0) store.dispatch(documentsHeard({ kind, records }))
  }
  store.dispatch(draftHeard(workspace.draft))
  store.dispatch(openBatchesRead(workspace.batches.filter((batch) => !isEnded(batch))))
  store.dispatch(endedBatchesRead(Object.freeze(workspace.batches.filter(isEnded).map(summarise))))
}
