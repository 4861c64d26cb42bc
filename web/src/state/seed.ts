import { readWorkspaceFile } from '@harina/core'
import { repository } from '../storage/index.ts'

/** The server may offer a workspace to begin with; without one the app begins empty. */
export async function seedFromServer(): Promise<void> {
  const answer = await fetch('/workspace/start.harina.json').catch(() => null)
  if (answer?.status !== 200 || !answer.headers.get('content-type')?.includes('json')) return
  const read = readWorkspaceFile(await answer.text())
  if (read.ok) await repository.seedOnce(read.value)
}
