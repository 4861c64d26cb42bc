/** What each step of the hands and machines works with, of the dough that is really there. */
import type { FilledPieces, RolledSheetPlan } from '../geometry/index.ts'
import { roundHalfUp } from '../formula/index.ts'
import { judgeWindow } from '../match/index.ts'
import {
  filledPieces,
  type Pressed,
  type PressedAs,
  type PressPlan,
  pressPlan,
  type PressTakes,
} from '../sheet/index.ts'
import { benchPieces, bowlReading, waterTargets } from './bowl.ts'
import { mixing } from './lanes.ts'
import { LUMP_G } from './prepared.ts'
import type { BenchState } from './state.ts'
import type { KeptPress, Plan, PlannedStep, StepOf } from '../model/index.ts'

export interface PourGo {
  /** From 1 on, of so many. */
  readonly go: number
  readonly of: number
  /** Still to pour in this go, g; to the step of the scale. */
  readonly leftG: number
}

/** Spoons and cups come no nearer than half a tablespoon, nor to a small pour than a twentieth of it. */
const MEASURED_ML = 7.5
const MEASURED_PART = 1 / 20

/** So little short of what is called is all of it, g: half a step of the scale; without one, what measures cannot tell apart. */
const nearG = (plan: Plan, state: BenchState): number =>
  plan.noScale ? Math.min(MEASURED_ML, MEASURED_PART * waterTargets(plan, state).startG) : plan.scaleStepG / 2

/** Which go of the first pour is now. @example 400 g in two halves, 150 g poured → go 1 of 2, 50 g left */
export function pourGo(plan: Plan, state: BenchState, step: Pick<StepOf<'pour'>, 'goes' | 'how'>): PourGo {
  const { startG } = waterTargets(plan, state)
  // A blade is quicker than a second go.
  const goes = mixing(plan, state).by === 'processor' && step.how !== 'soak' ? [1] : step.goes
  const stepG = plan.scaleStepG
  let untilG = 0
  for (const [index, share] of goes.entries()) {
    untilG += share * startG
    if (state.pouredG < untilG - nearG(plan, state) || index === goes.length - 1)
      return { go: index + 1, of: goes.length, leftG: Math.max(0, roundHalfUp(untilG - state.pouredG, stepG)) }
  }
  return { go: 1, of: 1, leftG: 0 }
}

/** Whether so much water in the bowl, g, is the first pour: all but the hold-back. */
export const isFirstPourIn = (plan: Plan, state: BenchState, inG: number): boolean =>
  inG >= waterTargets(plan, state).startG - nearG(plan, state)

/** Water in the bowl once this step has poured, g: what the semolina gets, or up to the first pour. */
export const pouredUpToG = (plan: Plan, state: BenchState, { goes }: Pick<StepOf<'pour'>, 'goes'>): number =>
  Math.min(
    1,
    goes.reduce((sum, go) => sum + go, 0),
  ) * waterTargets(plan, state).startG

/** Whether so much water in the bowl, g, is all that this step pours. */
export const isPouredNow = (plan: Plan, state: BenchState, step: Pick<StepOf<'pour'>, 'goes'>, inG: number): boolean =>
  inG >= pouredUpToG(plan, state, step) - nearG(plan, state)

/** A lump this far off makes a rope of another thickness, or one of another length. */
const LUMP_TOLERANCE = 0.03

export interface Lumps {
  readonly count: number
  readonly eachG: number
  /** So far off is even enough, g. */
  readonly slackG: number
}

/** No smaller is a ball rolled, however little a hopper takes of crumbs, g. */
const WALNUT_G = 12

