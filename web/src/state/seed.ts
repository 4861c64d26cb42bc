/** What a browser that has never held anything begins with. */
import { emptyWorkspace, isEnded, readWorkspaceFile, recordsOf, summarise, type Workspace } from '@harina/core'
import type { Held } from '../storage/index.ts'

/** The server may offer a workspace; without one the app begins empty. */
export async function offeredWorkspace(): Promise<Workspace> {
  const answer = await fetch('/workspace/start.harina.json').catch(() => null)
  if (answer?.status !== 200 || !answer.headers.get('content-type')?.includes('json')) return emptyWorkspace
  const read = readWorkspaceFile(await answer.text())
  return read.ok ? read.value : emptyWorkspace
}

/** As the store will hold it once it has been put there. */
export const heldOf = (workspace: Workspace): Held => ({
  formula: workspace.formulas,
  lot: workspace.lots,
  ingredient: workspace.ingredients,
  shape: workspace.shapes,
  gear: recordsOf(workspace, 'gear'),
  draft: recordsOf(workspace, 'draft'),
  open: workspace.batches.filter((batch) => !isEnded(batch)),
  ended: workspace.batches.filter(isEnded).map(summarise),
})
