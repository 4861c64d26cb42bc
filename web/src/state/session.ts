/** Starts a session: opens the store, gives a new browser its first workspace, and keeps screen and store in step. */
import { differenceOf } from '@harina/core'
import { hasKept, noteKept, repository } from '../storage/index.ts'
import { startBenchLock } from './benchLock.ts'
import { draftHeard, draftLoaded } from './draftSlice.ts'
import { listening } from './listening.ts'
import { notify } from './notify.ts'
import { preferred, writePreferences } from './preferencesSlice.ts'
import type { First } from './seed.ts'
import { store, type AppState } from './store.ts'
import { isUnwritten, keepDifference, showHeld, subscribe } from './workspace.ts'

/** A built file is named by its contents: another version, with other schemas, has another name. */
const THIS_BUILD = new URL(import.meta.url).pathname

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
let offered: Promise<First> | null = null
const seeding = () => import('./seed.ts')
const askForFirst = () => (offered ??= seeding().then(({ offeredFirst }) => offeredFirst()))

let opened: ReturnType<typeof repository.open> | null = null
/** Which tab holds the bench is known before a bench is shown. */
let locked: Promise<void> | null = null

/** Opens the store. `dropped`: it is as new, though this browser has held a workspace; the browser has thrown it away. */
export async function openStore(): Promise<'ready' | 'dropped'> {
  const isKnown = hasKept()
  if (!isKnown) void askForFirst()
  locked = startBenchLock()
  opened = repository.open()
  const { isNew } = await opened
  return isNew && isKnown ? 'dropped' : 'ready'
}

interface Session {
  /** All that is shown is stored as well, and what any tab stores is followed. */
  readonly kept: Promise<void>
}

/** Said once: the next time what is kept is as it is judged. */
const tellJudgedAnew = (batches: number): void =>
  notify(`${batches === 1 ? 'One batch in the log is' : `${batches} batches in the log are`} now read differently`, {
    description:
      'A flour is now judged by the table for its dough and shape, not by the recipe. Look at your sacks in Gear.',
    duration: Infinity,
  })

/**
 * Everything that follows from the store being open; a browser that has dropped its work is first asked what to do. What is
 * held is shown before it is followed, and a first workspace before it is stored: both come after it has been `shown`.
 */
export async function startSession(offer: boolean, shown: Promise<void>): Promise<Session> {
  const { isSeeded, checkedBy, held } = await (opened ??= repository.open())
  const first = isSeeded ? null : offer ? await askForFirst() : (await seeding()).nothingYet
  showHeld(first?.held ?? held, first !== null || checkedBy === THIS_BUILD)
  const settle = async () => {
    if (first) await repository.seedOnce(shown.then(first.checked))
    else await shown
    const { judgedAnew } = await repository.makeReady()
    if (judgedAnew > 0) tellJudgedAnew(judgedAnew)
    noteKept()
    await subscribe()
    const found = store.getState().documents.unreadable.length === 0 ? THIS_BUILD : null
    if (found !== checkedBy) await repository.noteChecked(found)
  }
  const kept = settle()
  keepDraft()
  keepPreferences()
  askBeforeLeaving()
  await locked
  return { kept }
}