/** What one divides into: pieces to be pulled or pinned, one for each sheet, board lengths of rope, or what the hands can take. */
export function lumps(plan: Plan, state: BenchState): Lumps {
  const made = benchPieces(plan, state)
  const isSheeted = made.sheet !== null
  const eachIsAPiece =
    !isSheeted && (plan.shape.blank.type === 'disc' || plan.steps.some((step) => step.kind === 'pull'))
  const press = plan.steps.find((step): step is StepOf<'press'> => step.kind === 'press')?.press
  const ballG = press && Math.max(press.lumpG, WALNUT_G)
  const count = eachIsAPiece
    ? made.pieces
    : (made.sheet?.sheet.sheets ?? made.rope?.ropes ?? Math.ceil(made.usableG / (ballG ?? LUMP_G)))
  const whole = Math.max(1, count)
  const eachG = made.usableG / whole
  return { count: whole, eachG, slackG: Math.max(plan.scaleStepG, LUMP_TOLERANCE * eachG) }
}

export const lumpIsEven = ({ eachG, slackG }: Lumps, grams: number): boolean => Math.abs(grams - eachG) <= slackG

/** Through the roller of the plan, or under the pin; null for what is not cut of a sheet. */
export const rolledSheetAtBench = (plan: Plan, state: BenchState): RolledSheetPlan | null =>
  benchPieces(plan, state).sheet

/** What goes into the hopper as crumbs; scalded and rubbed doughs go through as they are. */
export const isCrumb = (steps: readonly PlannedStep[]): boolean =>
  steps.some((step) => step.kind === 'pour' && (step.how === 'thread' || step.how === 'sprinkle'))

/** How a dough of these steps goes into a press; null for one that is scalded or rubbed, which has its own way. */
export const pressedAs = (steps: readonly PlannedStep[]): PressedAs | null =>
  isCrumb(steps)
    ? 'crumb'
    : steps.some((step) => step.kind === 'pour' && (step.how === 'rake' || step.how === 'fork' || step.how === 'soak'))
      ? 'dough'
      : null

/** Kneaded, and through a press by balls. */
export const pressedKneaded = ({ steps }: Pick<Plan, 'steps'>): boolean =>
  steps.some(({ kind }) => kind === 'press') && pressedAs(steps) === 'dough'

/** How it goes in, and how it suits the press of these steps. */
export function takes(steps: readonly PlannedStep[], press: KeptPress, reading: number): PressTakes | null {
  const as = pressedAs(steps)
  const window = as && press[as]
  return window && { as, window, judged: judgeWindow(reading, window) }
}

/** Through the press of the plan; null without one. */
export function pressAtBench(plan: Plan, state: BenchState, { press }: StepOf<'press'>): PressPlan | null {
  const doughG = benchPieces(plan, state).usableG
  return (
    press &&
    pressPlan(
      { blank: plan.shape.blank, doughG },
      plan.densityGPerCm3,
      press,
      takes(plan.steps, press, bowlReading(plan, state)),
    )
  )
}

/** How it went into its press, and where the bowl stood then, on the scale of the tables; null where it was not pressed. */
export function pressedIn(plan: Plan, state: BenchState): Pressed | null {
  const step = plan.steps.find((each): each is StepOf<'press'> => each.kind === 'press')
  const as = pressedAs(plan.steps)
  if (!step?.press || !as || !state.done.includes(step.id)) return null
  return { press: step.press.id, as, reading: bowlReading(plan, state) - (step.shift ?? 0) }
}

/** Of the pieces that were made, or will be. */
export function fillingAtBench(plan: Plan, state: BenchState, step: StepOf<'fill'>, wallMm: number): FilledPieces {
  const made = benchPieces(plan, state)
  const { pieceG, pieces } = made
  return filledPieces(step, { blank: plan.shape.blank, wallMm }, { pieceG, pieces: state.shapedPieces ?? pieces })
}

/** A cut rim left open dries in about so long in a room: usual practice, no measurement. Min. */
export const RIM_DRIES_MIN = 40

/** How long one pair of hands shapes these pieces, min, where the first rims would dry meanwhile; null where they do not. */
export function rimsDryMeanwhile(pieces: number, perMin: number): number | null {
  const minutes = Math.ceil(pieces / perMin)
  return minutes > RIM_DRIES_MIN ? minutes : null
}

/** So many ropes that wait side by side fuse unless they are dusted. */
const ROPES_FUSE_FROM = 4
export const ropesFuse = (ropes: number): boolean => ropes >= ROPES_FUSE_FROM
