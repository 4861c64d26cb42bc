/** A step that only this test knows: its entry in the core and its words are enough. It is planned, stored, shown, waited for and done. */
import { carvedOff, plannedStepSchema, STEP_KINDS, stepKinds, stepMinutes, waitOf, type Plan } from '@harina/core'
import { cleanup } from '@testing-library/react'
import { stepWords } from '../../words/steps.ts'

const SOAK = 'soak' as never
const soak = { id: 'soak', kind: SOAK } as never

let bench: Awaited<ReturnType<typeof load>>
const load = async () => ({
  ...(await import('../../testing/runBench.tsx')),
  ...(await import('../../testing/renderApp.tsx')),
  ...(await import('../../storage/index.ts')),
})

beforeAll(async () => {
  // Before anything has asked for the schemas and sheets that are made of them.
  const spec = { fields: () => ({}), minutes: () => 25, waits: true, stage: 'rest', shapes: true }
  Object.assign(stepKinds, { soak: spec })
  STEP_KINDS.push(SOAK)
  Object.assign(stepWords, { soak: { name: 'Soak', clock: 'soaking', rung: ' has soaked' } })
  bench = await load()
})
afterEach(cleanup)

/** As it is begun, with the step before its kneading. */
async function begin(): Promise<Plan> {
  const { sampleWorked, sampleKitchen } = await import('../../testing/sampleKitchen.ts')
  const { planBatch } = await import('@harina/core')
  const plan = planBatch(sampleWorked, sampleKitchen, new Date(Date.now() - 60_000).toISOString(), null)
  const at = plan.steps.findIndex(({ kind }) => kind === 'knead')
  const steps = [...plan.steps.slice(0, at), soak, ...plan.steps.slice(at)]
  const soaked = { ...plan, steps }
  await bench.putWorkspace({ ...bench.sampleWorkspace, gear: sampleKitchen.gear, batches: [] })
  await bench.repository.batches.start([{ id: 'b', plan: soaked }])
  await bench.repository.batches.record(
    'b',
    steps.slice(0, at).map(({ id }, n) => ({ id: `e${n}`, at: plan.at, type: 'step-done', step: id })),
  )
  bench.renderAt('/bench/b', bench.benchPages)
  await bench.settle()
  return soaked
}

it('is taken by the schema of plans, and only as it is told', () => {
  expect(plannedStepSchema.safeParse(soak).success).toBe(true)
  expect(plannedStepSchema.safeParse({ ...(soak as object), deep: 3 }).success).toBe(false)
})

it('is shown by its plain sheet, runs its clock, holds the space bar off, and is done', async () => {
  const plan = await begin()
  const { screen, press, fireEvent, settle, openBatch, benchState } = bench
  expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Soak')
  expect(screen.getByLabelText('Soak, now')).toBeTruthy()
  await press(/^Start the clock/)
  const state = await benchState()
  expect(state.timers['soak']?.minutes).toBe(25)
  expect(stepMinutes(plan, state, soak)).toEqual({ minutes: 25, hands: false })
  expect(waitOf(plan, state, soak, Date.now())).not.toBeNull()
  fireEvent.keyDown(window, { key: ' ' })
  await settle()
  expect((await benchState()).done).not.toContain('soak')
  await press(/^Done, go on/)
  expect((await benchState()).done).toContain('soak')
  expect((await openBatch('b')).plan.steps).toContainEqual(soak)
})

it('is where one dough parts into its shapes, as it says', async () => {
  const plan = await begin()
  const also = {
    id: 'other',
    name: 'Other',
    share: 0.5,
    own: { shape: plan.shape, cook: plan.minutes.cook, steps: plan.steps.slice(-1) },
  }
  const split = { id: 's', at: plan.at, type: 'split', keeps: 0.5, other: 'o', part: 'kept', shape: 'other' } as const
  const part = carvedOff({ id: 'b', plan: { ...plan, also: [also] }, events: [split] }, 's')
  expect(part!.plan.steps.map(({ kind }) => kind)).not.toContain('soak')
  expect(part!.plan.steps.map(({ kind }) => kind)).toContain('feel')
})
