/** Several doughs at once: when each next wants the cook, and how its hours lie ahead. */
import { unreachable } from '../result.ts'
import { benchPieces } from './bowl.ts'
import { currentStep, liveTimers, stepsOf, type LiveTimer } from './replay.ts'
import type { BenchState, Timer } from './state.ts'
import { own, type Plan, type PlannedStep, type StepOf, type Worker } from '../model/index.ts'

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
  if (step.kind === 'temper' && !clock) return { why: 'fridge', atMs: null, step, timer: timer ?? null }
  return { why: 'hands', atMs: nowMs, step, timer: timer ?? null }
}

const ORDER: Readonly<Record<Call['why'], number>> = { rings: 0, hands: 1, timer: 2, fridge: 3, paused: 4, done: 5 }

/** The most urgent first; of two alike, the sooner. */
export const compareCalls = (a: Call, b: Call): number =>
  ORDER[a.why] - ORDER[b.why] || (a.atMs ?? Infinity) - (b.atMs ?? Infinity) || 0

/** What a practised pair of hands does, by the minute. */
const ROPES_PER_MIN = 60
const FILL_PER_MIN = 6

const middle = ([low, high]: readonly [number, number]): number => (low + high) / 2

/** Who kneads, and how long: as was chosen at the bench or in Gear, by hand where that machine should not. */
export function kneading(
  { kneads }: Pick<Plan, 'kneads'>,
  { workedBy }: Pick<BenchState, 'workedBy'>,
  step: StepOf<'knead'>,
): { readonly by: Worker; readonly minutes: readonly [number, number] } {
  const by = workedBy ?? kneads
  const minutes = by === 'hand' ? null : step[by]
  return minutes ? { by, minutes } : { by: 'hand', minutes: step.hand }
}

/** Who stirs a scald: a mixer where the dough can be kneaded in one. */
export function scalding(
  { kneads, steps }: Pick<Plan, 'kneads' | 'steps'>,
  { workedBy }: Pick<BenchState, 'workedBy'>,
): { readonly by: 'hand' | 'mixer'; readonly canMixer: boolean } {
  const canMixer = steps.some((step) => step.kind === 'knead' && step.mixer !== null)
  return { by: canMixer && (workedBy ?? kneads) === 'mixer' ? 'mixer' : 'hand', canMixer }
}

/** How long a step takes, and whether it takes hands: estimates, for looking ahead. */
export function stepMinutes(plan: Plan, state: BenchState, step: PlannedStep): { minutes: number; hands: boolean } {
  const hands = (minutes: number) => ({ minutes, hands: true })
  const waits = (minutes: number) => ({ minutes, hands: false })
  const pieces = () => Math.min(4000, benchPieces(plan, state).pieces)
  switch (step.kind) {
    case 'ready':
    case 'flour':
    case 'water':
    case 'verdict':
      return hands(3)
    case 'divide':
    case 'cut':
      return hands(6)
    case 'prepare':
      return waits(middle(step.minutes))
    case 'pour':
      return hands(3 * step.goes.length)
    case 'feel':
      return waits(plan.minutes.drink)
    case 'cool':
      return waits(step.minutes)
    case 'crumb':
      return waits(middle(step.minutes))
    case 'knead': {
      const { by, minutes } = kneading(plan, state, step)
      return by === 'hand' ? hands(middle(minutes)) : waits(middle(minutes))
    }
    case 'rest':
      return waits(step.best)
    case 'temper':
      return waits(step.minutes)
    case 'fold':
      return hands(2 * step.times)
    case 'thin':
    case 'pull':
    case 'feed':
      return hands(15)
    case 'roll':
      return hands(Math.max(2, pieces() / ROPES_PER_MIN))
    case 'stamp':
    case 'shape':
      return hands(Math.max(2, pieces() / step.perMin))
    case 'fill':
      return hands(Math.max(2, pieces() / FILL_PER_MIN))
    case 'then':
      return waits(step.minutes[0])
    case 'hold':
    case 'freeze':
    case 'dry':
      return waits(60)
    case 'spread':
      return waits(middle(step.minutes))
    case 'rinse':
      return hands(1)
    case 'drop':
    case 'cook':
      return hands(Math.max(1, middle(plan.minutes.cook)))
    default:
      return unreachable(step)
  }
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
