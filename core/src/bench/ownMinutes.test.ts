import fc from 'fast-check'
import { testKitchen, testSheet, workSheet } from '../testing/testKitchen.ts'
import type { BenchAction, BenchEvent } from '../model/index.ts'
import { minutesKey, ownMinutes } from './ownMinutes.ts'
import { planBatch } from './planBatch.ts'
import { initialState } from './state.ts'
import { summarise } from './summary.ts'

const AT = '2031-03-01T09:00:00Z'
const T0 = Date.parse(AT)
const plan = planBatch(workSheet(testSheet, testKitchen), testKitchen, AT, null)
const knead = plan.steps.find(({ kind }) => kind === 'knead')!
const key = minutesKey(plan, knead, 'hand', null)!

const batch = (ranMin: number, verdict: 'poor' | 'good', setMin = 10) =>
  summarise({
    id: 'b',
    plan,
    events: (
      [
        [0, { type: 'timer-started', timer: knead.id, minutes: setMin }],
        [ranMin, { type: 'timer-stopped', timer: knead.id }],
        [ranMin, { type: 'step-done', step: knead.id }],
        [60, { type: 'judged', verdict }],
        [60, { type: 'closed' }],
      ] as readonly (readonly [number, BenchAction])[]
    ).map(([minute, action], n) => {
      return { ...action, id: `e${n}`, at: new Date(T0 + minute * 60_000).toISOString() } as BenchEvent
    }),
  })

it('minutes that were good to eat are remembered; of a poor batch, or a clock nobody came to, nothing is', () => {
  expect(batch(12, 'good').own).toContainEqual({ key, value: 12 })
  expect(batch(12, 'poor').own).toBeUndefined()
  expect(batch(45, 'good').own ?? []).not.toContainEqual(expect.objectContaining({ key }))
  expect(batch(0.2, 'good').own ?? []).not.toContainEqual(expect.objectContaining({ key }))
})

it('the middle of the last eight, oldest forgotten; and none that began before it was said to forget them', () => {
  const ended = [10, 12, 13].map((ran, n) => ({ ...batch(ran, 'good'), atMs: T0 + n * 86_400_000 }))
  expect(ownMinutes(ended, key, undefined)).toEqual({ value: 12, n: 3 })
  expect(ownMinutes(ended, key, new Date(T0 + 86_400_000).toISOString())).toEqual({ value: 13, n: 1 })
  expect(ownMinutes(ended, 'knead another', undefined)).toBeNull()
  expect(
    ownMinutes(
      ended.map((each) => ({ ...each, end: 'abandoned' as const })),
      key,
      undefined,
    ),
  ).toBeNull()
})

it('lies between the least and the most that was taken, whatever the order', () => {
  const minutes = fc.array(fc.integer({ min: 5, max: 20 }), { minLength: 1, maxLength: 8 })
  fc.assert(
    fc.property(minutes, (all) => {
      const ended = all.map((value, n) => ({ atMs: n, end: 'closed' as const, own: [{ key, value }] }))
      const mine = ownMinutes(ended, key, undefined)!
      expect(mine.n).toBe(all.length)
      expect(mine.value).toBeGreaterThanOrEqual(Math.min(...all))
      expect(mine.value).toBeLessThanOrEqual(Math.max(...all))
      expect(ownMinutes([...ended].reverse(), key, undefined)).toEqual(mine)
    }),
  )
})

it('is remembered by the dough, by what kneads it, and by whose hands', () => {
  const hands = { at: AT, who: 'Second shift', word: '', taken: true }
  const keys = [
    minutesKey(plan, knead, 'hand', null),
    minutesKey(plan, knead, 'mixer', null),
    minutesKey(plan, knead, 'hand', hands),
  ]
  expect(new Set(keys).size).toBe(3)
  expect(minutesKey(plan, plan.steps[0]!, 'hand', initialState.hands)).toBeNull()
})
