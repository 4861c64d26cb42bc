/** What the strip, the bench and the ringing need to know of a batch that is running. */
import {
  compareCalls,
  formatCountdown,
  isRinging,
  liveTimers,
  nextCall,
  stepsOf,
  type Call,
  type LiveTimer,
} from '@harina/core'
import type { RunningBatch } from '../state/select.ts'
import { stepName, timerName } from '../words/index.ts'

export interface NamedTimer extends LiveTimer {
  readonly running: RunningBatch
}

/** Every timer still running, whatever the station, soonest first. */
export const timersOf = (batches: readonly RunningBatch[]): readonly NamedTimer[] =>
  batches
    .flatMap((running) => liveTimers(running.batch.plan, running.state).map((timer) => ({ ...timer, running })))
    .sort((a, b) => a.endsAtMs - b.endsAtMs)

export const ringingOf = (batches: readonly RunningBatch[], nowMs: number): readonly NamedTimer[] =>
  timersOf(batches).filter((timer) => isRinging(timer, nowMs))

export interface Calling {
  readonly running: RunningBatch
  readonly call: Call
}

/** Who wants the cook, the most urgent first. */
export const callsOf = (batches: readonly RunningBatch[], nowMs: number): readonly Calling[] =>
  batches
    .map((running) => ({ running, call: nextCall(running.batch.plan, running.state, nowMs) }))
    .sort((a, b) => compareCalls(a.call, b.call))

/** Where a batch stands, in a few words: what is timed right now, or which step of how many. */
export function standingWords(running: RunningBatch, nowMs: number): string {
  const { batch, state, step } = running
  if (state.paused) return 'set aside'
  const timer = timersOf([running])[0]
  if (timer) return `${timerName(timer)} ${formatCountdown((timer.endsAtMs - nowMs) / 1000)}`
  if (!step) return 'done'
  const steps = stepsOf(batch.plan, state)
  return `${stepName(step).toLowerCase()}, ${steps.findIndex(({ id }) => id === step.id) + 1} of ${steps.length}`
}
