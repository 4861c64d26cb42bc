import { ownTimers, recordTap } from '#web/state/bench.ts'
import { useBench } from '../view.tsx'

/** Timers of the maker's own, numbered in the batch. */
export function useOwnTimer() {
  const { running } = useBench()
  const { batch, state } = running
  const startNamed = (name: string, minutes: number) => void recordTap(batch, ...ownTimers(state, [{ name, minutes }]))
  return { startNamed }
}
