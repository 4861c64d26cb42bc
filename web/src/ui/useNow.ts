/** One clock for the page: it ticks while anybody looks at it, and whenever the page is shown again; it is read, never counted up. */
import { sameValue } from '@harina/core'
import { useMemo, useState, useSyncExternalStore } from 'react'

const TICK_MS = 500

const lookers = new Set<() => void>()
let tickedMs = -Infinity
/** The hour of the last tick: the same for all that is drawn at once. */
function lastTick(): number {
  const nowMs = Date.now()
  if (nowMs - tickedMs >= TICK_MS || nowMs < tickedMs) tickedMs = nowMs
  return tickedMs
}
const tick = () => {
  tickedMs = Date.now()
  for (const look of lookers) look()
}
let ticking: ReturnType<typeof setInterval> | null = null

function subscribe(look: () => void): () => void {
  lookers.add(look)
  if (ticking === null) {
    ticking = setInterval(tick, TICK_MS)
    document.addEventListener('visibilitychange', tick)
  }
  return () => {
    lookers.delete(look)
    if (lookers.size > 0 || ticking === null) return
    clearInterval(ticking)
    document.removeEventListener('visibilitychange', tick)
    ticking = null
  }
}

/** Keeps the last answer for as long as the next is the same, so that it is the same object too. */
function keeper<T>() {
  let last: { readonly value: T } | null = null
  return (value: T): T => {
    if (!last || !sameValue(last.value, value)) last = { value }
    return last.value
  }
}

/** What the clock says, in whatever is made of it: who asks is drawn anew only when that is another. */
export function useClock<T>(read: (nowMs: number) => T): T {
  const [keep] = useState(() => keeper<T>())
  const now = () => keep(read(lastTick()))
  return useSyncExternalStore(subscribe, now, now)
}

/** A time that moves on only every so often. */
function stepper(everyMs: number) {
  let atMs = -Infinity
  return (nowMs: number): number => {
    // A moment early is as good: ticks are not exact.
    if (nowMs - atMs >= everyMs - TICK_MS / 5 || nowMs < atMs) atMs = nowMs
    return atMs
  }
}

/** The wall clock, read anew every so often. */
export function useNow(everyMs = 1000): number {
  const step = useMemo(() => stepper(everyMs), [everyMs])
  return useClock(step)
}
