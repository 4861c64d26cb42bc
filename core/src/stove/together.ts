/** Baskets one beside the other: turn after turn, and up together. */
import type { BenchState, Timer } from '../bench/index.ts'
import type { BenchAction, Shape, StepOf } from '../model/index.ts'

/** From the clock's end to the plate, min: lifted and drained. */
export const DRAIN_MIN = 0.5

export interface Load {
  readonly span: readonly [number, number]
  /** How often the pot is filled with it. */
  readonly turns: number
  /** Until the boil is back after a turn is out, min. */
  readonly returnMin: number
}

const middle = ([from, to]: Load['span']): number => (from + to) / 2
/** Between the end of one clock and the start of the next. */
const between = ({ returnMin }: Pick<Load, 'returnMin'>): number => DRAIN_MIN + returnMin

/** Minutes from the first drop to the plate. @example lengthMin({ span: [3, 3], turns: 2, returnMin: 1 }) → 8 */
export const lengthMin = (load: Load): number =>
  load.turns * middle(load.span) + (load.turns - 1) * between(load) + DRAIN_MIN

/** When a basket goes in so as to be up at this time, ms. */
export const dropAt = (load: Load, upAtMs: number): number => upAtMs - lengthMin(load) * 60_000

export interface Dropped<B> {
  readonly load: B
  readonly beforeMin: number
}

/** Time to get ready before the first goes in, min. */
const READY_MIN = 0.25

/** When all can be up at the soonest, ms: the longest of them decides. */
export const soonestUp = ({ beforeMin }: Pick<Dropped<unknown>, 'beforeMin'>, nowMs: number): number =>
  nowMs + (READY_MIN + beforeMin) * 60_000

/**
 * Several that come up together: each goes in so long before as its turns cook and drain; the middle of its span. Longest first.
 * @example upTogether([7, 3].map((min) => ({ span: [min, min], turns: 1, returnMin: 1 })))
 * → [{ beforeMin: 7.5 }, { beforeMin: 3.5 }]
 */
export const upTogether = <B extends Load>(baskets: readonly B[]): readonly Dropped<B>[] =>
  baskets.map((load) => ({ load, beforeMin: lengthMin(load) })).sort((a, b) => b.beforeMin - a.beforeMin)

/**
 * For how long a turn's clock runs when it goes in now, so that the last of them is up with the others: what is left of the
 * time in equal parts, never out of its own span.
 * @param turn from 1
 */
export function clockFor(load: Load, turn: number, upAtMs: number, nowMs: number): number {
  const [from, to] = load.span
  const still = load.turns - turn + 1
  const cooking = (upAtMs - nowMs) / 60_000 - DRAIN_MIN - (still - 1) * between(load)
  return Math.min(to, Math.max(from, cooking / still))
}

export interface Turn {
  /** From 1. */
  readonly turn: number
  readonly fromMs: number
  readonly toMs: number
}

/** The turns of one on a line of time, from its first drop on. */
export const turnsOn = (load: Load, firstMs: number, from = 1): readonly Turn[] =>
  Array.from({ length: load.turns - from + 1 }, (_, n) => {
    const fromMs = firstMs + n * (middle(load.span) + between(load)) * 60_000
    return { turn: from + n, fromMs, toMs: fromMs + middle(load.span) * 60_000 }
  })

export interface InPot {
  /** The turn that is in, or goes in next; from 1. */
  readonly turn: number
  /** Its clock; null while nothing is in. */
  readonly clock: Timer | null
}

const ticksOf = ({ ticked }: Pick<BenchState, 'ticked'>, step: string) =>
  ticked.filter((item) => item.startsWith(`${step}-`)).length

/** How far a step in the pot is: turns that are out are ticked, as `drop-1`. */
export function inPot(state: Pick<BenchState, 'ticked' | 'timers'>, step: string): InPot {
  const clock = state.timers[step]
  return { turn: ticksOf(state, step) + 1, clock: clock && clock.stage !== 'stopped' ? clock : null }
}

/** What is recorded when a turn that is not the last comes out. */
export const turnOut = (step: string, turn: number): readonly BenchAction[] => [
  { type: 'timer-stopped', timer: step },
  { type: 'ticked', item: `${step}-${turn}`, on: true },
]

/** Whether saying that it floats would end its clock sooner. */
export const mayFloat = (
  { clock, afterFloatMin }: { readonly clock: Timer | null; readonly afterFloatMin: number | null },
  nowMs: number,
): boolean => clock !== null && afterFloatMin !== null && afterFloatMin < (clock.endsAtMs - nowMs) / 60_000

/** They float: the clock now ends so many minutes on, and still counts from when they went in. */
export const floated = (step: string, { endsAtMs }: Timer, afterMin: number, nowMs: number): BenchAction => ({
  type: 'timer-moved',
  timer: step,
  minutes: afterMin - (endsAtMs - nowMs) / 60_000,
})

/** The school's half a minute or so, where the shape has no time of its own. */
const AFTER_RISING_MIN = 2 / 3

/** Minutes after they rise at which they are done; null where they do not rise, or nobody goes by it. */
export function afterFloatOf(
  { done, afterFloatMin: asked }: Pick<StepOf<'drop' | 'cook'>, 'done' | 'afterFloatMin'>,
  { afterFloatMin }: Pick<Shape, 'afterFloatMin'>,
): number | null {
  if (done === 'taste' || done === 'clock') return null
  if (done === 'float') return 0
  if (done === 'after' && asked) return asked
  if (!afterFloatMin) return done === 'after' ? AFTER_RISING_MIN : null
  return middle(afterFloatMin)
}
