import { planBatch } from './planBatch.ts'
import { clockThatFollows } from './clocks.ts'
import { replay, stepsOf } from './replay.ts'
import type { BenchEvent } from '../model/index.ts'
import { computeSheet } from '../sheet/index.ts'
import { testKitchen, testSheet } from '../testing/testKitchen.ts'

const AT = '2031-03-01T09:00:00.000+00:00'
const AT_MS = Date.parse(AT)
const worked = computeSheet(testSheet, testKitchen)
if (!worked.ok) throw new Error(worked.problem.code)
const plan = planBatch(worked.value, testKitchen, AT, null)
const done = (...kinds: readonly string[]): BenchEvent[] => {
  const last = plan.steps.findIndex(({ kind }) => kind === kinds.at(-1))
  return plan.steps.slice(0, last + 1).map(({ id }, n) => ({ id: `e${n}`, at: AT, type: 'step-done', step: id }))
}
const mixed: BenchEvent = { id: 'p', at: AT, type: 'poured', grams: 200 }

it('what was felt right is kneaded by the clock, and what is kneaded rests by it, each by the one press', () => {
  const knead = plan.steps.find(({ kind }) => kind === 'knead')!
  const rest = plan.steps.find(({ kind }) => kind === 'rest')!
  expect(clockThatFollows(plan, [mixed, ...done('feel')], 'feel', AT_MS)).toMatchObject({ timer: knead.id })
  expect(clockThatFollows(plan, [mixed, ...done('knead')], knead.id, AT_MS)).toMatchObject({
    timer: rest.id,
    minutes: expect.any(Number),
  })
})

it('a clock that runs is not started again; nor is one for what has no time left, or needs something fetched', () => {
  const rest = plan.steps.find(({ kind }) => kind === 'rest')!
  const knead = plan.steps.find(({ kind }) => kind === 'knead')!
  const events = [mixed, ...done('knead')]
  const running: BenchEvent = { id: 't', at: AT, type: 'timer-started', timer: rest.id, minutes: 5 }
  expect(clockThatFollows(plan, [...events, running], knead.id, AT_MS)).toBeNull()
  expect(clockThatFollows(plan, events, knead.id, AT_MS + 9 * 3_600_000)).toBeNull()
  const cold = { ...plan, steps: plan.steps.map((step) => (step.kind === 'rest' ? { ...step, cold: true } : step)) }
  expect(clockThatFollows(cold, events, knead.id, AT_MS)).toBeNull()
  for (const { id } of stepsOf(plan, replay(plan, [])).filter(({ kind }) => ['ready', 'flour', 'water'].includes(kind)))
    expect(clockThatFollows(plan, done('pour'), id, AT_MS)).toBeNull()
})
