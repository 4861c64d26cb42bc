/** A dough in two: the part carved off is a batch of its own, with all that happened before. */
import { specOf, type Batch, type BenchEvent, type Plan } from '../model/index.ts'
import { shareOfLeft, usableDoughG } from './bowl.ts'
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
    plan.steps.findIndex((step) => specOf(step).shapes),
  )
  return {
    ...named(plan, `, ${own.shape.name}`.slice(0, 60)),
    shape: own.shape,
    also: [],
    minutes: { ...plan.minutes, cook: own.cook },
    steps: [...mixed, ...own.steps],
  }
}

export interface OtherShape {
  readonly shape: string
  readonly name: string
  readonly grams: number
  /** Of what is here now, what stays once it has gone. */
  readonly keeps: number
}

/** The plan's other shapes that are still in this dough, in order. */
export function stillHere(plan: Plan, state: BenchState): readonly OtherShape[] {
  return plan.also
    .filter(({ id, share }) => share > 0 && !state.gone.includes(id))
    .map(({ id, name, share }) => {
      const of = shareOfLeft(plan, state, share)
      return { shape: id, name, grams: usableDoughG(plan, state) * of, keeps: 1 - of }
    })
}

/** The next of them to be weighed off; null where none is, and for a plan of an older version that does not say how they go on. */
export const nextOther = (plan: Plan, state: BenchState): OtherShape | null =>
  stillHere(plan, state).find(
    ({ shape, keeps }) => keeps > 1e-6 && plan.also.some(({ id, own }) => id === shape && own !== undefined),
  ) ?? null
