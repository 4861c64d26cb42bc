/**
 * The room where records are changed. A change is on the screen at once, and written as the difference it made, in a
 * transaction, on top of what is stored then: never a spread of what was drawn. One subscription brings what is stored, by
 * this tab or another. What could not be written stays on the screen, is told, and is tried again.
 */
import {
  defaultGear,
  differenceOf,
  HELD,
  isEnded,
  kinds,
  nameOf,
  withDifference,
  type Batch,
  type BatchSummary,
  type Difference,
  type Draft,
  type HeldKind,
  type RecordKind,
  type Records,
} from '@harina/core'
import { liveQuery } from 'dexie'
import {
  checked,
  PhotosFull,
  Refused,
  repository,
  StoreDropped,
  type DocumentKind,
  type Held,
} from '../storage/index.ts'
import { documentChanged, documentOf, documentsHeard, unreadableFound } from './documentsSlice.ts'
import { draftHeard } from './draftSlice.ts'
import { endedBatchesRead, openBatchesRead } from './batchesSlice.ts'
import { rescueWith, tellFailure, tellStored } from './failure.ts'
import { forget, remember } from './gearHistory.ts'
import { notify, notifyTrouble } from './notify.ts'
import { createPending } from './pending.ts'
import { heldWorkspace } from './select.ts'
import { store } from './store.ts'

export interface Change {
  /** Whether it is stored, once the transaction has ended. */
  readonly stored: Promise<boolean>
  /** Takes back just this change, whatever has come after it. */
  readonly undo: () => Change
}

const pending = createPending()
const writing = new Set<string>()
/** Records of which the last write did not go through. */
const failed = new Set<string>()
const waiting = new Map<unknown, (stored: boolean) => void>()

const keyOf = (kind: DocumentKind, id: string) => `${kind} ${id}`
const idOf = (key: string): readonly [DocumentKind, string] => {
  const [kind = '', id = ''] = key.split(' ')
  return [kind as DocumentKind, id]
}
const isHeld = (kind: DocumentKind): kind is HeldKind => kinds[kind].held

/** Hands the store's word on to the screen, with what is newer here on top. */
function show(kind: DocumentKind, id: string, stored: unknown, asOf: number): void {
  const record = pending.over(keyOf(kind, id), stored, asOf)
  if (kind === 'draft') store.dispatch(draftHeard((record as Draft | undefined) ?? null))
  else if (isHeld(kind))
    store.dispatch(documentChanged({ kind, id, record: (record as Records[HeldKind] | undefined) ?? null }))
}

/** Writes what waits for one record, until nothing waits; one writer a record, so that changes keep their order. */
async function writeOut(key: string): Promise<void> {
  if (writing.has(key)) return
  writing.add(key)
  const [kind, id] = idOf(key)
  let changes = pending.unwritten(key)
  const settle = (stored: boolean) => {
    for (const each of changes) waiting.get(each)?.(stored)
    for (const each of changes) waiting.delete(each)
  }
  try {
    for (; changes.length > 0; changes = pending.unwritten(key)) {
      await repository.write(
        kind,
        id,
        changes.map(({ difference }) => difference),
      )
      pending.written(changes)
      failed.delete(key)
      if (failed.size === 0) tellStored()
      settle(true)
    }
  } catch (error) {
    settle(false)
    if (error instanceof Refused || error instanceof PhotosFull) {
      // On what another tab has stored meanwhile it makes no sense any more, or there is no room for it at all.
      pending.drop(key, changes)
      const stored = (await repository.read(kind).catch(() => [])).find((record) => record.id === id)
      show(kind, id, stored ?? (kind === 'gear' ? defaultGear : undefined), pending.writes)
    } else failed.add(key)
    tellFailure(error, 'What you changed is still here on the screen.', () => void writeAllOut())
  } finally {
    writing.delete(key)
  }
}

/** Something on the screen is not stored yet, or could not be, and a page that goes would take it along. */
export const isUnwritten = (): boolean => pending.keys().some((key) => pending.unwritten(key).length > 0)

/** All that could not be written, once more. */
async function writeAllOut(): Promise<void> {
  await Promise.all(pending.keys().map(writeOut))
}

const done = Promise.resolve(true)
const nothing: Change = { stored: done, undo: () => nothing }

/** A difference that is on the screen already, on its way to the store. */
export function keepDifference(kind: DocumentKind, id: string, difference: Difference): Promise<boolean> {
  if (difference.length === 0) return done
  const change = pending.add(keyOf(kind, id), difference)
  const stored = new Promise<boolean>((resolve) => waiting.set(change, resolve))
  void writeOut(keyOf(kind, id))
  return stored
}

