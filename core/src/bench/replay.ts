/** A batch is its events, replayed. Nothing here reads a clock: times come with the events. */
import { unreachable } from '../result.ts'
import { asWeighed, bowlOnRule } from './bowl.ts'
import { activeEvents } from './history.ts'
import { own, type BenchEvent, type Feel, type Plan, type PlannedStep, type TimerId } from '../model/index.ts'
import { onTheRack } from './trays.ts'
import { initialState, type Addition, type BenchState, type Timer } from './state.ts'
import { stepsNow, type StepChanges } from './steps.ts'

const MINUTE_MS = 60_000

function changeTimer(state: BenchState, id: TimerId, change: (timer: Timer) => Timer): BenchState {
  const timer = own(state.timers, id)
  return timer ? { ...state, timers: { ...state.timers, [id]: change(timer) } } : state
}

/** As far as a date reaches; a log that moves a clock beyond it, again and again, still replays. */
const FARTHEST_MS = 8.64e15
const within = (ms: number): number => Math.min(FARTHEST_MS, Math.max(-FARTHEST_MS, ms))

/** The whole clock of a timer, put later by so much. */
const later = (timer: Timer, byMs: number): Timer => ({
  ...timer,
  startedAt: new Date(within(Date.parse(timer.startedAt) + byMs)).toISOString(),
  endsAtMs: within(timer.endsAtMs + byMs),
})

const changeRunning = (state: BenchState, wanted: (id: TimerId) => boolean, byMs: number): BenchState => ({
  ...state,
  timers: Object.fromEntries(
    Object.entries(state.timers).map(([id, timer]) => [
      id,
      timer.stage === 'running' && wanted(id) ? later(timer, byMs) : timer,
    ]),
  ),
})

function add(
  plan: Plan,
  state: BenchState,
  { at, what, grams, saltG, board }: Pick<Addition, 'at' | 'what' | 'grams' | 'saltG' | 'board'>,
): BenchState {
  const next = {
    ...state,
    pouredG: state.pouredG + (what === 'water' ? grams : 0),
    addedFlourG: state.addedFlourG + (what === 'flour' ? grams : 0),
    addedSaltG: state.addedSaltG + saltG,
  }
  const addition = { at, what, grams, saltG, board, from: bowlOnRule(plan, state), to: bowlOnRule(plan, next) }
  return { ...next, additions: [...state.additions, addition] }
}

/** What the jar has lost is in the dough; what it has gained is a refill. */
function weighJar(plan: Plan, state: BenchState, at: string, grams: number): BenchState {
  const takenG = state.jarG === null ? 0 : state.jarG - grams
  const next = { ...state, jarG: grams }
  return takenG > 0 ? add(plan, next, { at, what: 'flour', grams: takenG, saltG: 0, board: true }) : next
}

/** Everything in the bowl, less by the same share; what was said of it holds for both parts. */
function keepShare(plan: Plan, state: BenchState, keeps: number, part: 'kept' | 'taken'): BenchState {
  const solid = plan.rows.filter((row) => row.part !== 'water')
  return {
    ...state,
    weighedG: Object.fromEntries(solid.map((row) => [row.key, asWeighed(plan, state, row) * keeps])),
    pouredG: state.pouredG * keeps,
    addedFlourG: state.addedFlourG * keeps,
    addedSaltG: state.addedSaltG * keeps,
    additions: state.additions.map((each) => ({ ...each, grams: each.grams * keeps, saltG: each.saltG * keeps })),
    feels: state.feels.map((felt) => ({
      ...felt,
      pouredG: felt.pouredG * keeps,
      addedFlourG: felt.addedFlourG * keeps,
    })),
    shapedPieces: state.shapedPieces === null ? null : Math.round(state.shapedPieces * keeps),
    split: {
      keeps: keeps * (state.split?.keeps ?? 1),
      part: state.split?.part === 'taken' ? 'taken' : part,
    },
  }
}

/** Kneading waits while a batch is paused; dough that rests, drinks or cooks does not. */
const waitsInPause = ({ steps }: Plan, id: TimerId): boolean =>
  steps.some((step) => step.id === id && step.kind === 'knead')

