/** A batch told in full for its page, and in a few figures for lists, searches and what its flour has taught. */
import { own, type Batch, type BenchEvent, type Feel, type Finish, type Plan, type Verdict } from '../model/index.ts'
import { SD_IN_BAND, type Taught } from '../lot/index.ts'
import { lotKey, type Kitchen, type Pressed, type Proven } from '../sheet/index.ts'
import { cookNow } from './cookNow.ts'
import { madeG } from './counted.ts'
import { bowlBasis14, bowlOnRule, bowlReading } from './bowl.ts'
import { pressedIn, pressedKneaded } from './making.ts'
import { corrections, replay } from './replay.ts'
import { activeEvents } from './history.ts'
import { ownFigures, type OwnFigure } from './ownMinutes.ts'
import type { BenchState } from './state.ts'
import { beforeParts, partOfBatch, type PartOfDough } from './split.ts'
import type { RackTray } from './trays.ts'

export interface BatchStory {
  readonly id: string
  readonly plan: Plan
  readonly state: BenchState
  /** What was recorded and not taken back, in order, as it was put right. */
  readonly entries: readonly BenchEvent[]
  /** Hydration in the bowl at the end, percent on the 14 % basis. */
  readonly basis14: number
  /** Where the bowl ended on its own rule. */
  readonly onRule: number
  readonly lastFeel: Feel | null
  /** Accepted as right minus what the table asks of that dough, shape and flour, points on the 14 % basis. */
  readonly thirst: number | null
  readonly corrections: number
}

/**
 * What lists need of a batch that has ended. It follows from the batch and is kept beside it, so that ten thousand batches
 * can be listed, searched and learned from without reading one of them whole.
 */
export interface BatchSummary extends Pick<BatchStory, 'id' | 'onRule' | 'lastFeel' | 'thirst'> {
  /** How far the figures of its thirst may be off, as after cups: sd, points. */
  readonly offSd?: number
  /** The maker's word on it, where it is unlike the other batches of its flour. */
  readonly counts?: boolean
  readonly atMs: number
  readonly name: string
  readonly formula: string | null
  readonly dough: string
  readonly shape: string
  /** `lotKey` of its flours. */
  readonly flour: string
  /** Where its flour stood; null where its moisture was typed. */
  readonly store: Taught['store']
  /** Its rule counts flour on a base. */
  readonly onBase: boolean
  readonly pouredG: number
  readonly scaleStepG: number
  readonly end: 'closed' | 'abandoned' | null
  readonly verdict: Verdict | null
  /** It was called right, though it may say nothing of its flour. */
  readonly wasRight: boolean
  /** A part of that dough, and what for; nothing of a whole one. */
  readonly part?: PartOfDough & { readonly grams: number; readonly finish: Finish | null }
  /** What it says of its shape in the pot and on the rack; nothing where it says nothing. */
  readonly taught?: ShapeTaught
  /** What its maker took over it, where it was good to eat. */
  readonly own?: readonly OwnFigure[]
  /** How wet it went through its press. */
  readonly pressed?: Pressed
  /** Where it stood when it was called right, and came out well. */
  readonly proven?: Proven
  /** What is stored of it cannot be shown; it can be saved as a file. */
  readonly unreadable?: true
  /** What else it may be looked for by: what went in, where the flour stood, what was said of it. */
  readonly words: string
}

/** How long a shape really took, where that was right to eat; and its trays that were weighed. */
export interface ShapeTaught {
  /** Its identifier. */
  readonly shape: string
  readonly pot?: {
    readonly finish: Finish | null
    /** As the plan had it, for a fresh piece. */
    readonly cook: readonly [number, number]
    readonly minutes: number
  }
  readonly trays?: readonly RackTray[]
}

/** Raised when a summary holds something else than before: those kept in a browser are then made anew. */
export const SUMMARY_VERSION = 8

/**
 * The bowl as it was accepted: when it was last called right; or, where another word came after and was answered, as that answer
 * left it. Null if it never was.
 */
