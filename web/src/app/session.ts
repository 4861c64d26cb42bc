/** Starts a session: seeds a new browser, reads what was being worked on, and keeps store and database in step. */
import { readWorkspaceFile } from '@harina/core'
import { liveQuery } from 'dexie'
import { repository } from '../storage/index.ts'
import { openBatchesRead } from './benchSlice.ts'
import { draftLoaded } from './draftSlice.ts'
import { writePreferences } from './preferencesSlice.ts'
import { store } from './store.ts'

const DRAFT_WRITE_MS = 150

/** The server may offer a workspace to begin with; without one the app begins empty. */
async function seed(): Promise<void> {
  if (await repository.isSeeded()) return
  const answer = await fetch('/workspace/start.harina.json').catch(() => null)
  if (!answer?.ok || !answer.headers.get('content-type')?.includes('json')) return
  const read = readWorkspaceFile(await answer.text())
  if (read.ok) await repository.seedOnce(read.value)
}

/** A draft is written as it changes: soon after, and at once when the page is about to go. */
function keepDraft(): void {
  let written = store.getState().draft.present
  let timer: ReturnType<typeof setTimeout> | undefined
  const write = () => {
    clearTimeout(timer)
    timer = undefined
    const { present } = store.getState().draft
    if (!present || present === written) return
    written = present
    void repository.putDraft(present)
  }
  store.subscribe(() => {
    if (store.getState().draft.present !== written) timer ??= setTimeout(write, DRAFT_WRITE_MS)
  })
  addEventListener('pagehide', write)
  document.addEventListener('visibilitychange', () => document.visibilityState === 'hidden' && write())
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
