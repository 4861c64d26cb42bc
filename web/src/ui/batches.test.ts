import { currentStep, replay, type Batch, type BenchEvent, type TimerId } from '@harina/core'
import { sampleWorkspace } from '../testing/renderApp.tsx'
import { ringingOf, standingWords, timersOf } from './batches.ts'
import { type RunningBatch } from '../state/select.ts'

const T0 = Date.parse('2031-03-01T09:00:00Z')
const { plan } = sampleWorkspace.batches[1]!

const running = (id: string, ...parts: readonly object[]): RunningBatch => {
  const events = parts.map(
    (part, index) => ({ id: `${id}${index}`, at: new Date(T0).toISOString(), ...part }) as BenchEvent,
  )
  const batch: Batch = { id, plan, events }
  const state = replay(plan, events)
  return { batch, state, step: currentStep(batch.plan, state) }
}
const timer = (id: TimerId, minutes: number) => ({ type: 'timer-started', timer: id, minutes })

it('lists timers of all batches, the next to ring first', () => {
  const timers = timersOf([
    running('a', timer('rest', 45)),
    running('b', timer('cook', 6), timer('rest', 20)),
    running('c'),
  ])
  expect(timers.map(({ id, running: of }) => `${of.batch.id} ${id}`)).toEqual(['b cook', 'b rest', 'a rest'])
})

it('rings what is due and not yet answered', () => {
  const batches = [
    running('a', timer('rest', 45)),
    running('b', timer('cook', 6)),
    running('c', timer('cook', 5), { type: 'timer-answered', timer: 'cook' }),
  ]
  const due = (minute: number) => ringingOf(batches, T0 + minute * 60_000).map((call) => call.running.batch.id)
  expect([due(5.9), due(6), due(50)]).toEqual([[], ['b'], ['b', 'a']])
})

it('says where a batch stands: what is timed, or which step of how many', () => {
  expect(standingWords(running('a', timer('rest', 45)), T0 + 60_000)).toBe('resting 44:00')
  expect(standingWords(running('a', timer('rest', 45)), T0 + 46 * 60_000)).toBe('resting +1:00')
  expect(standingWords(running('a', { type: 'step-done', step: 'flour' }), T0)).toBe('water, 2 of 10')
  expect(standingWords(running('a', { type: 'closed' }), T0)).toBe('done')
})