function resume(plan: Plan, state: BenchState, at: string): BenchState {
  if (!state.paused) return state
  const awayMs = Math.max(0, Date.parse(at) - Date.parse(state.paused.at))
  return { ...changeRunning(state, (id) => waitsInPause(plan, id), awayMs), paused: null }
}

/** A dough that has gone on from being felt drinks no longer by the clock. */
function stepDone(plan: Plan, state: BenchState, id: string, at: string): BenchState {
  const done = [...state.done, id]
  const kind = plan.steps.find((step) => step.id === id)?.kind
  if (kind === 'flour') return { ...state, done, flourInAt: at }
  if (kind !== 'feel') return { ...state, done }
  return changeTimer({ ...state, done }, 'drink', (timer) => ({ ...timer, stage: 'stopped' }))
}

/** What is written under a batch after it was closed: it was eaten later. */
const ADDED_LATER: ReadonlySet<BenchEvent['type']> = new Set([
  'flour-counted',
  'dried',
  'judged',
  'noted',
  'tray-moved',
  'tray-turned',
  'tray-weighed',
  'tray-packed',
  'tray-thrown',
])

/** Total: an event that does not fit leaves the batch as it was, so every stored log replays. */
export function applyEvent(plan: Plan, state: BenchState, event: BenchEvent): BenchState {
  if (state.end && !ADDED_LATER.has(event.type)) return state
  const { at } = event
  switch (event.type) {
    case 'weighed':
      return { ...state, weighedG: { ...state.weighedG, [event.row]: event.grams } }
    case 'poured':
      return add(plan, state, { at, what: 'water', grams: event.grams, saltG: 0, board: false })
    case 'added-flour':
      return add(plan, state, { at, what: 'flour', grams: event.grams, saltG: event.saltG, board: false })
    case 'jar-weighed':
      return weighJar(plan, state, at, event.grams)
    case 'felt': {
      const { pouredG, addedFlourG } = state
      return { ...state, feels: [...state.feels, { at, feel: event.feel, pouredG, addedFlourG }] }
    }
    case 'timer-started': {
      const { minutes, name = null } = event
      const endsAtMs = Date.parse(at) + minutes * MINUTE_MS
      const timer: Timer = { startedAt: at, endsAtMs, minutes, stage: 'running', name }
      return { ...state, timers: { ...state.timers, [event.timer]: timer } }
    }
    case 'timer-moved':
      return changeTimer(state, event.timer, (timer) => ({
        ...timer,
        endsAtMs: within(timer.endsAtMs + event.minutes * MINUTE_MS),
        minutes: timer.minutes + event.minutes,
        stage: 'running',
      }))
    case 'timer-answered':
      return changeTimer(state, event.timer, (timer) => ({ ...timer, stage: 'answered' }))
    case 'timer-stopped':
      return changeTimer(state, event.timer, (timer) => ({ ...timer, stage: 'stopped' }))
    case 'clock-set':
      return changeRunning(state, () => true, event.shiftMs)
    case 'step-done':
      return state.done.includes(event.step) ? state : stepDone(plan, state, event.step, at)
    case 'ticked': {
      const others = state.ticked.filter((item) => item !== event.item)
      return { ...state, ticked: event.on ? [...others, event.item] : others }
    }
    case 'worked-by':
      return { ...state, workedBy: event.by }
    case 'rolled-by':
      return { ...state, rolledBy: { roller: event.roller }, thinnedMm: null }
    case 'pot-salted':
      return { ...state, potSaltGPerL: event.gPerL }
    case 'after-pot':
      return { ...state, afterPot: event.how }
    case 'skins-kept':
      return { ...state, skins: event.finish }
    case 'divided':
      return { ...state, dividedInto: event.pieces }
    case 'thinned':
      return { ...state, thinnedMm: event.mm }
    case 'lumped':
      return { ...state, lumps: [...state.lumps, { at, grams: event.grams }] }
    case 'shaped':
      return { ...state, shapedPieces: event.pieces }
    case 'sampled':
      return { ...state, samples: [...state.samples, { at, grams: event.grams }] }
    case 'finish-chosen':
      return { ...state, finish: event.finish }
    case 'chilled': {
      const before = currentStep(plan, state)
      return before
        ? {
            ...state,
            chilled: [...state.chilled, { at, before: before.id, minutes: event.minutes, thawH: event.thawH ?? null }],
          }
        : state
    }
    case 'paused':
      return state.paused ? state : { ...state, paused: { at, why: event.why } }
    case 'resumed':
      return resume(plan, state, at)
    case 'handed-over':
      return { ...state, hands: { at, who: event.to, word: event.word, taken: false } }
    case 'taken-on':
      return state.hands ? { ...state, hands: { ...state.hands, taken: true } } : state
    case 'split':
      return {
        ...keepShare(plan, state, event.keeps, event.part),
        gone: event.shape === undefined ? state.gone : [...state.gone, event.shape],
      }
    case 'pot-chosen':
      return { ...state, pot: event.pot }
    case 'up-at':
      return { ...state, upAt: event.upAt }
    case 'cooked':
      return { ...state, cookedMin: event.minutes }
    case 'core-measured':
      return { ...state, cores: [...state.cores, { at, celsius: event.celsius }] }
    case 'flour-counted':
      return { ...state, counts: event.counts }
    case 'dried':
      return { ...state, driedG: event.grams }
    case 'tray-laid':
    case 'tray-moved':
    case 'tray-turned':
    case 'tray-weighed':
    case 'tray-packed':
    case 'tray-thrown':
      return { ...state, trays: onTheRack(state.trays, event) }
    case 'judged':
      return { ...state, verdict: event.verdict }
    case 'noted':
      return { ...state, notes: [...state.notes, { at, text: event.text }] }
    case 'abandoned':
      return { ...state, end: { how: 'abandoned', at, reason: event.reason } }
    case 'closed':
      return { ...state, end: { how: 'closed', at, reason: '' } }
    case 'amended':
    case 'undone':
      return state
    default:
      return unreachable(event)
  }
}

