/** A batch is its events, replayed. Nothing here reads a clock: times come with the events. */
import { unreachable } from '../result.ts'
import { bowlOnRule } from './bowl.ts'
import { STEPS, type BenchEvent, type Feel, type Plan, type StepId, type TimerId, type Verdict } from './schema.ts'

export interface Timer {
  readonly startedAt: string
  /** Milliseconds since the epoch, so that sleep and reload change nothing. */
  readonly endsAtMs: number
  readonly minutes: number
  readonly stage: 'running' | 'answered' | 'stopped'
}

export interface Addition {
  readonly at: string
  readonly what: 'water' | 'flour'
  readonly grams: number
  readonly saltG: number
  /** Where the bowl stood on its own rule before and after, percent. */
  readonly from: number
  readonly to: number
}

export interface BenchState {
  readonly weighedG: Readonly<Record<string, number>>
  readonly pouredG: number
  readonly addedFlourG: number
  readonly addedSaltG: number
  /** Every pour and every spoon of flour, in order: the trail of the hydration. */
  readonly additions: readonly Addition[]
  readonly feels: readonly {
    readonly at: string
    readonly feel: Feel
    readonly pouredG: number
    readonly addedFlourG: number
  }[]
  readonly timers: Readonly<Partial<Record<TimerId, Timer>>>
  readonly done: readonly StepId[]
  readonly shapedPieces: number | null
  readonly samples: readonly { readonly at: string; readonly grams: number }[]
  readonly cookedMin: number | null
  readonly verdict: Verdict | null
  readonly notes: readonly { readonly at: string; readonly text: string }[]
  readonly end: { readonly how: 'closed' | 'abandoned'; readonly at: string; readonly reason: string } | null
}

export const untouched: BenchState = {
  weighedG: {},
  pouredG: 0,
  addedFlourG: 0,
  addedSaltG: 0,
  additions: [],
  feels: [],
  timers: {},
  done: [],
  shapedPieces: null,
  samples: [],
  cookedMin: null,
  verdict: null,
  notes: [],
  end: null,
}

const MINUTE_MS = 60_000

function changeTimer(state: BenchState, id: TimerId, change: (timer: Timer) => Timer): BenchState {
  const timer = state.timers[id]
  return timer ? { ...state, timers: { ...state.timers, [id]: change(timer) } } : state
}

function add(
  plan: Plan,
  state: BenchState,
  at: string,
  what: Addition['what'],
  grams: number,
  saltG: number,
): BenchState {
  const next = {
    ...state,
    pouredG: state.pouredG + (what === 'water' ? grams : 0),
    addedFlourG: state.addedFlourG + (what === 'flour' ? grams : 0),
    addedSaltG: state.addedSaltG + saltG,
  }
  const addition = { at, what, grams, saltG, from: bowlOnRule(plan, state), to: bowlOnRule(plan, next) }
  return { ...next, additions: [...state.additions, addition] }
}

