import { computeSheet } from '../sheet/index.ts'
import { testKitchen, testSheet } from '../testing/testKitchen.ts'
import { replay } from './replay.ts'
import { compareCalls, hoursAhead, nextCall } from './lanes.ts'
import { planBatch } from './planBatch.ts'
import type { BenchAction, BenchEvent } from '../model/index.ts'

const worked = computeSheet(testSheet, testKitchen)
if (!worked.ok) throw new Error(worked.problem.code)
const plan = planBatch(worked.value, testKitchen, '2031-03-01T09:00:00+00:00', null)
const T0 = Date.parse(plan.at)
const at = (minute: number) => T0 + minute * 60_000

/** Steps done up to one, then so much more, a minute apart from the hour on. */
const before = (kind: string, ...actions: BenchAction[]) => {
  const upTo = plan.steps.slice(
    0,
    plan.steps.findIndex((step) => step.kind === kind),
  )
  return replay(
    plan,
    [...upTo.map(({ id }): BenchAction => ({ type: 'step-done', step: id })), ...actions].map(
      (action, n) => ({ ...action, id: `e${n}`, at: new Date(T0).toISOString() }) as BenchEvent,
    ),
  )
}
const resting = before('rest', { type: 'timer-started', timer: 'rest', minutes: 45 })

it('a dough that rests wants nobody until it has rested, then it rings', () => {
  expect(nextCall(plan, resting, at(10))).toMatchObject({ why: 'timer', atMs: at(45) })
  expect(nextCall(plan, resting, at(46))).toMatchObject({ why: 'rings', atMs: at(45) })
})

it('a step for the hands wants them now, even while a timer of the maker’s own runs', () => {
  const hands = before('divide', { type: 'timer-started', timer: 'own-1', minutes: 5, name: 'water on' })
  expect(nextCall(plan, hands, at(1))).toMatchObject({ why: 'hands', atMs: at(1), timer: { name: 'water on' } })
})

it('a covered dough is waited for; a chilled one is fetched when somebody likes; a paused one waits', () => {
  const covered = before('feel', { type: 'timer-started', timer: 'drink', minutes: 10 })
  expect(nextCall(plan, covered, at(1))).toMatchObject({ why: 'timer', atMs: at(10) })
  expect(nextCall(plan, before('divide', { type: 'chilled', minutes: 90 }), at(1)).why).toBe('fridge')
  expect(nextCall(plan, before('divide', { type: 'paused', why: '' }), at(1)).why).toBe('paused')
  expect(nextCall(plan, before('divide', { type: 'abandoned', reason: '' }), at(1)).why).toBe('done')
})

it('what rings comes first, hands before waiting, the sooner timer before the later', () => {
  const calls = [
    nextCall(plan, before('divide', { type: 'paused', why: '' }), at(1)),
    nextCall(plan, resting, at(1)),
    nextCall(plan, before('feel', { type: 'timer-started', timer: 'drink', minutes: 10 }), at(1)),
    nextCall(plan, before('divide'), at(1)),
    nextCall(plan, resting, at(50)),
  ].sort(compareCalls)
  expect(calls.map(({ why, step }) => `${why} ${step?.kind}`)).toEqual([
    'rings rest',
    'hands divide',
    'timer feel',
    'timer rest',
    'paused divide',
  ])
})

it('the hours ahead join up, from the running clock on, hands and waiting told apart', () => {
  const ahead = hoursAhead(plan, resting, at(15))
  expect(ahead[0]).toMatchObject({ step: { kind: 'rest' }, fromMs: at(15), toMs: at(45), hands: false })
  ahead.slice(1).forEach((stretch, n) => expect(stretch.fromMs).toBe(ahead[n]!.toMs))
  expect(ahead.find(({ step }) => step.kind === 'shape')!.hands).toBe(true)
  expect(ahead.every(({ fromMs, toMs }) => toMs > fromMs)).toBe(true)
  // Pieces of six portions take longer than those of one.
  const small = { ...plan, rows: plan.rows.map((row) => ({ ...row, weighedG: row.weighedG / 6 })) }
  const length = (p: typeof plan) => {
    const { fromMs, toMs } = hoursAhead(p, resting, at(15)).find(({ step }) => step.kind === 'shape')!
    return toMs - fromMs
  }
  expect(length(plan)).toBeGreaterThan(4 * length(small))
})
