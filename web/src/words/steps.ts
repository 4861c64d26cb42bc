/** What the steps of a batch and its clocks are called. */
import { formatCountdown, type Call, type LiveTimer, type PlannedStep, type StepKind } from '@harina/core'

const kindWords: Readonly<Record<Exclude<StepKind, 'prepare' | 'knead'>, string>> = {
  ready: 'Ready',
  flour: 'Flour',
  water: 'Water',
  pour: 'Pour',
  cool: 'Cool',
  feel: 'Feel',
  crumb: 'Drink',
  rest: 'Rest',
  temper: 'Warm up',
  fold: 'Fold',
  divide: 'Divide',
  thin: 'Thin',
  cut: 'Cut',
  stamp: 'Stamp',
  feed: 'Press',
  roll: 'Roll',
  shape: 'Shape',
  pull: 'Pull',
  fill: 'Fill',
  then: 'Air',
  drop: 'Drop',
  hold: 'Keep',
  freeze: 'Freeze',
  spread: 'Spread',
  rinse: 'Rinse',
  dry: 'Dry',
  cook: 'Cook',
  verdict: 'Verdict',
}
const prepareWords = { steam: 'Steam off', dry: 'Dry off', drain: 'Drain', grate: 'Grate', simmer: 'Simmer' } as const
const kneadWords = {
  push: 'Knead',
  press: 'Press',
  tread: 'Tread',
  twist: 'Twist',
  fold: 'Fold in',
  beat: 'Beat',
  paddle: 'Mix',
  stir: 'Stir',
  draw: 'Thin the rope',
} as const

/** A step in a word. */
export function stepName(step: PlannedStep): string {
  switch (step.kind) {
    case 'prepare':
      return prepareWords[step.what]
    case 'knead':
      return kneadWords[step.how]
    case 'cook':
      return step.how === 'bake' ? 'Bake' : 'Cook'
    default:
      return kindWords[step.kind]
  }
}

/** What a running clock is for. */
export function timerName({ name, id, step }: Pick<LiveTimer, 'name' | 'id' | 'step'>): string {
  if (name !== null) return name
  if (id === 'drink') return 'drinking'
  if (!step) return 'timed'
  switch (step.kind) {
    case 'knead':
      return step.how === 'push' ? 'kneading' : 'working'
    case 'rest':
      return step.cold ? 'in the fridge' : 'resting'
    case 'crumb':
      return 'drinking'
    case 'cool':
      return 'cooling'
    case 'temper':
      return 'warming up'
    case 'then':
      return 'airing'
    case 'drop':
    case 'cook':
      return 'cooking'
    default:
      return stepName(step).toLowerCase()
  }
}

/** What a clock that has run out calls. */
export function timerCall({ name, id, step }: Pick<LiveTimer, 'name' | 'id' | 'step'>): string {
  if (name !== null) return `: ${name}`
  if (id === 'drink') return ' has drunk'
  switch (step?.kind) {
    case 'prepare':
      return ' is ready to weigh'
    case 'cool':
      return ' is hand-warm'
    case 'crumb':
      return ' has drunk'
    case 'knead':
      return step.how === 'push' ? ' is kneaded' : ' is worked'
    case 'rest':
      return ' has rested'
    case 'temper':
      return ' is back from the fridge'
    case 'then':
      return ' has aired'
    case 'drop':
    case 'cook':
      return ' wants tasting'
    default:
      return ' wants you'
  }
}

/** When and what for, in a few words. */
export function callWords({ why, step, timer, atMs }: Call, nowMs: number): string {
  const name = step ? stepName(step).toLowerCase() : ''
  switch (why) {
    case 'rings':
      return `${timer ? timerName(timer) : name}: now`
    case 'hands':
      return `${name}: now`
    case 'timer':
      return `${timer ? timerName(timer) : name} ${formatCountdown(((atMs ?? nowMs) - nowMs) / 1000)}`
    case 'fridge':
      return 'in the fridge'
    case 'paused':
      return 'set aside'
    case 'done':
      return 'done'
  }
}
