/** What the steps of a batch and its clocks are called: one entry a kind. */
import {
  formatCountdown,
  isCookery,
  type AfterPot,
  type Call,
  type LiveTimer,
  type PlannedStep,
  type StepKind,
  type StepOf,
} from '@harina/core'

type Said<K extends StepKind> = string | ((step: StepOf<K>) => string)

interface StepWords<K extends StepKind> {
  /** The step in a word. */
  readonly name: Said<K>
  /** What its clock is for; its name where nothing is said. */
  readonly clock?: Said<K>
  /** What its clock calls once it has run out, after the name of the batch. */
  readonly rung?: Said<K>
}

const prepareNames: Readonly<Record<StepOf<'prepare'>['what'], string>> = {
  steam: 'Steam off',
  dry: 'Dry off',
  drain: 'Drain',
  grate: 'Grate',
  simmer: 'Simmer',
  boil: 'Boil',
  'boil-peeled': 'Boil',
  steamer: 'Steam',
  bake: 'Bake',
  roast: 'Roast',
  microwave: 'Cook',
  rice: 'Rice',
}
/** What is cooked is tried with a knife; what has steamed, dried or drained is weighed. */
const prepareRung = (what: StepOf<'prepare'>['what']): string =>
  isCookery(what) ? ' wants the knife' : what === 'rice' ? ' wants you' : ' is ready to weigh'
const kneadNames = {
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

const afterNames: Readonly<Record<Exclude<AfterPot, 'plain'>, { name: string; clock: string; rung: string }>> = {
  rinse: { name: 'Rinse', clock: 'rinsing', rung: ' is cold' },
  ice: { name: 'Ice bath', clock: 'in the ice', rung: ' is cold' },
  toss: { name: 'Toss', clock: 'tossing', rung: ' is coated' },
  butter: { name: 'Butter', clock: 'browning', rung: ' is brown' },
  cream: { name: 'Cream', clock: 'reducing', rung: ' coats the spoon' },
  brown: { name: 'Brown', clock: 'browning', rung: ' wants turning' },
}

export const stepWords: { readonly [K in StepKind]: StepWords<K> } = {
  ready: { name: 'Ready' },
  prepare: { name: ({ what }) => prepareNames[what], rung: ({ what }) => prepareRung(what) },
  flour: { name: ({ id, rows }) => (rows ? (id === 'flour' ? 'Semolina' : 'Flour') : 'Flour') },
  water: { name: ({ of }) => of?.split(',')[0] ?? 'Water' },
  pour: { name: ({ how }) => (how === 'soak' ? 'Wet' : 'Pour') },
  cool: { name: 'Cool', clock: 'cooling', rung: ' is hand-warm' },
  feel: { name: 'Feel' },
  drink: {
    name: ({ of }) => (of ? 'Soak' : 'Drink'),
    clock: ({ of }) => (of ? 'soaking' : 'drinking'),
    rung: ({ of }) => (of ? ' has soaked' : ' has drunk'),
  },
  knead: {
    name: ({ how }) => kneadNames[how],
    clock: ({ how }) => (how === 'push' ? 'kneading' : 'working'),
    rung: ({ how }) => (how === 'push' ? ' is kneaded' : ' is worked'),
  },
  rest: { name: 'Rest', clock: ({ cold }) => (cold ? 'in the fridge' : 'resting'), rung: ' has rested' },
  temper: { name: 'Warm up', clock: 'warming up', rung: ' is back from the fridge' },
  thaw: { name: 'Thaw', clock: 'thawing', rung: ' has thawed' },
  fold: { name: 'Fold' },
  divide: { name: 'Divide' },
  thin: { name: 'Thin' },
  airSheet: { name: 'Air sheet', clock: 'airing', rung: ' is leathery' },
  cut: { name: 'Cut' },
  stamp: { name: 'Stamp' },
  press: { name: 'Press' },
  roll: { name: 'Roll' },
  shape: { name: 'Shape' },
  pull: { name: 'Pull' },
  fill: { name: 'Fill' },
  air: { name: 'Air', clock: 'airing', rung: ' has aired' },
  drop: { name: 'Drop', clock: 'cooking', rung: ' wants tasting' },
  hold: { name: 'Keep' },
  freeze: { name: 'Freeze' },
  spread: { name: 'Spread' },
  rinse: {
    name: ({ how }) => afterNames[how ?? 'rinse'].name,
    clock: ({ how }) => afterNames[how ?? 'rinse'].clock,
    rung: ({ how }) => afterNames[how ?? 'rinse'].rung,
  },
  dry: { name: 'Dry' },
  cook: { name: ({ how }) => (how === 'bake' ? 'Bake' : 'Cook'), clock: 'cooking', rung: ' wants tasting' },
  verdict: { name: 'Verdict' },
}

function said(step: PlannedStep, what: keyof StepWords<StepKind>): string | undefined {
  const words = stepWords[step.kind][what] as Said<StepKind> | undefined
  return typeof words === 'function' ? words(step) : words
}

/** A step in a word. */
export const stepName = (step: PlannedStep): string => said(step, 'name') ?? step.kind

type Clock = Pick<LiveTimer, 'name' | 'id' | 'step'>

/** What a running clock is for. */
export function timerName({ name, id, step }: Clock): string {
  if (name !== null) return name
  if (id === 'drink') return 'drinking'
  return step ? (said(step, 'clock') ?? stepName(step).toLowerCase()) : 'timed'
}

/** What a clock that has run out calls. */
export function timerCall({ name, id, step }: Clock): string {
  if (name !== null) return `: ${name}`
  if (id === 'drink') return ' has drunk'
  return (step && said(step, 'rung')) ?? ' wants you'
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
      return step?.kind === 'thaw' ? 'in the freezer' : 'in the fridge'
    case 'paused':
      return 'set aside'
    case 'done':
      return 'done'
  }
}
