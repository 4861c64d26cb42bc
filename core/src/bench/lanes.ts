/** Several doughs at once: when each next wants the cook, and how its hours lie ahead. */
import { benchPieces } from './bowl.ts'
import { currentStep, liveTimers, stepsOf, type LiveTimer } from './replay.ts'
import type { BenchState, Timer } from './state.ts'
import {
  own,
  specOf,
  workedBy,
  WORKERS,
  type Pace,
  type Plan,
  type PlannedStep,
  type StepOf,
  type Worker,
} from '../model/index.ts'

const MINUTE_MS = 60_000

export interface Call {
  readonly why: 'rings' | 'hands' | 'timer' | 'fridge' | 'paused' | 'done'
  /** When it wants the cook; null where nobody knows. */
  readonly atMs: number | null
  readonly step: PlannedStep | null
  readonly timer: LiveTimer | null
}

/** The clock a step waits for: its own, or that of a covered dough while it is felt. */
const clockOf = ({ timers }: Pick<BenchState, 'timers'>, step: PlannedStep): Timer | undefined =>
  own(timers, step.kind === 'feel' ? 'drink' : step.id)

/**
 * The clock of a step that takes no hands, while it runs: nothing is poured, added or given up meanwhile by a key that lies
 * under the palm. Null once it is over, or where hands are at work.
 */
export function waitOf(plan: Plan, state: BenchState, step: PlannedStep, nowMs: number): Timer | null {
  const clock = clockOf(state, step)
  const runs = clock?.stage === 'running' && clock.endsAtMs > nowMs
  return runs && !stepMinutes(plan, state, step).hands ? clock : null
}

/** When this batch next wants somebody, and why. */
export function nextCall(plan: Plan, state: BenchState, nowMs: number): Call {
  const step = currentStep(plan, state)
  const [timer] = liveTimers(plan, state)
  if (timer && timer.endsAtMs <= nowMs) return { why: 'rings', atMs: timer.endsAtMs, step, timer }
  if (!step) return { why: 'done', atMs: null, step, timer: null }
  if (state.paused) return { why: 'paused', atMs: timer?.endsAtMs ?? null, step, timer: timer ?? null }
  const clock = clockOf(state, step)
  if (timer && clock?.stage === 'running') return { why: 'timer', atMs: timer.endsAtMs, step, timer }
  if ((step.kind === 'temper' || (step.kind === 'thaw' && !step.of)) && !clock)
    return { why: 'fridge', atMs: null, step, timer: timer ?? null }
  return { why: 'hands', atMs: nowMs, step, timer: timer ?? null }
}

const ORDER: Readonly<Record<Call['why'], number>> = { rings: 0, hands: 1, timer: 2, fridge: 3, paused: 4, done: 5 }

/** The most urgent first; of two alike, the sooner. */
export const compareCalls = (a: Call, b: Call): number =>
  ORDER[a.why] - ORDER[b.why] || (a.atMs ?? Infinity) - (b.atMs ?? Infinity) || 0

/** Who kneads, and how long: as was chosen at the bench or in Gear, by hand where that machine should not. */
export function kneading(
  { kneads }: Pick<Plan, 'kneads'>,
  { workedBy: chosen }: Pick<BenchState, 'workedBy'>,
  step: StepOf<'knead'>,
): { readonly by: Worker; readonly minutes: readonly [number, number] } {
  const by = workedBy(step, chosen ?? kneads)
  return { by, minutes: step[by] ?? step.hand }
}

/** Who mixes: the machine that kneads it, where one does; those who could. */
export function mixing(
  { kneads, steps }: Pick<Plan, 'kneads' | 'steps'>,
  { workedBy: chosen }: Pick<BenchState, 'workedBy'>,
): { readonly by: Worker; readonly can: readonly Worker[] } {
  const can = WORKERS.filter((by) => by === 'hand' || steps.some((step) => step.kind === 'knead' && step[by] !== null))
  const wanted = chosen ?? kneads
  return { by: can.includes(wanted) ? wanted : 'hand', can }
}

/** Heat of the water for whoever mixes, °C; null where none is poured. */
export const waterNowC = (plan: Plan, state: Pick<BenchState, 'workedBy'>): number | null =>
  plan.waterBy?.[mixing(plan, state).by] ?? plan.waterC

const paceOf = (plan: Plan, state: BenchState): Pace => ({
  worker: state.workedBy ?? plan.kneads,
  pieces: benchPieces(plan, state).pieces,
  drinkMin: plan.minutes.drink,
  cookMin: plan.minutes.cook,
})

/** How long a step takes, and whether it takes hands: estimates, for looking ahead. */
export function stepMinutes(plan: Plan, state: BenchState, step: PlannedStep): { minutes: number; hands: boolean } {
  const { minutes, waits = false } = specOf(step)
  const pace = paceOf(plan, state)
  return { minutes: minutes(step, pace), hands: !(waits === true || (waits && waits(step, pace))) }
}

export interface Stretch {
  readonly step: PlannedStep
  readonly fromMs: number
  readonly toMs: number
  readonly hands: boolean
}

/** What is left of the batch from now on, one stretch a step: the running clock as it stands, the rest estimated. */
export function hoursAhead(plan: Plan, state: BenchState, nowMs: number): readonly Stretch[] {
  let atMs = nowMs
  return stepsOf(plan, state)
    .filter((step) => !state.done.includes(step.id))
    .map((step) => {
      const clock = clockOf(state, step)
      const { minutes, hands } = stepMinutes(plan, state, step)
      const fromMs = atMs
      atMs = clock?.stage === 'running' ? Math.max(atMs, clock.endsAtMs) : atMs + minutes * MINUTE_MS
      return { step, fromMs, toMs: atMs, hands }
    })
}
