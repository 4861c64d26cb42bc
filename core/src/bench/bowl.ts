/** What is in the bowl: flour, water and salt as really weighed and poured. Masses in g, hydrations in percent. */
import { basis14Percent } from '../formula/index.ts'
import type { BenchState } from './state.ts'
import { stepsNow, type StepChanges } from './steps.ts'
import { pouredWindow } from '../sheet/index.ts'
import { piecesOf, type Pieces, type Rolling } from '../shape/index.ts'
import { DRIED_MOISTURE, own, type Plan, type PlannedRow, type StepOf, type Window } from '../model/index.ts'

type Contents = Pick<BenchState, 'weighedG' | 'pouredG' | 'addedFlourG' | 'addedSaltG'>

type Weighed = Pick<Contents, 'weighedG'>

const NOTHING_YET: Contents = { weighedG: {}, pouredG: 0, addedFlourG: 0, addedSaltG: 0 }

const rowsOf = (plan: Plan, part: PlannedRow['part']) => plan.rows.filter((row) => row.part === part)
const sumG = (rows: readonly PlannedRow[], of: (row: PlannedRow) => number) =>
  rows.reduce((sum, row) => sum + of(row), 0)

/** What goes into the bowl first of a row; the rest of a flour may wait for the feel. */
export const firstG = ({ weighedG, heldG = 0 }: PlannedRow): number => weighedG - heldG

/**
 * What went on the scale of the flour, or of the base, over what was planned of it: with a little short in the sack the rest
 * of the formula follows. 1 before anything was weighed.
 */
export function weighedShare(plan: Plan, { weighedG }: Weighed): number {
  const anchors = rowsOf(plan, plan.control.by === 'base' ? 'base' : 'flour').filter(
    (row) => own(weighedG, row.key) !== undefined,
  )
  const planned = sumG(anchors, firstG)
  return planned > 0 ? sumG(anchors, (row) => own(weighedG, row.key) ?? 0) / planned : 1
}

/** As it was weighed, or as it will be for what already is in the bowl, g. */
export const asWeighed = (plan: Plan, state: Weighed, row: PlannedRow): number =>
  own(state.weighedG, row.key) ?? firstG(row) * weighedShare(plan, state)

/** Flour from the sack, before any was added to correct. */
export const sackFlourG = (plan: Plan, state: Weighed): number =>
  sumG(rowsOf(plan, 'flour'), (row) => asWeighed(plan, state, row))

/** Flour that is to wait beside the bowl for the feel, g. */
export const heldFlourG = (plan: Plan, state: Weighed): number =>
  sumG(rowsOf(plan, 'flour'), (row) => row.heldG ?? 0) * weighedShare(plan, state)

/** All flour in the bowl, g: the sack’s and what was added to correct. */
export const flourG = (plan: Plan, state: Contents): number => sackFlourG(plan, state) + state.addedFlourG

/** All salt in the bowl, g. */
export const saltG = (plan: Plan, state: Contents): number =>
  sumG(rowsOf(plan, 'salt'), (row) => asWeighed(plan, state, row)) + state.addedSaltG

/** The cooked potato, curd or milk that the flour is counted on. */
export const baseG = (plan: Plan, state: Weighed): number =>
  sumG(rowsOf(plan, 'base'), (row) => asWeighed(plan, state, row))

/** Rows that go in whole, beside flour, water and salt. */
const rest = (plan: Plan) => plan.rows.filter((row) => ['base', 'alkali', 'other'].includes(row.part))

/** All that is in the bowl. */
export function doughG(plan: Plan, state: Contents): number {
  const others = sumG(rest(plan), (row) => asWeighed(plan, state, row))
  return flourG(plan, state) + state.pouredG + saltG(plan, state) + others
}

/** All of the dough less what is lost on the way, g. */
export const usableDoughG = (plan: Plan, state: Contents): number =>
  doughG(plan, state) * (1 - plan.sheet.lossPercent / 100)