/** `first`: made by the maker, and not a step back or forth. */
function apply<K extends DocumentKind>(
  kind: K,
  id: string,
  before: Records[K] | undefined,
  after: unknown,
  first = true,
): Change {
  const difference = differenceOf(before, after)
  if (difference.length === 0) return nothing
  if (after !== undefined) {
    try {
      checked(kind, after)
    } catch (error) {
      tellFailure(error, '')
      return { stored: Promise.resolve(false), undo: () => nothing }
    }
  }
  if (isHeld(kind))
    store.dispatch(documentChanged({ kind, id, record: (after as Records[HeldKind] | undefined) ?? null }))
  const back = differenceOf(after, before)
  const made: Change = {
    stored: keepDifference(kind, id, difference),
    undo: () => {
      forget(made)
      const now = isHeld(kind) ? documentOf(store.getState().documents, kind, id) : after
      return apply(kind, id, now as Records[K] | undefined, withDifference<unknown>(now, back), false)
    },
  }
  if (first) remember(kind, id, difference, made)
  return made
}

/** Changes a record as it stands now, which may be newer than what was drawn. A record that is gone is not made again. */
export function change<K extends HeldKind>(kind: K, id: string, edit: (record: Records[K]) => Records[K]): Change {
  const now = documentOf(store.getState().documents, kind, id)
  return now ? apply(kind, id, now, edit(now)) : nothing
}

/** The same of a record that is not held here: from what was drawn of it. */
export const changeFrom = <K extends DocumentKind>(
  kind: K,
  record: Records[K],
  edit: (record: Records[K]) => Records[K],
) => apply(kind, record.id, record, edit(record))

/** Puts a whole record where none was, or where another was. */
export function put<K extends DocumentKind>(kind: K, record: Records[K]): Change {
  const before = isHeld(kind) ? documentOf(store.getState().documents, kind, record.id) : undefined
  return apply(kind, record.id, before as Records[K] | undefined, record)
}

export function remove<K extends DocumentKind>(kind: K, record: Records[K]): Change {
  return apply(kind, record.id, record, undefined)
}

/** Several changes that are one act: told once all are stored, and taken back together. */
export const together = (changes: readonly Change[]): Change => ({
  stored: Promise.all(changes.map(({ stored }) => stored)).then((all) => all.every(Boolean)),
  undo: () => together(changes.map((each) => each.undo())),
})

/** Says what was done, once it is stored, with the way back. */
export async function say(words: string, change: Change, description?: string): Promise<void> {
  if (!(await change.stored)) return
  notify(words, {
    ...(description === undefined ? {} : { description }),
    action: { label: 'Undo', onClick: () => void change.undo() },
  })
}

/** What a removal is called. */
export const sayRemoved = <K extends DocumentKind>(kind: K, record: Records[K]): void =>
  void say(`${nameOf(kind, record)} is removed`, remove(kind, record))

const busy = new Set<string>()
/** One press is one act: the same one again, while the first is under way, is the same press twice. */
export async function once<T>(act: string, run: () => Promise<T>): Promise<T | undefined> {
  if (busy.has(act)) return undefined
  busy.add(act)
  try {
    return await run()
  } finally {
    busy.delete(act)
  }
}

/** Everything of a kind as it is stored, each with what is newer here on top. */
function heard(kind: HeldKind, stored: readonly Records[HeldKind][], asOf: number): readonly Records[HeldKind][] {
  const ids = new Set(stored.map(({ id }) => id))
  const made = pending
    .keys()
    .map(idOf)
    .filter(([of, id]) => of === kind && !ids.has(id))
  return [...stored.map((record) => [record.id, record] as const), ...made.map(([, id]) => [id, undefined] as const)]
    .map(([id, record]) => pending.over(keyOf(kind, id), record, asOf))
    .filter((record) => record !== undefined) as Records[HeldKind][]
}

/** Frozen whole, as it comes: the screen's state would otherwise go through every figure of it to do the same. */
const frozen = <R extends object>(stored: readonly R[]): readonly R[] => stored.map((record) => Object.freeze(record))

const trusted = new Set<string>()
/** What is stored is checked when it is first seen: an older Harina wrote what no file can hold. Such a record costs itself alone. */
function readable<R extends { id: string }>(kind: RecordKind, stored: readonly R[]): readonly R[] {
  return frozen(stored).filter((record) => {
    const key = `${kind} ${record.id}`
    if (trusted.has(key) || kinds[kind].schema.safeParse(record).success) {
      trusted.add(key)
      return true
    }
    store.dispatch(unreadableFound({ kind, id: record.id }))
    notifyTrouble(
      'Something stored here cannot be read',
      'It is left out of everything. In Gear, under Files, it can be saved as a file or removed.',
    )
    return false
  })
}