export function acceptedBowl(state: BenchState): Pick<BenchState, 'pouredG' | 'addedFlourG'> | null {
  const last = state.feels.at(-1)
  const right = state.feels.filter((felt) => felt.feel === 'right').at(-1)
  if (!last || !right) return null
  if (last.feel === 'right') return right
  const answered = corrections(state).some(({ at }) => Date.parse(at) > Date.parse(last.at))
  return answered ? { pouredG: state.pouredG, addedFlourG: state.addedFlourG } : null
}

/** The 14 % basis hydration at which the dough was accepted; null if it never was. */
function accepted14(plan: Plan, state: BenchState): number | null {
  const bowl = acceptedBowl(state)
  return bowl && bowlBasis14(plan, { ...state, ...bowl })
}

/**
 * What a batch says of its flour: against the table's best for that dough, shape and flour, never against what a recipe or a hand
 * has written. A part carved off says nothing that the first part does not; one called poor teaches nothing.
 */
function thirstOf(plan: Plan, state: BenchState): number | null {
  const accepted = accepted14(plan, state)
  if (accepted === null || plan.control.by === 'base' || state.split?.part === 'taken') return null
  // How soft it is kneaded for a press is the press's, and the maker's.
  if (pressedKneaded(plan)) return null
  return state.verdict === 'poor' ? null : accepted - plan.shape.window.best
}

/** Half of how far apart a recipe's cups may be, as one sd of the bowl's hydration, points; rows that were weighed are sure. */
function offSdOf(plan: Plan, state: BenchState): number {
  // Without a scale nothing is sure, whatever was typed.
  const sure = (key: string) => !plan.noScale && own(state.weighedG, key) !== undefined
  const spread = (part: 'flour' | 'other') =>
    plan.sheet.rows.reduce((sum, { key, unsure: read }) => {
      const unsure = read ?? (plan.noScale ? plan.rows.find((each) => each.key === key)?.filled : undefined)
      const row = plan.rows.find((each) => each.key === key)
      const isFlour = row?.part === 'flour'
      if (!row || !unsure || sure(key) || isFlour !== (part === 'flour')) return sum
      return sum + (row.weighedG * (isFlour ? 1 : row.water) * (unsure.high - unsure.low)) / 2
    }, 0)
  const flourG = plan.rows.reduce((sum, row) => (row.part === 'flour' ? sum + row.weighedG : sum), 0)
  if (flourG <= 0) return 0
  return (100 / flourG / SD_IN_BAND) * Math.hypot((spread('flour') * plan.hydration.effective) / 100, spread('other'))
}

/** A batch read back: where it ended on the rule, how its flour drank, points of hydration; null where that is not known. */
export function storyOf({ id, plan, events }: Batch): BatchStory {
  const state = replay(plan, events)
  return {
    id,
    plan,
    state,
    entries: activeEvents(events),
    basis14: bowlBasis14(plan, state),
    onRule: bowlOnRule(plan, state),
    lastFeel: state.feels.at(-1)?.feel ?? null,
    thirst: thirstOf(plan, state),
    corrections: corrections(state).length,
  }
}

/** What was called right and was good to eat stands where it stood, whatever the table says of it. */
function provenBy(plan: Plan, state: BenchState): { proven?: Proven } {
  const { verdict } = state
  const bowl = acceptedBowl(state)
  if (!bowl || (verdict !== 'good' && verdict !== 'very-good')) return {}
  const fromBest = bowlReading(plan, { ...state, ...bowl }) - plan.shape.window.best
  return { proven: { dough: plan.sheet.dough, shape: plan.shape.id, fromBest } }
}

/** A time in the pot counts where it was good to eat; a tray where the scale followed it. */
function taughtOf(plan: Plan, state: BenchState): { taught?: ShapeTaught } {
  const { finish, cookedMin, verdict, trays } = state
  const isGood = verdict === 'good' || verdict === 'very-good'
  const weighed = trays.filter((tray) => tray.weighed.length > 0)
  const pot =
    cookedMin !== null && cookedMin > 0 && isGood
      ? { pot: { finish, cook: cookNow(plan, state), minutes: cookedMin } }
      : {}
  const rack = weighed.length > 0 ? { trays: weighed } : {}
  return 'pot' in pot || 'trays' in rack ? { taught: { shape: plan.shape.id, ...pot, ...rack } } : {}
}

