/** What the strip, the bench and the ringing need to know of a batch that is running. */
import {
  currentStep,
  formatCountdown,
  isRinging,
  replay,
  stepsOf,
  type Batch,
  type BenchState,
  type StepId,
  type Timer,
  type TimerId,
} from '@harina/core'
import { useMemo } from 'react'
import { useApp } from '../state/store.ts'
import { stepWords } from './words.ts'

export interface RunningBatch {
  readonly batch: Batch
  readonly state: BenchState
  readonly step: StepId | null
}

export function useRunningBatches(): readonly RunningBatch[] {
  const batches = useApp((app) => app.bench.batches)
  return useMemo(
    () =>
      [...batches]
        .sort((a, b) => Date.parse(a.plan.at) - Date.parse(b.plan.at))
        .map((batch) => {
          const state = replay(batch.plan, batch.events)
          return { batch, state, step: currentStep(batch.plan, state) }
        }),
    [batches],
  )
}

export interface NamedTimer extends Timer {
  readonly id: TimerId
  readonly running: RunningBatch
}

export const timerNames: Readonly<Record<TimerId, string>> = {
  drink: 'drinking',
  knead: 'kneading',
  rest: 'resting',
  cook: 'cooking',
}

const TIMERS: readonly TimerId[] = ['drink', 'knead', 'rest', 'cook']

/** Every timer still running, whatever the station, soonest first. */
export const timersOf = (batches: readonly RunningBatch[]): readonly NamedTimer[] =>
  batches
    .flatMap((running) =>
      TIMERS.flatMap((id) => {
        const timer = running.state.timers[id]
        return timer?.stage === 'running' ? [{ ...timer, id, running }] : []
      }),
    )
    .sort((a, b) => a.endsAtMs - b.endsAtMs)

export const ringingOf = (batches: readonly RunningBatch[], nowMs: number): readonly NamedTimer[] =>
  timersOf(batches).filter((timer) => isRinging(timer, nowMs))

/** Where a batch stands, in a few words: what is timed right now, or which step of how many. */
export function standingWords(running: RunningBatch, nowMs: number): string {
  const timer = timersOf([running])[0]
  if (timer) return `${timerNames[timer.id]} ${formatCountdown((timer.endsAtMs - nowMs) / 1000)}`
  if (!running.step) return 'done'
  const steps = stepsOf(running.batch.plan)
  return `${stepWords[running.step].toLowerCase()}, ${steps.indexOf(running.step) + 1} of ${steps.length}`
}