/** How what is stored comes onto the screen; a kitchen of which nothing was ever said is as any. */
const hear = {
  shelf: (kind: HeldKind, good: readonly Records[HeldKind][], asOf: number) => {
    const records = heard(kind, kind === 'gear' && good.length === 0 ? [defaultGear] : good, asOf)
    store.dispatch(documentsHeard({ kind, records }))
  },
  draft: ([draft]: readonly Draft[], asOf: number) => show('draft', 'draft', draft, asOf),
  open: (batches: readonly Batch[]) => store.dispatch(openBatchesRead(batches)),
  // Frozen as a list: otherwise the store would freeze ten thousand members one by one.
  ended: (summaries: readonly BatchSummary[]) => store.dispatch(endedBatchesRead(Object.freeze(summaries))),
}

/**
 * All of it at once, before the store is followed. What this very build has once checked is shown as it is: following the store
 * checks it again, a moment after the first picture instead of before it.
 */
export function showHeld(held: Held, isChecked = false): void {
  const taken: typeof readable = isChecked ? (_, stored) => frozen(stored) : readable
  for (const kind of HELD) hear.shelf(kind, taken<Records[HeldKind]>(kind, held.records[kind]), pending.writes)
  hear.draft(taken('draft', held.records.draft), pending.writes)
  hear.open(taken('batch', held.open))
  if (held.ended) hear.ended(held.ended)
}

const ASK_AGAIN_MS = 2000

/** Follows one question to the store, until `stop`; resolves with the first answer. A store that closes under it is asked again. */
function follow<T>(ask: () => Promise<T>, tell: (answer: T) => void, stop?: AbortSignal): Promise<void> {
  return new Promise((resolve, reject) => {
    let answered = false
    const begin = () => {
      if (stop?.aborted) return
      const subscription = liveQuery(ask).subscribe({
        next: (answer) => {
          answered = true
          tell(answer)
          resolve()
        },
        error: (error: unknown) => {
          if (error instanceof StoreDropped) tellFailure(error, '')
          if (answered) setTimeout(begin, ASK_AGAIN_MS)
          else reject(error as Error)
        },
      })
      stop?.addEventListener('abort', () => subscription.unsubscribe(), { once: true })
    }
    begin()
  })
}

/** Open batches, each by itself: a tap reads the book it was written into, and no other. Resolves once all have been told. */
function followOpen(): Promise<void> {
  const books = new Map<string, { readonly stop: AbortController; batch: Batch | null }>()
  let isWhole = false
  const tell = () => {
    // One that has ended is still here for as long as it is not known to have gone.
    const batches = [...books.values()].flatMap(({ batch }) => (batch && !isEnded(batch) ? [batch] : []))
    if (isWhole) hear.open(readable('batch', batches))
  }
  const open = (id: string): Promise<void> => {
    const book = { stop: new AbortController(), batch: null as Batch | null }
    books.set(id, book)
    const read = (batch: Batch | undefined) => {
      book.batch = batch ?? null
      tell()
    }
    return follow(() => repository.batches.get(id), read, book.stop.signal)
  }
  return new Promise((resolve, reject) => {
    const stand = async (ids: readonly string[]) => {
      for (const [id, { stop }] of books)
        if (!ids.includes(id)) {
          stop.abort()
          books.delete(id)
        }
      await Promise.all(ids.filter((id) => !books.has(id)).map(open))
      isWhole = true
      tell()
      resolve()
    }
    follow(repository.batches.openIds, (ids) => void stand(ids).catch(reject)).catch(reject)
  })
}

/** Everything this page holds, into a store that the browser has emptied. */
rescueWith(async () => {
  await repository.putBack(heldWorkspace(store.getState()))
  await writeAllOut()
})

/** The subscription: whatever is stored, by whichever tab, comes here and nowhere else. Resolves once all has been told. */
export async function subscribe(): Promise<void> {
  const asked = async <K extends HeldKind | 'draft'>(kind: K) => ({
    asOf: pending.writes,
    stored: await repository.read(kind),
  })
  await Promise.all([
    ...HELD.map((kind) =>
      follow(
        () => asked(kind),
        ({ asOf, stored }) => hear.shelf(kind, readable<Records[HeldKind]>(kind, stored), asOf),
      ),
    ),
    follow(
      () => asked('draft'),
      ({ asOf, stored }) => hear.draft(readable('draft', stored), asOf),
    ),
    followOpen(),
    follow(repository.batches.summaries, hear.ended),
  ])
}
