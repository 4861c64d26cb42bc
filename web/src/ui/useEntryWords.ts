import {
  formatNumber,
  formatPercent,
  stepsOf,
  type Addition,
  type BenchEvent,
  type BenchState,
  type Plan,
} from '@harina/core'
import { useUnits } from './units.ts'
import { feelWords, stepName, timerName, verdictWords } from './words.ts'

/** What an entry of the book says; null for what is only a mark of another. */
export function useEntryWords(plan: Plan, state: BenchState): (event: BenchEvent) => string | null {
  const { mass } = useUnits()
  const steps = stepsOf(plan, state)
  const step = (id: string) => steps.find((each) => each.id === id) ?? null
  const grams = (value: number) => mass(value, value < 10 ? 0.1 : plan.scaleStepG)
  /** Where it took the bowl. */
  const moved = (event: BenchEvent, what: Addition['what']): string => {
    const addition = state.additions.find((each) => each.at === event.at && each.what === what)
    return addition ? `: ${formatPercent(addition.from)} to ${formatPercent(addition.to)} %` : ''
  }
  const timer = (id: string, name?: string) => timerName({ id, name: name ?? null, step: step(id) })
  return (event) => {
    switch (event.type) {
      case 'weighed':
        return `${plan.rows.find((row) => row.key === event.row)?.name ?? event.row}: ${grams(event.grams)}`
      case 'poured':
        return `${grams(event.grams)} of water in${moved(event, 'water')}`
      case 'added-flour':
        return `${grams(event.grams)} of flour in${moved(event, 'flour')}`
      case 'jar-weighed':
        return `the jar of board flour at ${grams(event.grams)}${moved(event, 'flour')}`
      case 'felt':
        return `felt ${feelWords[event.feel]}`
      case 'timer-started':
        return `${timer(event.timer, event.name)}, ${formatNumber(event.minutes, 0)} min set`
      case 'timer-moved':
        return `${timer(event.timer)}: ${event.minutes > 0 ? '+' : '−'}${formatNumber(Math.abs(event.minutes), 0)} min`
      case 'step-done': {
        const done = step(event.step)
        return done ? `${stepName(done)}: done` : null
      }
      case 'worked-by':
        return event.by === 'mixer' ? 'in the mixer' : 'by hand'
      case 'lumped':
        return `a lump of ${grams(event.grams)}`
      case 'shaped':
        return `${formatNumber(event.pieces, 0)} pieces`
      case 'sampled':
        return `a piece of ${mass(event.grams, 0.01)}`
      case 'finish-chosen':
        return { cook: 'to the pot', hold: 'into the fridge', dry: 'on the rack' }[event.finish]
      case 'chilled':
        return 'into the fridge, to go on later'
      case 'paused':
        return `set aside${event.why ? `: ${event.why}` : ''}`
      case 'resumed':
        return 'gone on with'
      case 'handed-over':
        return `handed to ${event.to}${event.word ? `: ${event.word}` : ''}`
      case 'taken-on':
        return 'taken on'
      case 'split':
        return `split: ${formatNumber(100 * event.keeps, 0)} % stay`
      case 'cooked':
        return `cooked ${formatNumber(event.minutes, event.minutes % 1 === 0 ? 0 : 1)} min`
      case 'judged':
        return verdictWords[event.verdict]
      case 'noted':
        return event.text
      case 'clock-set':
        return 'the clock of this device was set: running timers went with it'
      case 'abandoned':
        return `given up: ${event.reason}`
      case 'closed':
        return 'written in the log'
      case 'ticked':
      case 'timer-answered':
      case 'timer-stopped':
      case 'amended':
      case 'undone':
        return null
    }
  }
}
