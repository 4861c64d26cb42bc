/** What steps, clocks, calls and entries are called. */
import type { BenchAction, BenchEvent, LiveTimer, PlannedStep } from '@harina/core'
import { sampleWorkspace } from '../testing/renderApp.tsx'
import { callsOf, standingWords } from './batches.ts'
import { runningBatch } from '../state/select.ts'
import { callWords, stepName, timerCall, timerName } from '../words/index.ts'

const T0 = Date.parse('2031-03-01T09:00:00Z')
const MINUTE_MS = 60_000
const { plan } = sampleWorkspace.batches[1]!

const running = (id: string, ...actions: readonly BenchAction[]) =>
  runningBatch({
    id,
    plan,
    events: actions.map((action, n) => ({ ...action, id: `${id}${n}`, at: new Date(T0).toISOString() }) as BenchEvent),
  })
const done = (...steps: string[]): BenchAction[] => steps.map((step) => ({ type: 'step-done', step }))
const timer = (part: Partial<LiveTimer>): Pick<LiveTimer, 'name' | 'id' | 'step'> => ({
  name: null,
  id: part.step?.id ?? 'own-1',
  step: null,
  ...part,
})
const rest = (cold: boolean): PlannedStep => ({ id: 'rest', kind: 'rest', of: 'dough', cold, low: 1, best: 2, high: 3 })
const knead = (how: 'push' | 'tread' | 'fold'): PlannedStep => ({
  id: 'knead',
  kind: 'knead',
  how,
  hand: [1, 2],
  mixer: null,
  processor: null,
})
const cook = (how: 'boil' | 'bake'): PlannedStep => ({ id: 'cook', kind: 'cook', how })
const potato: PlannedStep = { id: 'prepare', kind: 'prepare', what: 'steam', minutes: [5, 10], belowC: 45 }

it.each([
  [potato, 'Steam off'],
  [knead('push'), 'Knead'],
  [knead('tread'), 'Tread'],
  [knead('fold'), 'Fold in'],
  [rest(true), 'Rest'],
  [cook('boil'), 'Cook'],
  [cook('bake'), 'Bake'],
  [{ id: 'back-1', kind: 'temper', minutes: 90 } as PlannedStep, 'Warm up'],
])('a step in a word: %j is %s', (step, name) => expect(stepName(step)).toBe(name))

it.each([
  [timer({ id: 'drink' }), 'drinking', ' has drunk'],
  [timer({ name: 'Beans' }), 'Beans', ': Beans'],
  [timer({ step: potato }), 'steam off', ' is ready to weigh'],
  [timer({ step: knead('push') }), 'kneading', ' is kneaded'],
  [timer({ step: knead('tread') }), 'working', ' is worked'],
  [timer({ step: rest(false) }), 'resting', ' has rested'],
  [timer({ step: rest(true) }), 'in the fridge', ' has rested'],
  [timer({ step: cook('boil') }), 'cooking', ' wants tasting'],
  // A clock of a step that is no more.
  [timer({ id: 'gone' }), 'timed', ' wants you'],
])('a clock is named, and calls: %j', (clock, name, call) => {
  expect(timerName(clock)).toBe(name)
  expect(timerCall(clock)).toBe(call)
})

it('calls in words: what wants hands, what runs, what rang, what waits', () => {
  const words = (of: ReturnType<typeof running>, minute: number) => {
    const nowMs = T0 + minute * MINUTE_MS
    return callWords(callsOf([of], nowMs)[0]!.call, nowMs)
  }
  const kneaded = done('flour', 'water', 'pour', 'feel', 'knead')
  const resting = running('a', ...kneaded, { type: 'timer-started', timer: 'rest', minutes: 45 })
  expect(words(running('a'), 0)).toBe('flour: now')
  expect(words(resting, 15)).toBe('resting 30:00')
  expect(words(resting, 50)).toBe('resting: now')
  expect(words(running('a', ...kneaded, { type: 'paused', why: '' }), 1)).toBe('set aside')
  expect(words(running('a', ...kneaded, { type: 'chilled', minutes: 90 }), 1)).toBe('in the fridge')
  expect(words(running('a', { type: 'closed' }), 1)).toBe('done')
})

it('the strip says set aside, and counts steps that came in between', () => {
  const kneaded = done('flour', 'water', 'pour', 'feel', 'knead')
  expect(standingWords(running('a', { type: 'paused', why: '' }), T0)).toBe('set aside')
  expect(standingWords(running('a', ...kneaded), T0)).toBe('rest, 6 of 10')
  expect(standingWords(running('a', ...kneaded, { type: 'chilled', minutes: 90 }), T0)).toBe('warm up, 6 of 11')
})
