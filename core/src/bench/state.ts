/** What a batch's events fold into. */
import type { Feel, Pot, TimerId, Verdict, Worker } from '../model/index.ts'
import type { StepChanges } from './steps.ts'
import type { RackTray } from './trays.ts'

export interface Timer {
  readonly startedAt: string
  /** Milliseconds since the epoch, so that sleep and reload change nothing. */
  readonly endsAtMs: number
  readonly minutes: number
  readonly stage: 'running' | 'answered' | 'stopped'
  /** Of a timer of the maker's own. */
  readonly name: string | null
}

export interface Addition {
  readonly at: string
  readonly what: 'water' | 'flour'
  readonly grams: number
  readonly saltG: number
  /** Taken up from the board, and no correction. */
  readonly board: boolean
  /** Where the bowl stood on its own rule before and after, percent. */
  readonly from: number
  readonly to: number
}

export interface BenchState extends StepChanges {
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
  /** When flour and base were weighed together; null before. */
  readonly flourInAt: string | null
  /** The jar of flour for the board, when last weighed; null before. */
  readonly jarG: number | null
  readonly timers: Readonly<Record<TimerId, Timer>>
  readonly done: readonly string[]
  readonly ticked: readonly string[]
  readonly workedBy: Worker | null
  readonly lumps: readonly { readonly at: string; readonly grams: number }[]
  readonly shapedPieces: number | null
  readonly samples: readonly { readonly at: string; readonly grams: number }[]
  readonly chilled: readonly (StepChanges['chilled'][number] & { readonly at: string })[]
  readonly paused: { readonly at: string; readonly why: string } | null
  readonly hands: { readonly at: string; readonly who: string; readonly word: string; readonly taken: boolean } | null
  /** `keeps`: how much of the first dough this is, all splits together. */
  readonly split: { readonly keeps: number; readonly part: 'kept' | 'taken' } | null
  /** Other shapes of this dough that have gone on as batches of their own. */
  readonly gone: readonly string[]
  /** The one chosen; null is the largest of Gear. */
  readonly pot: Pot | null
  /** Salt in its water, where the maker said another amount than the plan; null while nobody has. */
  readonly potSaltGPerL: number | null
  /** When it is to be up, with whatever else is; null by itself. */
  readonly upAt: string | null
  readonly cookedMin: number | null
  /** The middles of pieces, by thermometer, °C. */
  readonly cores: readonly { readonly at: string; readonly celsius: number }[]
  /** Whether it counts for its flour though it is unlike the others; null while nobody has said. */
  readonly counts: boolean | null
  /** A tray once it was dry, g. */
  readonly driedG: number | null
  readonly trays: readonly RackTray[]
  readonly verdict: Verdict | null
  readonly notes: readonly { readonly at: string; readonly text: string }[]
  readonly end: { readonly how: 'closed' | 'abandoned'; readonly at: string; readonly reason: string } | null
}

export const initialState: BenchState = {
  weighedG: {},
  pouredG: 0,
  addedFlourG: 0,
  addedSaltG: 0,
  additions: [],
  feels: [],
  flourInAt: null,
  jarG: null,
  timers: {},
  done: [],
  ticked: [],
  workedBy: null,
  lumps: [],
  shapedPieces: null,
  samples: [],
  finish: null,
  rolledBy: null,
  afterPot: null,
  skins: null,
  dividedInto: null,
  thinnedMm: null,
  chilled: [],
  paused: null,
  hands: null,
  split: null,
  gone: [],
  pot: null,
  potSaltGPerL: null,
  upAt: null,
  cookedMin: null,
  cores: [],
  counts: null,
  driedG: null,
  trays: [],
  verdict: null,
  notes: [],
  end: null,
}
