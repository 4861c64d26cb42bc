/** Starts a session: opens the store, seeds a new browser, and keeps screen and store in step. */
import { differenceOf, emptyWorkspace } from '@harina/core'
import { repository } from '../storage/index.ts'
import { startBenchLock } from './benchLock.ts'
import { draftHeard, draftLoaded } from './draftSlice.ts'
import { listening } from './listening.ts'
import { readLocal, writeLocal } from './local.ts'
import { preferred, writePreferences } from './preferencesSlice.ts'
import type { AppState } from './store.ts'
import { isUnwritten, keepDifference, subscribe } from './workspace.ts'

/** That this browser has held a workspace, noted where clearing the database does not reach. */
const KEPT = 'harina.kept'

/** Only a browser that has never held anything needs what reads a first workspace. */
async function seed(): Promise<void> {
  if (!(await repository.isSeeded())) await (await import('./seed.ts')).seedFromServer()
}

/** The draft is written as it changes, whatever changes it here. */
function keepDraft(): void {
  listening.startListening.withTypes<AppState, never>()({
    predicate: (action, now, before) =>
      now.draft.present !== before.draft.present && !draftHeard.match(action) && !draftLoaded.match(action),
    effect: (_, { getState, getOriginalState }) => {
      const [before, now] = [getOriginalState().draft.present, getState().draft.present]
      void keepDifference('draft', 'draft', differenceOf(before ?? undefined, now ?? undefined))
    },
  })
}

function keepPreferences(): void {
  listening.startListening.withTypes<AppState, never>()({
    actionCreator: preferred,
    effect: (_, { getState }) => writePreferences(getState().preferences),
  })
}

/** Leaving while something is not stored yet is asked about. */
function askBeforeLeaving(): void {
  addEventListener('beforeunload', (event) => {
    if (isUnwritten()) event.preventDefault()
  })
}

/** Everything that follows from the store being open; a browser that has dropped its work is first asked what to do. */
export async function startSession({ seeded = true } = {}): Promise<void> {
  if (seeded) await seed()
  else await repository.seedOnce(emptyWorkspace)
  await repository.makeReady()
  writeLocal(KEPT, 'yes')
  keepDraft()
  keepPreferences()
  askBeforeLeaving()
  await startBenchLock()
  await subscribe()
}

/** Opens the store. `dropped`: it is as new, though this browser has held a workspace; the browser has thrown it away. */
export async function openStore(): Promise<'ready' | 'dropped'> {
  const { isNew } = await repository.open()
  return isNew && readLocal(KEPT) !== null ? 'dropped' : 'ready'
}
