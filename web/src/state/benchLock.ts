/** One tab holds the bench: it alone records taps and rings. The others follow, and can take it over. */
import { useSyncExternalStore } from 'react'
import { dismissTrouble, notify } from './notify.ts'

const NAME = 'harina-bench'

export type BenchHold = 'here' | 'elsewhere'

/** Where there are no locks there is one tab as far as anyone can tell. */
let hold: BenchHold = 'here'
let waiting: AbortController | null = null
const ELSEWHERE = 'Another tab holds the bench'
const listeners = new Set<() => void>()

function set(next: BenchHold): void {
  if (next === hold) return
  hold = next
  if (next === 'here') dismissTrouble(ELSEWHERE)
  for (const listener of listeners) listener()
}

export const benchHold = (): BenchHold => hold

const keepIt = () => {
  waiting = null
  set('here')
  // Until the tab goes, or another takes it over.
  return new Promise<never>(() => undefined)
}

/** Stands in line; once it was ours and was taken over, stands in line again. */
async function standInLine(locks: LockManager): Promise<void> {
  const turn = new AbortController()
  waiting = turn
  try {
    await locks.request(NAME, { signal: turn.signal }, keepIt)
  } catch {
    if (turn.signal.aborted) return
    set('elsewhere')
    void standInLine(locks)
  }
}

export async function startBenchLock(locks: LockManager | undefined = navigator.locks): Promise<void> {
  if (!locks) return
  const free = await locks.request(NAME, { ifAvailable: true }, (lock) => lock !== null)
  if (!free) set('elsewhere')
  void standInLine(locks)
}

export async function takeBenchOver(locks: LockManager | undefined = navigator.locks): Promise<void> {
  if (!locks || hold === 'here') return
  waiting?.abort()
  try {
    await locks.request(NAME, { steal: true }, keepIt)
  } catch {
    set('elsewhere')
    void standInLine(locks)
  }
}

/** Of a tap that could not be recorded here; the way out stands beside it, whatever the station. */
export function tellElsewhere(): void {
  notify(ELSEWHERE, {
    id: ELSEWHERE,
    description: 'Nothing was recorded here. Take the bench over, then tap again.',
    action: { label: 'Take it over', onClick: () => void takeBenchOver() },
  })
}

const subscribe = (listener: () => void) => {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

export const useBenchHold = (): BenchHold => useSyncExternalStore(subscribe, benchHold)
