/**
 * Notices that the day has turned, and that the device's clock was put back while clocks of the bench run, and takes them along: an hour of rest stays an
 * hour. A clock that jumps ahead is a device that slept, and the dough has rested all the same.
 */
import { useEffect, useRef } from 'react'
import { timersOf } from '../ui/batches.ts'
import { useRunningBatches, type RunningBatch } from '../state/select.ts'
import { benchHold } from '../state/benchLock.ts'
import { notify } from '../state/notify.ts'
import { recordTap } from '../state/bench.ts'
import { dayOf, timeRead } from '../state/clockSlice.ts'
import { store } from '../state/store.ts'

const LOOK_EVERY_MS = 1000
/** Less than this is the clock being kept true. */
const SET_BACK_MS = 5000

/** How far the wall clock is ahead of the one that only counts. */
const lead = () => Date.now() - performance.now()

async function takeAlong(batches: readonly RunningBatch[], shiftMs: number): Promise<void> {
  const timed = batches.filter((running) => timersOf([running]).length > 0)
  const taken = await Promise.all(
    timed.map(({ batch }) => recordTap(batch, { type: 'clock-set', shiftMs: Math.round(shiftMs) })),
  )
  if (taken.some(Boolean))
    notify('The clock of this device was put back', {
      description: 'Running clocks went with it: none is longer for it.',
    })
}

export function useClockWatch(): void {
  const batches = useRunningBatches()
  const latest = useRef(batches)
  useEffect(() => {
    latest.current = batches
  }, [batches])
  useEffect(() => {
    let known = lead()
    const look = () => {
      const shiftMs = lead() - known
      known = lead()
      const nowMs = Date.now()
      if (dayOf(nowMs) !== store.getState().clock.todayMs) store.dispatch(timeRead(nowMs))
      if (shiftMs < -SET_BACK_MS && benchHold() === 'here') void takeAlong(latest.current, shiftMs)
    }
    const interval = setInterval(look, LOOK_EVERY_MS)
    return () => clearInterval(interval)
  }, [])
}
