/** A dough in two: the part carved off is a batch of its own, with all that happened before. */
import type { Batch, BenchEvent, Plan, PlannedStep } from '../model/index.ts'
import { usableDoughG } from './bowl.ts'
import { activeEvents } from './history.ts'
import type { BenchState } from './state.ts'

const NAME_MAX = 120
const SECOND = ', second part'

/**
 * The other batch that a `split` event of this one makes: the same from the same event, so that redo finds it again. Null
 * where the event is not one of the batch's.
 */
export function carvedOff(batch: Batch, splitId: string): Batch | null {
  const at = batch.events.findIndex((event) => event.id === splitId)
  const split = batch.events[at]
  if (split?.type !== 'split') return null
  const before = activeEvents(batch.events.slice(0, at)).filter(({ type }) => type !== 'amended')
  const events = [...before, { ...split, keeps: 1 - split.keeps, other: batch.id, part: 'taken' } as const].map(
    (event, index): BenchEvent => ({ ...event, id: `${split.other.slice(0, 40)}-${index + 1}` }),
  )
  const own = batch.plan.also.find(({ id }) => id === split.shape)?.own
  const plan = own ? asOtherShape(batch.plan, own) : named(batch.plan, SECOND)
  return { id: split.other, plan, events }
}

const named = (plan: Plan, ending: string): Plan => ({
  ...plan,
  sheet: { ...plan.sheet, name: `${plan.sheet.name.slice(0, NAME_MAX - ending.length)}${ending}` },
})

/** The plan of a part that goes on as another shape: what was made is in common, what follows is its own. */
function asOtherShape(plan: Plan, own: NonNullable<Plan['also'][number]['own']>): Plan {
  const mixed = plan.steps.slice(
    0,
    plan.steps.findIndex(({ kind }) => SHAPES_FROM.has(kind)),
  )
  return {
    ...named(plan, `, ${own.shape.name}`.slice(0, 60)),
    shape: own.shape,
    also: [],
    minutes: { ...plan.minutes, cook: own.cook },
    steps: [...mixed, ...own.steps],
  }
}

/** The first of these is where one dough parts into its shapes. */
const SHAPES_FROM: ReadonlySet<PlannedStep['kind']> = new Set([
  'divide',
  'thin',
  'roll',
  'shape',
  'pull',
  'feed',
  'stamp',
  'cut',
  'fill',
  'drop',
])

export interface OtherShape {
  readonly shape: string
  readonly name: string
  readonly grams: number
  /** Of what is here now, what stays. */
  readonly keeps: number
}

/**
 * The next of the plan's other shapes to be weighed off; null once all have gone, and for a plan of an older version that does
 * not say how they go on.
 */
export function nextOther(plan: Plan, state: BenchState): OtherShape | null {
  const isGone = (id: string) => state.gone.includes(id)
  const next = plan.also.find(({ id, own }) => own !== undefined && !isGone(id))
  const left = plan.also.reduce((sum, { id, share }) => (isGone(id) ? sum - share : sum), 1)
  if (!next || next.share <= 0 || left <= next.share + 1e-6) return null
  const of = next.share / left
  return { shape: next.id, name: next.name, grams: usableDoughG(plan, state) * of, keeps: 1 - of }
}
