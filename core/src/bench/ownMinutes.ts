/** What this maker really took over kneading, resting and shaping, where the batch came out well: offered beside the table's. */
import type { BenchEvent, Plan, PlannedStep, Worker } from '../model/index.ts'
import { kneading } from './lanes.ts'
import type { BenchState } from './state.ts'

/** One figure of a batch: what of, as `minutesKey` says, and minutes, or pieces a minute. */
export interface OwnFigure {
  readonly key: string
  readonly value: number
}

export interface OwnMinutes {
  readonly value: number
  /** Batches it is the middle of. */
  readonly n: number
}

/** Whose hands: of a batch that was handed over, theirs. */
const whoAt = (hands: BenchState['hands']): string => hands?.who ?? ''

/** The pot's own times are a shape's, whoever stands by it. */
export const boilKey = (shape: string): string => `boil ${shape}`
export const paceKey = (shape: string, hands: BenchState['hands']): string => `pace ${shape} ${whoAt(hands)}`

/** What a step's minutes are remembered by: the dough, how and by what it is worked, warm or cold, and whose hands. Null where they are not. */
export function minutesKey(plan: Plan, step: PlannedStep, by: Worker, hands: BenchState['hands']): string | null {
  const { dough } = plan.sheet
  if (step.kind === 'knead') return `knead ${dough} ${step.id} ${step.how} ${by} ${whoAt(hands)}`
  if (step.kind === 'rest' && step.of !== 'pieces')
    return `rest ${dough} ${step.id} ${step.cold ? 'cold' : 'warm'} ${whoAt(hands)}`
  return null
}

/** A clock that was left to ring for longer than this tells of the cook, not of the dough. Times its minutes. */
const FORGOTTEN = 2
/** Shaping is not timed; between two steps it tells something from here to here, min. */
const SHAPING_MIN = [2, 180] as const

const minutesBetween = (from: string, to: string): number => (Date.parse(to) - Date.parse(from)) / 60_000

/** How long a step's clock really ran, min; null where none ran, or nobody came. */
function ranMin({ timers }: BenchState, entries: readonly BenchEvent[], id: string): number | null {
  const clock = timers[id]
  const stopped = entries.filter((each) => each.type === 'timer-stopped' && each.timer === id).at(-1)
  if (!clock || !stopped) return null
  const ran = minutesBetween(clock.startedAt, stopped.at)
  return ran >= clock.minutes / FORGOTTEN && ran <= clock.minutes * FORGOTTEN ? ran : null
}

/** Minutes of each step that ran by a clock and pieces a minute, of a batch that was good to eat. */
export function ownFigures(plan: Plan, state: BenchState, entries: readonly BenchEvent[]): readonly OwnFigure[] {
  if (state.verdict !== 'good' && state.verdict !== 'very-good') return []
  const timed = plan.steps.flatMap((step): OwnFigure[] => {
    const by = step.kind === 'knead' ? kneading(plan, state, step).by : 'hand'
    const key = minutesKey(plan, step, by, state.hands)
    const ran = key === null ? null : ranMin(state, entries, step.id)
    return key === null || ran === null ? [] : [{ key, value: Number(ran.toFixed(1)) }]
  })
  const doneAt = (kind: PlannedStep['kind']) => {
    const id = plan.steps.find((step) => step.kind === kind)?.id
    return entries.find((each) => each.type === 'step-done' && each.step === id)?.at
  }
  const before = doneAt('roll') ?? doneAt('divide')
  const shaped = doneAt('shape')
  const took = before && shaped ? minutesBetween(before, shaped) : 0
  const pieces = state.shapedPieces ?? plan.shape.pieces
  const isTold = took >= SHAPING_MIN[0] && took <= SHAPING_MIN[1] && entries.every(({ type }) => type !== 'paused')
  return isTold
    ? [...timed, { key: paceKey(plan.shape.id, state.hands), value: Number((pieces / took).toFixed(1)) }]
    : timed
}

/** So many of the last batches; older hands were others. */
const LAST = 8

interface Told {
  readonly atMs: number
  readonly end: 'closed' | 'abandoned' | null
  readonly own?: readonly OwnFigure[]
}

/** The middle of the last batches that say it, since it was last forgotten; null where none does. @example 10, 12, 13 min → 12 by 3 */
export function ownMinutes(ended: readonly Told[], key: string, forgotAt: string | undefined): OwnMinutes | null {
  const sinceMs = forgotAt === undefined ? -Infinity : Date.parse(forgotAt)
  const values = [...ended]
    .sort((a, b) => a.atMs - b.atMs)
    .flatMap(({ atMs, end, own }) => (end === 'closed' && atMs > sinceMs ? (own ?? []) : []))
    .flatMap((figure) => (figure.key === key ? [figure.value] : []))
    .slice(-LAST)
    .sort((a, b) => a - b)
  const half = Math.floor(values.length / 2)
  const middle = values.length % 2 === 1 ? values[half] : ((values[half - 1] ?? 0) + (values[half] ?? 0)) / 2
  return values.length === 0 || middle === undefined ? null : { value: middle, n: values.length }
}
