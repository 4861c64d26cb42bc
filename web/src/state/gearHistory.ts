/** What was changed in Gear, in order: figures, units, sacks, machines, schools. Taken back there, the last first. */
import type { Difference, RecordKind } from '@harina/core'
import { useSyncExternalStore } from 'react'

interface Undoable {
  readonly undo: () => Undoable
}

/** One act of the maker: a figure typed key by key is one. */
interface Act {
  readonly touches: string
  readonly atMs: number
  readonly changes: readonly Undoable[]
}

interface History {
  readonly past: readonly Act[]
  readonly future: readonly Act[]
}

const IN_GEAR: readonly RecordKind[] = ['gear', 'lot', 'ingredient']
const MOST_ACTS = 100
/** Keys of one figure follow each other within this. */
const ONE_ACT_MS = 2000

let history: History = { past: [], future: [] }
const listeners = new Set<() => void>()
const subscribe = (listener: () => void) => {
  listeners.add(listener)
  return () => void listeners.delete(listener)
}
function set(next: History): void {
  history = next
  for (const listener of listeners) listener()
}

const placesOf = (kind: RecordKind, id: string, difference: Difference): string =>
  JSON.stringify([kind, id, difference.map(({ at }) => at)])

/** A change that was made, so that it can be taken back; what was taken back before is gone for good. */
export function remember(kind: RecordKind, id: string, difference: Difference, change: Undoable): void {
  if (!IN_GEAR.includes(kind)) return
  const touches = placesOf(kind, id, difference)
  const atMs = Date.now()
  const last = history.past.at(-1)
  const past =
    last?.touches === touches && atMs - last.atMs < ONE_ACT_MS
      ? [...history.past.slice(0, -1), { touches, atMs, changes: [...last.changes, change] }]
      : [...history.past, { touches, atMs, changes: [change] }]
  set({ past: past.slice(-MOST_ACTS), future: [] })
}

/** Taken back some other way, by the word at the foot. */
export function forget(change: Undoable): void {
  const without = (acts: readonly Act[]) => acts.filter(({ changes }) => !changes.includes(change))
  if (without(history.past).length < history.past.length) set({ ...history, past: without(history.past) })
}

/** The changes of an act taken back, the last first; what takes that back in turn. */
const reversed = (act: Act): Act => ({ ...act, changes: [...act.changes].reverse().map((change) => change.undo()) })

/** The last act of one side, turned round and laid on the other. */
function step(from: keyof History, to: keyof History): boolean {
  const act = history[from].at(-1)
  if (!act) return false
  const left = { ...history, [from]: history[from].slice(0, -1) }
  // Turning it round forgets it wherever it stood: the sides are those of before.
  const turned = { ...reversed(act), atMs: 0 }
  set({ ...left, [to]: [...left[to], turned] })
  return true
}
/** Whether there was anything. */
export const undoGear = (): boolean => step('past', 'future')
export const redoGear = (): boolean => step('future', 'past')

const now = () => history
export function useGearHistory(): { readonly canUndo: boolean; readonly canRedo: boolean } {
  const { past, future } = useSyncExternalStore(subscribe, now, now)
  return { canUndo: past.length > 0, canRedo: future.length > 0 }
}
