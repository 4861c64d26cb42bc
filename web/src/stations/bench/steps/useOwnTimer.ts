import { recordTap } from '#web/state/bench.ts'
import { useBench } from '../StepPage.tsx'

/** Timers of the maker's own, numbered in the batch. */
export function useOwnTimer() {
  const { running } = useBench()
  const { batch, state } = running
  const next = Object.keys(state.timers).filter((id) => id.startsWith('own-')).length + 1
  const startNamed = (name: string, minutes: number) =>
    void recordTap(batch, { type: 'timer-started', timer: `own-${next}`, name, minutes })
  return { startNamed }
}
