/** Starts a session: opens the store, gives a new browser its first workspace, and keeps screen and store in step. */
import { differenceOf, emptyWorkspace, type Workspace } from '@harina/core'
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

/** A new browser's first workspace, asked for while the store is still being opened. */
let offered: Promise<Workspace> | null = null
const seeding = () => import('./seed.ts')
const askForFirst = () => (offered ??= seeding().then(({ offeredWorkspace }) => offeredWorkspace()))

async function firstOf(seeded: boolean): Promise<Workspace> {
  const first = seeded ? await askForFirst() : emptyWorkspace
  ;(await seeding()).showWorkspace(first)
  return first
}

async function follow(): Promise<void> {
  await repository.makeReady()
  writeLocal(KEPT, 'yes')
  await startBenchLock()
  await subscribe()
}

interface Session {
  /** All that is shown is stored as well. */
  readonly kept: Promise<void>
}

/**
 * Everything that follows from the store being open; a browser that has dropped its work is first asked what to do. A first
 * workspace is shown at once and stored when it has been `shown`; until then nothing else is written.
 */
export async function startSession({
  seeded = true,
  shown,
}: {
  seeded?: boolean
  shown: Promise<void>
}): Promise<Session> {
  const isNew = !(await repository.isSeeded())
  const first = isNew ? await firstOf(seeded) : null
  const kept = first ? repository.seedOnce(first, shown).then(follow) : follow()
  keepDraft()
  keepPreferences()
  askBeforeLeaving()
  if (!first) await kept
  return { kept }
}

/** Opens the store. `dropped`: it is as new, though this browser has held a workspace; the browser has thrown it away. */
export async function openStore(): Promise<'ready' | 'dropped'> {
  const isKnown = readLocal(KEPT) !== null
  if (!isKnown) void askForFirst()
  const { isNew } = await repository.open()
  return isNew && isKnown ? 'dropped' : 'ready'
}