/** Total: an event that does not fit leaves the batch as it was, so every stored log replays. */
export function applyEvent(plan: Plan, state: BenchState, event: BenchEvent): BenchState {
  if (state.end) return state
  switch (event.type) {
    case 'weighed':
      return { ...state, weighedG: { ...state.weighedG, [event.row]: event.grams } }
    case 'poured':
      return add(plan, state, event.at, 'water', event.grams, 0)
    case 'added-flour':
      return add(plan, state, event.at, 'flour', event.grams, event.saltG)
    case 'felt': {
      const { pouredG, addedFlourG } = state
      return { ...state, feels: [...state.feels, { at: event.at, feel: event.feel, pouredG, addedFlourG }] }
    }
    case 'timer-started': {
      const endsAtMs = Date.parse(event.at) + event.minutes * MINUTE_MS
      const timer: Timer = { startedAt: event.at, endsAtMs, minutes: event.minutes, stage: 'running' }
      return { ...state, timers: { ...state.timers, [event.timer]: timer } }
    }
    case 'timer-moved':
      return changeTimer(state, event.timer, (timer) => ({
        ...timer,
        endsAtMs: timer.endsAtMs + event.minutes * MINUTE_MS,
        minutes: timer.minutes + event.minutes,
        stage: 'running',
      }))
    case 'timer-answered':
      return changeTimer(state, event.timer, (timer) => ({ ...timer, stage: 'answered' }))
    case 'timer-stopped':
      return changeTimer(state, event.timer, (timer) => ({ ...timer, stage: 'stopped' }))
    case 'step-done':
      return state.done.includes(event.step) ? state : { ...state, done: [...state.done, event.step] }
    case 'shaped':
      return { ...state, shapedPieces: event.pieces }
    case 'sampled':
      return { ...state, samples: [...state.samples, { at: event.at, grams: event.grams }] }
    case 'cooked':
      return { ...state, cookedMin: event.minutes }
    case 'judged':
      return { ...state, verdict: event.verdict }
    case 'noted':
      return { ...state, notes: [...state.notes, { at: event.at, text: event.text }] }
    case 'abandoned':
      return { ...state, end: { how: 'abandoned', at: event.at, reason: event.reason } }
    case 'closed':
      return { ...state, end: { how: 'closed', at: event.at, reason: '' } }
    case 'undone':
      return state
    default:
      return unreachable(event)
  }
}

/** Events still in force, in order: an `undone` event takes back those it names, and can be taken back itself. */
export function standing(events: readonly BenchEvent[]): readonly BenchEvent[] {
  const takenBack = new Set<string>()
  for (const event of [...events].reverse())
    if (event.type === 'undone' && !takenBack.has(event.id)) event.events.forEach((id) => takenBack.add(id))
  return events.filter((event) => event.type !== 'undone' && !takenBack.has(event.id))
}

export const replay = (plan: Plan, events: readonly BenchEvent[]): BenchState =>
  standing(events).reduce((state, event) => applyEvent(plan, state, event), untouched)

/** What one tap recorded carries one time. */
const sameTap = (events: readonly BenchEvent[], at: string | undefined): string[] =>
  events.filter((event) => event.at === at).map((event) => event.id)

/** Ids that an undo would take back now: those of the last tap still standing. */
export function undoable(events: readonly BenchEvent[]): readonly string[] {
  const live = standing(events)
  return sameTap(live, live.at(-1)?.at)
}

/** Ids that a redo would take back now: the last undo, if nothing else has happened since. */
export function redoable(events: readonly BenchEvent[]): readonly string[] {
  const cancelled = new Set<string>()
  for (const event of [...events].reverse()) {
    if (event.type !== 'undone') return []
    if (cancelled.has(event.id)) continue
    const takesBackAnUndo = events.some((other) => other.type === 'undone' && event.events.includes(other.id))
    if (!takesBackAnUndo) return [event.id]
    event.events.forEach((id) => cancelled.add(id))
  }
  return []
}

/** The steps of a batch: a dough without water to pour has no jug to make. */
export function stepsOf({ rows }: Pick<Plan, 'rows'>): readonly StepId[] {
  const pours = rows.some((row) => row.part === 'water' && row.weighedG > 0)
  return pours ? STEPS : STEPS.filter((step) => step !== 'water' && step !== 'pour')
}

/** The first step not yet done; null once all are, or the batch has ended. */
export const currentStep = (plan: Plan, state: BenchState): StepId | null =>
  state.end ? null : (stepsOf(plan).find((step) => !state.done.includes(step)) ?? null)

/** Pours and spoons of flour made because of how the dough felt: those after the first word about it. */
export function corrections({ additions, feels }: BenchState): readonly Addition[] {
  const first = feels[0]
  return first ? additions.filter((addition) => Date.parse(addition.at) >= Date.parse(first.at)) : []
}

/** The last word about the dough, if nothing has been added since: after that it is felt anew. */
export function standingFeel({ feels, pouredG, addedFlourG }: BenchState): Feel | null {
  const last = feels.at(-1)
  return last && last.pouredG === pouredG && last.addedFlourG === addedFlourG ? last.feel : null
}

export const isRinging = (timer: Timer, nowMs: number): boolean => timer.stage === 'running' && nowMs >= timer.endsAtMs
