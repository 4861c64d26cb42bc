import { formatNumber, stepsOf, type BenchEvent } from '@harina/core'
import type { RunningBatch } from '../../../ui/batches.ts'
import { useUnits } from '../../../ui/units.ts'
import { feelWords, stepName, timerName, verdictWords } from '../../../ui/words.ts'

/** What an entry of the book says; null for what is only a mark of another. */
export function useEntryWords({ batch: { plan }, state }: RunningBatch): (event: BenchEvent) => string | null {
  const { mass } = useUnits()
  const steps = stepsOf(plan, state)
  const step = (id: string) => steps.find((each) => each.id === id) ?? null
  const grams = (value: number) => mass(value, value < 10 ? 0.1 : plan.scaleStepG)
  const timer = (id: string, name?: string) => timerName({ id, name: name ?? null, step: step(id) })
  return (event) => {
    switch (event.type) {
      case 'weighed':
        return `${plan.rows.find((row) => row.key === event.row)?.name ?? event.row}: ${grams(event.grams)}`
      case 'poured':
        return `poured ${grams(event.grams)}`
      case 'added-flour':
        return `${grams(event.grams)} of flour in`
      case 'jar-weighed':
        return `jar of board flour: ${grams(event.grams)}`
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
