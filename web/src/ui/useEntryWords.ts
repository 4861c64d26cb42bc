import { formatPercent, stepsOf, type Addition, type BenchEvent, type BenchState, type Plan } from '@harina/core'
import { useUnits } from './units.ts'
import { entryWords, timerName } from '../words/index.ts'

/** What an entry of the book says; null for what is only a mark of another. */
export function useEntryWords(plan: Plan, state: BenchState): (event: BenchEvent) => string | null {
  const { mass, temperature, length } = useUnits()
  const steps = stepsOf(plan, state)
  const step = (id: string) => steps.find((each) => each.id === id) ?? null
  const grams = (value: number) => mass(value, value < 10 ? 0.1 : plan.scaleStepG)
  /** Where it took the bowl. */
  const moved = (event: BenchEvent, what: Addition['what']): string => {
    const addition = state.additions.find((each) => each.at === event.at && each.what === what)
    return addition ? `: ${formatPercent(addition.from)} to ${formatPercent(addition.to)} %` : ''
  }
  const timer = (id: string, name?: string) => timerName({ id, name: name ?? null, step: step(id) })
  const tray = (id: string) => state.trays.find((each) => each.id === id)?.name ?? 'a tray'
  return (event) => entryWords(event, { plan, mass, grams, temperature, length, moved, step, timer, tray })
}
