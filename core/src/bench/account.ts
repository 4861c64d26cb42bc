/** Warm and cold minutes of a batch, from mixing on: over rests, work, airing, pauses, splits and the fridge. */
import { FREEZER_C, FRIDGE_C, leftOf, spentBy, warmShare, type Left, type Lying } from '../safety/index.ts'
import type { BenchEvent, Keeps, Plan, PlannedStep, StepOf } from '../model/index.ts'
import { airedWithin } from '../sheet/index.ts'
import { activeEvents } from './history.ts'
import { applyEvent, currentStep } from './replay.ts'
import { initialState, type BenchState } from './state.ts'

const MINUTE_MS = 60_000
/** Flour, water and salt, for plans that do not say. */
const USUAL = { warmMin: 120, coldH: 48 }

/** What the plan says of keeping; null where its pieces go on without a wait. */
export const keepsOf = ({ steps }: Pick<Plan, 'steps'>): Keeps | null =>
  steps.find((step): step is StepOf<'air'> => step.kind === 'air')?.keeps ?? null

/** What the dough of this plan may lie, warm and cold, from mixing on. */
export function doughLimits(plan: Pick<Plan, 'steps'>): { readonly warmMin: number; readonly coldH: number } {
  const keeps = keepsOf(plan)
  return keeps?.dough ?? (keeps ? { warmMin: keeps.roomMin, coldH: keeps.fridgeH } : USUAL)
}

/** How warm a batch lies while it stands at a step, °C; null on the rack, which has an account of its own. */
function heatAt(plan: Plan, { timers }: BenchState, step: PlannedStep | null): number | null {
  switch (step?.kind) {
    case 'hold':
      return FRIDGE_C
    case 'freeze':
      return FREEZER_C
    case 'dry':
      return null
    case 'rest':
      return step.cold && timers[step.id] ? FRIDGE_C : plan.roomC
    case 'thaw':
      return timers[step.id] ? FRIDGE_C : FREEZER_C
    // Until it is taken out.
    case 'temper':
      return timers[step.id] ? plan.roomC : FRIDGE_C
    default:
      return plan.roomC
  }
}

/** Flour and water have met: before that nothing in a bowl spoils by the hour. */
const isMixed = ({ pouredG, flourInAt }: BenchState, { water }: Plan): boolean =>
  pouredG > 0 || (water.startG === 0 && flourInAt !== null)

/** How the dough has lain from mixing until this time, in order. */
export function lainUntil(plan: Plan, events: readonly BenchEvent[], untilMs: number): readonly Lying[] {
  const lain: Lying[] = []
  let state = initialState
  let fromMs: number | null = null
  const close = (toMs: number) => {
    const temperatureC = heatAt(plan, state, currentStep(plan, state))
    if (fromMs !== null && toMs > fromMs && temperatureC !== null)
      lain.push({ minutes: (toMs - fromMs) / MINUTE_MS, temperatureC })
  }
  for (const event of activeEvents(events)) {
    const atMs = Date.parse(event.at)
    if (atMs > untilMs || state.end) break
    close(atMs)
    state = applyEvent(plan, state, event)
    if (fromMs !== null || isMixed(state, plan)) fromMs = Math.max(atMs, fromMs ?? atMs)
  }
  if (!state.end) close(untilMs)
  return lain
}

/** What is left of the dough's limits at this time: in a room as warm as its own, and in the fridge. */
export function leftAt(plan: Plan, events: readonly BenchEvent[], atMs: number): Left {
  const limits = doughLimits(plan)
  return leftOf(spentBy(lainUntil(plan, events, atMs), limits), limits, plan.roomC)
}

/** The same of its pieces once they are shaped: the shape's own limits on top, in this room. */
export function piecesLeftAt(plan: Plan, events: readonly BenchEvent[], atMs: number): Left {
  const { roomLeftMin, fridgeLeftH } = leftAt(plan, events, atMs)
  const { roomMin = Infinity, fridgeH = Infinity } = keepsOf(plan) ?? {}
  return {
    roomLeftMin: Math.min(roomMin * warmShare(plan.roomC), roomLeftMin),
    fridgeLeftH: Math.min(fridgeH, fridgeLeftH),
  }
}

/** What a step lets a dough lie: never longer than it may, whatever the plan says. */
const within = ({ roomLeftMin, fridgeLeftH }: Left, cold: boolean): number =>
  Math.max(0, Math.floor(cold ? 60 * fridgeLeftH : roomLeftMin))

/** A rest as it can be offered with so much left, min; at a best of 0 none can. */
export function offeredRest(step: StepOf<'rest'>, left: Left): Pick<StepOf<'rest'>, 'low' | 'best' | 'high'> {
  const most = within(left, step.cold)
  return { low: Math.min(step.low, most), best: Math.min(step.best, most), high: Math.min(step.high, most) }
}

/** Back from the fridge as long as it may still lie warm, min; at 0 it is worked as it comes out. */
export const offeredBack = ({ minutes }: StepOf<'temper'>, left: Left): number => Math.min(minutes, within(left, false))

/** In the air before the pot, min. */
export const offeredAir = ({ minutes }: Pick<StepOf<'air'>, 'minutes'>, left: Left): readonly [number, number] =>
  airedWithin(minutes, within(left, false))

/** In the fridge until it is gone on with, whole hours, where that is worth going there for; `mostH` is what its kind of dough bears. */
export function offeredNightH(mostH: number, { fridgeLeftH }: Left): number | null {
  const hours = Math.floor(Math.min(mostH, fridgeLeftH))
  return hours >= WORTH_CHILLING_H ? hours : null
}
const WORTH_CHILLING_H = 4