/** Of the dough that is still here, so much is this share of the plan: shapes that were divided off have taken theirs. */
export function shareOfLeft({ also }: Plan, { gone }: Pick<BenchState, 'gone'>, share: number): number {
  const left = also.reduce((sum, other) => (gone.includes(other.id) ? sum - other.share : sum), 1)
  return left > 1e-9 ? Math.min(1, share / left) : 1
}

/** The batch's own shape's. */
const ownShare = (plan: Plan, state: Pick<BenchState, 'gone'>): number => shareOfLeft(plan, state, plan.shape.share)

/** The dough that is really there, less what is lost on the way and what goes into other shapes, cut as planned. */
export function benchPieces(
  plan: Plan,
  state: Contents & StepChanges & Pick<BenchState, 'gone'>,
): Pieces & { readonly usableG: number } {
  const usableG = usableDoughG(plan, state) * ownShare(plan, state)
  const { blank } = plan.shape
  return { usableG, ...piecesOf(blank, usableG, plan.densityGPerCm3, plan.boardMm, rollingOf(plan, state)) }
}

/** Through the roller of the plan, or by its pin; null for a dough that is not sheeted. */
function rollingOf(plan: Plan, state: Contents & StepChanges): Rolling | null {
  const thin = stepsNow(plan.steps, state).find((step): step is StepOf<'thin'> => step.kind === 'thin')
  if (!thin) return null
  // Before the water is in, the dough is as it was planned.
  const isMixed = plan.control.by === 'base' || state.pouredG > 0
  const hydrationPercent = isMixed ? bowlBasis14(plan, state) : plan.hydration.expected14
  const { roller, belt, folds } = thin
  return { roller, belt, folds, hydrationPercent, sheets: state.dividedInto, thinnedMm: state.thinnedMm }
}

/** Water in 1 g of what is poured: less than 1 where milk is the liquid. */
function pouredWater(plan: Plan): number {
  const poured = rowsOf(plan, 'water')
  const grams = poured.reduce((sum, row) => sum + row.weighedG, 0)
  return grams > 0 ? poured.reduce((sum, row) => sum + row.weighedG * row.water, 0) / grams : 1
}

/** Water from everything that is not flour: poured, and brought by milk, potato and the like. */
export function bowlWaterG(plan: Plan, state: Contents): number {
  const others = [...rest(plan), ...rowsOf(plan, 'salt')]
  return state.pouredG * pouredWater(plan) + sumG(others, (row) => asWeighed(plan, state, row) * row.water)
}

/** All water but the flour’s own, percent of the flour in the bowl; 0 without flour. */
export const effectivePercent = (plan: Plan, state: Contents): number => {
  const flour = flourG(plan, state)
  return flour > 0 ? (100 * bowlWaterG(plan, state)) / flour : 0
}

/** Where the bowl stands on its own rule: water on flour, or flour on the base. Percent. */
export function bowlOnRule(plan: Plan, state: Contents): number {
  if (plan.control.by === 'hydration') return effectivePercent(plan, state)
  const base = baseG(plan, state)
  return base > 0 ? (100 * flourG(plan, state)) / base : 0
}

/** Where the plan itself stands on that rule: all weighed and poured as written. */
export const plannedOnRule = (plan: Plan): number =>
  plan.control.by === 'hydration'
    ? plan.hydration.effective
    : bowlOnRule(plan, { ...NOTHING_YET, addedFlourG: heldFlourG(plan, NOTHING_YET) })

/** Where the bowl stands once the first pour is in, and what is held back still waits for the feel. Percent on its rule. */
export function firstPour(plan: Plan, state: Contents): number {
  if (plan.control.by === 'base')
    return plannedOnRule(plan) - (100 * heldFlourG(plan, NOTHING_YET)) / Math.max(1e-9, baseG(plan, NOTHING_YET))
  return bowlOnRule(plan, { ...state, pouredG: waterTargets(plan, state).startG })
}

/** Where it stands once what was held back is in as well. Percent on its rule. */
export const withHeldBack = (plan: Plan, state: Contents): number =>
  plan.control.by === 'base' || heldFlourG(plan, state) > 0
    ? plannedOnRule(plan)
    : bowlOnRule(plan, { ...state, pouredG: waterTargets(plan, state).totalG })

