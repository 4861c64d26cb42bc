/** Keeps the screen awake while a clock runs: a dark screen is a forgotten dough. */
import { useEffect } from 'react'
import { timersOf } from '../ui/batches.ts'
import { useRunningBatches } from '../state/select.ts'

/** The browser lets go of it whenever the page is hidden, so it is asked for again each time it is shown. */
export function useAwake(): void {
  const wanted = timersOf(useRunningBatches()).length > 0
  useEffect(() => {
    if (!wanted || !('wakeLock' in navigator)) return
    let lock: WakeLockSentinel | null = null
    let over = false
    const ask = () => {
      if (document.visibilityState !== 'visible') return
      navigator.wakeLock.request('screen').then(
        (given) => {
          if (over) void given.release()
          else lock = given
        },
        // Low battery, or not allowed here: the clocks run all the same.
        () => undefined,
      )
    }
    ask()
    document.addEventListener('visibilitychange', ask)
    return () => {
      over = true
      document.removeEventListener('visibilitychange', ask)
      void lock?.release()
    }
  }, [wanted])
}
