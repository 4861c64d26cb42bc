/** What a browser that has never held anything begins with. */
import {
  emptyWorkspace,
  FILE_VERSION,
  isEnded,
  readWorkspaceFile,
  RECORD_KINDS,
  recordsOf,
  summarise,
  type Workspace,
} from '@harina/core'
import type { Held, HeldRecords } from '../storage/index.ts'

export interface First {
  /** As the store will hold it once it has been put there. */
  readonly held: Held
  /** What is put there: checked as any file is, once the page is to be seen. */
  readonly checked: () => Workspace
}

const heldOf = (workspace: Workspace): Held => ({
  records: Object.fromEntries(RECORD_KINDS.map((kind) => [kind, recordsOf(workspace, kind)])) as HeldRecords,
  open: workspace.batches.filter((batch) => !isEnded(batch)),
  ended: workspace.batches.filter(isEnded).map(summarise),
})

export const nothingYet: First = { held: heldOf(emptyWorkspace), checked: () => emptyWorkspace }

/** The server that sent this page offers it, so it is shown as it says it is; null where it is not even of that form. */
function asItSays(text: string): Held | null {
  try {
    const file = JSON.parse(text) as Workspace & { readonly version: unknown }
    return file.version === FILE_VERSION ? heldOf(file) : null
  } catch {
    return null
  }
}

/** The server may offer a workspace; without one the app begins empty. */
export async function offeredFirst(): Promise<First> {
  const answer = await fetch('/workspace/start.harina.json').catch(() => null)
  if (answer?.status !== 200 || !answer.headers.get('content-type')?.includes('json')) return nothingYet
  const text = await answer.text()
  const checked = () => {
    const read = readWorkspaceFile(text)
    return read.ok ? read.value : emptyWorkspace
  }
  return { held: asItSays(text) ?? heldOf(checked()), checked }
}