/** Where a batch stands: its events from the first on, without those taken back. What makes no sense where it stands is passed over. */
export const replay = (plan: Plan, events: readonly BenchEvent[]): BenchState =>
  activeEvents(events).reduce((state, event) => applyEvent(plan, state, event), initialState)

/** The steps of a batch, as what happened has left them. */
export const stepsOf = ({ steps }: Pick<Plan, 'steps'>, state: StepChanges): readonly PlannedStep[] =>
  stepsNow(steps, state)

/** The first step not yet done; null once all are, or the batch has ended. */
export const currentStep = (plan: Plan, state: BenchState): PlannedStep | null =>
  state.end ? null : (stepsOf(plan, state).find((step) => !state.done.includes(step.id)) ?? null)

/** Pours and spoons of flour made because of how the dough felt: those after the first word about it. */
export function corrections({ additions, feels }: Pick<BenchState, 'additions' | 'feels'>): readonly Addition[] {
  const first = feels[0]
  return first ? additions.filter((addition) => !addition.board && Date.parse(addition.at) >= Date.parse(first.at)) : []
}

/** The last word about the dough, if nothing has been added since: after that it is felt anew. */
export function standingFeel({ feels, pouredG, addedFlourG }: BenchState): Feel | null {
  const last = feels.at(-1)
  return last && last.pouredG === pouredG && last.addedFlourG === addedFlourG ? last.feel : null
}

export const isRinging = (timer: Timer, nowMs: number): boolean => timer.stage === 'running' && nowMs >= timer.endsAtMs

export interface LiveTimer extends Timer {
  readonly id: TimerId
  /** What it runs for; null for a covered dough and for a timer of the maker's own. */
  readonly step: PlannedStep | null
}

/** Timers that run, soonest first; those held by a pause are not among them. */
export function liveTimers(plan: Plan, state: BenchState): readonly LiveTimer[] {
  const steps = stepsOf(plan, state)
  return Object.entries(state.timers)
    .filter(([id, { stage }]) => stage === 'running' && !(state.paused && waitsInPause(plan, id)))
    .map(([id, timer]) => ({ ...timer, id, step: steps.find((step) => step.id === id) ?? null }))
    .sort((a, b) => a.endsAtMs - b.endsAtMs)
}