/** What still stands beside the bowl, g: plain water, or flour for a base. Null where nothing was held back. */
export function heldBack(
  plan: Plan,
  state: Contents,
): { readonly what: 'water' | 'flour'; readonly leftG: number } | null {
  const heldG = heldFlourG(plan, state)
  if (plan.control.by === 'base' || heldG > 0)
    return heldG > 0 ? { what: 'flour', leftG: Math.max(0, heldG - state.addedFlourG) } : null
  const { startG, totalG } = waterTargets(plan, state)
  return totalG > startG ? { what: 'water', leftG: totalG - Math.max(startG, Math.min(totalG, state.pouredG)) } : null
}

/** Added flour is taken to be like the flour in the bowl. */
export function bowlBasis14(plan: Plan, state: Contents): number {
  const sack = sackFlourG(plan, state)
  if (sack <= 0) return 0
  const grow = flourG(plan, state) / sack
  const flours = rowsOf(plan, 'flour').map((row) => ({
    grams: asWeighed(plan, state, row) * grow,
    moisture: row.water,
  }))
  return basis14Percent(flours, bowlWaterG(plan, state))
}

/** Where the bowl stands on the scale the tables are written in: 14 % basis less the lot's own thirst, or flour on the base. */
export const bowlReading = (plan: Plan, state: Contents): number =>
  plan.control.by === 'base'
    ? bowlOnRule(plan, state)
    : bowlBasis14(plan, state) - (plan.hydration.expected14 - plan.hydration.paper14)

export interface WaterTargets {
  readonly totalG: number
  readonly startG: number
  readonly holdBackG: number
  readonly ceilingG: number
}

/** The plan's water for the flour that really went in: a little short in the sack, a little less in the jug. */
export function waterTargets(plan: Plan, state: Weighed): WaterTargets {
  const share = weighedShare(plan, state)
  const { startG, holdBackG, ceilingG } = plan.water
  return {
    totalG: (startG + holdBackG) * share,
    startG: startG * share,
    holdBackG: holdBackG * share,
    ceilingG: ceilingG * share,
  }
}

/**
 * The shape's window on the rule of this bowl. Poured and 14 % basis lie on one straight line for one flour, and both of
 * the plan's figures are on it: (100 + poured) = slope × (100 + 14 % basis).
 */
export function planWindow({ control, hydration, shape }: Plan): Window {
  if (control.by === 'base') return shape.window
  const slope = (100 + hydration.effective) / (100 + hydration.expected14)
  return pouredWindow({ slope, offset: (slope - 1) * 100 }, shape.window, hydration.expected14 - hydration.paper14)
}

/** Water in the dough that is there, flour's own and all, as a fraction of its mass. */
export function doughMoisture(plan: Plan, state: Contents): number {
  const sack = sackFlourG(plan, state)
  const grow = sack > 0 ? flourG(plan, state) / sack : 1
  const inFlour = sumG(rowsOf(plan, 'flour'), (row) => asWeighed(plan, state, row) * row.water) * grow
  const whole = doughG(plan, state)
  return whole > 0 ? (inFlour + bowlWaterG(plan, state)) / whole : 0
}

/** Flour taken up from the board, all told, and what it did to the rule, points. */
export function boardFlour({ additions }: Pick<BenchState, 'additions'>): { grams: number; points: number } {
  const taken = additions.filter(({ board }) => board)
  return {
    grams: taken.reduce((sum, each) => sum + each.grams, 0),
    points: taken.reduce((sum, each) => sum + each.to - each.from, 0),
  }
}

/** What its last tray is dried to, fraction of mass. */
export const driedTo = ({ trays }: Pick<BenchState, 'trays'>): number => trays.at(-1)?.layout.target ?? DRIED_MOISTURE

/** What so much of this dough weighs once it is dry enough to be packed: its solids over what they then are of it. */
export const driedG = (plan: Plan, state: Contents & Pick<BenchState, 'trays'>, freshG: number): number =>
  (freshG * (1 - doughMoisture(plan, state))) / (1 - driedTo(state))