/** What lists, learning and stock need of a batch, so that they need not read it whole. */
export function summarise(batch: Batch): BatchSummary {
  const { plan, state, entries, onRule, lastFeel, thirst } = storyOf(batch)
  const part = partOfBatch(entries)
  const { sheet } = plan
  const offSd = thirst === null ? 0 : offSdOf(plan, state)
  const pressed = pressedIn(plan, state)
  const figures = ownFigures(plan, state, entries)
  return {
    id: batch.id,
    atMs: Date.parse(plan.at),
    name: sheet.name,
    formula: plan.formula,
    dough: sheet.dough,
    shape: plan.shape.name,
    flour: lotKey(sheet.rows),
    store: sheet.flourState.by === 'place' ? plan.store : null,
    onBase: plan.control.by === 'base',
    onRule,
    lastFeel,
    thirst,
    ...(offSd > 0 ? { offSd } : {}),
    ...(thirst !== null && state.counts !== null ? { counts: state.counts } : {}),
    pouredG: replay(plan, beforeParts(entries)).pouredG,
    scaleStepG: plan.scaleStepG,
    end: state.end?.how ?? null,
    verdict: state.verdict,
    wasRight: acceptedBowl(state) !== null,
    ...(part ? { part: { ...part, grams: madeG(plan, state), finish: state.finish ?? state.skins } } : {}),
    ...taughtOf(plan, state),
    ...(figures.length > 0 ? { own: figures } : {}),
    ...(pressed ? { pressed } : {}),
    ...provenBy(plan, state),
    words: [
      plan.store?.name ?? '',
      ...plan.rows.map((row) => row.name),
      ...state.notes.map((note) => note.text),
      state.end?.reason ?? '',
    ]
      .join(' ')
      .toLowerCase(),
  }
}

/** For a batch that no schema takes: named, and nothing else is made up. */
export const unreadableSummary = (id: string, name: string, atMs: number): BatchSummary => ({
  id,
  atMs,
  name: name.slice(0, 120),
  formula: null,
  dough: '',
  shape: '',
  flour: '',
  store: null,
  onBase: false,
  onRule: 0,
  lastFeel: null,
  thirst: null,
  pouredG: 0,
  scaleStepG: 1,
  end: null,
  verdict: null,
  wasRight: false,
  unreadable: true,
  words: '',
})

/** Batches that came out well, and ended. */
export const provenWell = (batches: readonly Pick<BatchSummary, 'proven' | 'end'>[]): readonly Proven[] =>
  batches.flatMap(({ proven, end }) => (proven && end === 'closed' ? [proven] : []))

/** What went through presses and was not called poor: what each of them takes. */
export const pressedWell = (
  batches: readonly Pick<BatchSummary, 'pressed' | 'end' | 'verdict'>[],
): readonly Pressed[] =>
  batches.flatMap(({ pressed, end, verdict }) => (pressed && end === 'closed' && verdict !== 'poor' ? [pressed] : []))

/** Observations of each flour's thirst, oldest first, by `lotKey`: what the next plan starts from. */
export function thirstByLot(
  batches: readonly Pick<
    BatchSummary,
    'id' | 'atMs' | 'dough' | 'flour' | 'thirst' | 'offSd' | 'counts' | 'store' | 'end'
  >[],
  doughs: Kitchen['doughs'],
): ReadonlyMap<string, readonly Taught[]> {
  const byLot = new Map<string, Taught[]>()
  for (const { id, atMs, dough, flour, thirst, offSd = 0, counts, store, end } of [...batches].sort(
    (a, b) => a.atMs - b.atMs,
  )) {
    if (flour === '' || thirst === null || end !== 'closed') continue
    const known = byLot.get(flour)
    const taught: Taught = {
      batch: id,
      atMs,
      points: thirst,
      offSd,
      ...(counts === undefined ? {} : { counts }),
      family: doughs.get(dough)?.family ?? dough,
      store,
    }
    if (known) known.push(taught)
    else byLot.set(flour, [taught])
  }
  return byLot
}
