/** One batch at the bench, as far along as a test wants it. */
import {
  computeSheet,
  planBatch,
  replay,
  startSheet,
  type BenchAction,
  type BenchEvent,
  type BenchState,
  type Kitchen,
  type Plan,
  type StepKind,
  type Worked,
} from '@harina/core'
import BenchStation from '../stations/bench/BenchStation.tsx'
import { repository } from '../storage/index.ts'
import { openBatch, putWorkspace, renderAt, sampleWorkspace, settle } from './renderApp.tsx'
import { sampleKitchen, sampleWorked } from './sampleKitchen.ts'

export const MINUTE_MS = 60_000
export const BATCH = 'b'
export const benchPages = [
  { path: '/bench/:batchId?', element: <BenchStation /> },
  { path: '/log/:batchId', element: <p>in the log</p> },
]

/** A first sheet of a dough as a shape, in a kitchen with machines. */
export function workedAs(doughId: string, shapeId: string, kitchen: Kitchen = sampleKitchen): Worked {
  const [dough, shape] = [kitchen.doughs.get(doughId), kitchen.shapes.get(shapeId)]
  if (!dough || !shape) throw new Error(`no ${doughId} as ${shapeId}`)
  const worked = computeSheet(startSheet(dough, shape, kitchen), kitchen)
  if (!worked.ok) throw new Error(worked.problem.code)
  return worked.value
}

/** Taps that end every step before the first of this kind. */
export function doneUntil(plan: Pick<Plan, 'steps'>, kind: StepKind): BenchAction[] {
  const at = plan.steps.findIndex((step) => step.kind === kind)
  if (at < 0) throw new Error(`no ${kind} in this batch`)
  return plan.steps.slice(0, at).map(({ id }) => ({ type: 'step-done', step: id }))
}

export interface Begun {
  readonly minutesAgo?: number
  readonly worked?: Worked
  readonly kitchen?: Kitchen
  /** Every step before the first of this kind is done. */
  readonly upTo?: StepKind
}

/** Begun so long ago, with what has been done since, a second apart; shown at the bench. */
export async function beginBatch(
  { minutesAgo = 1, worked = sampleWorked, kitchen = sampleKitchen, upTo = 'flour' }: Begun = {},
  ...actions: BenchAction[]
): Promise<Plan> {
  await putWorkspace({ ...sampleWorkspace, gear: kitchen.gear, batches: [] })
  const start = Date.now() - minutesAgo * MINUTE_MS
  const plan = planBatch(worked, kitchen, new Date(start).toISOString(), null)
  await repository.batches.start([{ id: BATCH, plan }])
  // What is told of the doing comes before the steps it belongs to are ended.
  const events = [...actions, ...doneUntil(plan, upTo)].map(
    (action, index) => ({ ...action, id: `e${index}`, at: new Date(start + index * 1000).toISOString() }) as BenchEvent,
  )
  if (events.length > 0) await repository.batches.record(BATCH, events)
  renderAt(`/bench/${BATCH}`, benchPages)
  await settle()
  return plan
}

export async function benchState(id = BATCH): Promise<BenchState> {
  const { plan, events } = await openBatch(id)
  return replay(plan, events)
}
