/** A dough in parts: what is taken off goes its own way, with all that happened before; its name, its feel and its ledger are the dough's. */
import { specOf, type Batch, type BenchEvent, type Plan } from '../model/index.ts'
import { shareOfLeft, usableDoughG } from './bowl.ts'
import { activeEvents } from './history.ts'
import type { BenchState } from './state.ts'

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
  return { id: split.other, plan: own ? asOtherShape(batch.plan, own) : batch.plan, events }
}

/** The plan of a part that goes on as another shape: what was made is in common, what follows is its own. */
function asOtherShape(plan: Plan, own: NonNullable<Plan['also'][number]['own']>): Plan {
  const mixed = plan.steps.slice(
    0,
    plan.steps.findIndex((step) => specOf(step).shapes),
  )
  return {
    ...plan,
    shape: own.shape,
    also: [],
    minutes: { ...plan.minutes, cook: own.cook },
    steps: [...mixed, ...own.steps],
  }
}

/** The dough that this batch is a part of, and what for; null for a whole one, and for what stayed when a part was taken off. */
export interface PartOfDough {
  readonly batch: string
  readonly for: string | null
}
export function partOfBatch(entries: readonly BenchEvent[]): PartOfDough | null {
  const taken = entries.filter((event) => event.type === 'split' && event.part === 'taken').at(-1)
  return taken?.type === 'split' ? { batch: taken.other, for: taken.for ?? null } : null
}

/** The dough as it was before the first part was taken off it, as its plan and its pours were. */
export function beforeParts(entries: readonly BenchEvent[]): readonly BenchEvent[] {
  const first = entries.findIndex(({ type }) => type === 'split')
  return first < 0 ? entries : entries.slice(0, first)
}

export interface OtherShape {
  readonly shape: string
  readonly name: string
  /** What it is for, where the sheet says so. */
  readonly for: string | null
  readonly grams: number
  /** Of what is here now, what stays once it has gone. */
  readonly keeps: number
}

/** The plan's other shapes that are still in this dough, in order. */
export function stillHere(plan: Plan, state: BenchState): readonly OtherShape[] {
  return plan.also
    .filter(({ id, share }) => share > 0 && !state.gone.includes(id))
    .map(({ id, name, share, for: what = null }) => {
      const of = shareOfLeft(plan, state, share)
      return { shape: id, name, for: what, grams: usableDoughG(plan, state) * of, keeps: 1 - of }
    })
}

/** The next of them to be weighed off; null where none is, and for a plan of an older version that does not say how they go on. */
export const nextOther = (plan: Plan, state: BenchState): OtherShape | null =>
  stillHere(plan, state).find(
    ({ shape, keeps }) => keeps > 1e-6 && plan.also.some(({ id, own }) => id === shape && own !== undefined),
  ) ?? null
