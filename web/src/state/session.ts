/** Starts a session: seeds a new browser, reads what was being worked on, and keeps store and database in step. */
import { readWorkspaceFile } from '@harina/core'
import { liveQuery } from 'dexie'
import { repository } from '../storage/index.ts'
import { notifyTrouble } from './notify.ts'
import { startBenchLock } from './benchLock.ts'
import { openBatchesRead } from './benchSlice.ts'
import { draftLoaded } from './draftSlice.ts'
import { writePreferences } from './preferencesSlice.ts'
import { store } from './store.ts'

/** The server may offer a workspace to begin with; without one the app begins empty. */
async function seed(): Promise<void> {
  if (await repository.isSeeded()) return
  const answer = await fetch('/workspace/start.harina.json').catch(() => null)
  if (answer?.status !== 200 || !answer.headers.get('content-type')?.includes('json')) return
  const read = readWorkspaceFile(await answer.text())
  if (read.ok) await repository.seedOnce(read.value)
}

/** A draft is written as it changes: at once, and what changed during a write right after it. */
function keepDraft(): void {
  let written = store.getState().draft.present
  let writing = false
  const write = async () => {
    if (writing) return
    writing = true
    for (
      let { present } = store.getState().draft;
      present && present !== written;
      present = store.getState().draft.present
    ) {
      written = present
      await repository.putDraft(present)
    }
    writing = false
  }
  const failed = () => {
    writing = false
    notifyTrouble(
      'The sheet could not be stored',
      'It is still here on the screen. Free some space on this device, or export it from Gear.',
    )
  }
  store.subscribe(() => void write().catch(failed))
}

function keepPreferences(): void {
  let written = store.getState().preferences
  store.subscribe(() => {
    const { preferences } = store.getState()
    if (preferences === written) return
    written = preferences
    writePreferences(localStorage, preferences)
  })
}

export async function readDraft(): Promise<void> {
  store.dispatch(draftLoaded((await repository.draft()) ?? null))
}

export async function startSession(): Promise<void> {
  await seed()
  await readDraft()
  keepDraft()
  keepPreferences()
  await startBenchLock()
  await new Promise<void>((resolve, reject) => {
    liveQuery(() => repository.openBatches()).subscribe({
      next: (batches) => {
        store.dispatch(openBatchesRead(batches))
        resolve()
      },
      error: reject,
    })
  })
}
