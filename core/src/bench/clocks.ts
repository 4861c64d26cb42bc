/** How long a step's clock is set for, and which clocks start of themselves as the step before them ends. */
import { AFTER_POT_MIN, type BenchAction, type BenchEvent, type Plan, type PlannedStep } from '../model/index.ts'
import { leftAt, offeredBack, offeredRest } from './account.ts'
import type { Left } from '../safety/index.ts'
import { kneading } from './lanes.ts'
import { replay, stepsOf } from './replay.ts'
import type { BenchState } from './state.ts'

/** The middle of a span, to the quarter of a minute where it is short. */
function middleMin([low, high]: readonly [number, number]): number {
  const minutes = (low + high) / 2
  return Math.max(0.25, minutes < 2 ? Math.round(minutes * 4) / 4 : Math.round(minutes))
}

/** What the clock of a step is set to, min, with so much left to lie; 0 for one without, and where no time is left. */
export function clockMinutes(plan: Plan, state: BenchState, step: PlannedStep, left: Left): number {
  switch (step.kind) {
    case 'knead':
      return middleMin(kneading(plan, state, step).minutes)
    case 'prepare':
    case 'airSheet':
    case 'drink':
      return middleMin(step.minutes)
    case 'spread':
      return step.minutes[0]
    case 'cool':
      return step.minutes
    case 'rest':
      return offeredRest(step, left).best
    case 'rinse':
      return step.how ? AFTER_POT_MIN[step.how] : 0
    case 'thaw':
      return 60 * step.hours
    case 'temper':
      return Math.max(1, offeredBack(step, left))
    default:
      return 0
  }
}

/** These go on from the step before without anything being fetched or set up: not into the fridge, nor to the fire. */
const followsAtOnce = (step: PlannedStep): boolean =>
  step.kind === 'knead'
    ? step.how !== 'stir'
    : step.kind === 'drink' || step.kind === 'cool' || step.kind === 'airSheet' || (step.kind === 'rest' && !step.cold)

/** The clock that starts as this step ends, so that one press is enough for both; null where none does. */
export function clockThatFollows(
  plan: Plan,
  events: readonly BenchEvent[],
  doneId: string,
  atMs: number,
): BenchAction | null {
  const state = replay(plan, events)
  const steps = stepsOf(plan, state)
  const next = steps[steps.findIndex(({ id }) => id === doneId) + 1]
  if (!next || !followsAtOnce(next) || state.timers[next.id] || state.done.includes(next.id)) return null
  const minutes = clockMinutes(plan, state, next, leftAt(plan, events, atMs))
  return minutes > 0 ? { type: 'timer-started', timer: next.id, minutes } : null
}
