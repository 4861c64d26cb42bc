/** What is in the bowl: flour, water and salt as really weighed and poured. Masses in g, hydrations in percent. */
import { basis14Percent } from '../formula/index.ts'
import type { BenchState } from './fold.ts'
import { pouredWindow } from '../sheet/computeSheet.ts'
import { rope, type Rope, type Window } from '../shape/index.ts'
import type { Plan, PlannedRow } from './schema.ts'

type Contents = Pick<BenchState, 'weighedG' | 'pouredG' | 'addedFlourG' | 'addedSaltG'>

export const asWeighed = ({ weighedG }: Pick<Contents, 'weighedG'>, row: PlannedRow): number =>
  weighedG[row.key] ?? row.weighedG

const rowsOf = (plan: Plan, part: PlannedRow['part']) => plan.rows.filter((row) => row.part === part)

/** Flour from the sack, before any was added to correct. */
export const sackFlourG = (plan: Plan, state: Pick<Contents, 'weighedG'>): number =>
  rowsOf(plan, 'flour').reduce((sum, row) => sum + asWeighed(state, row), 0)

export const flourG = (plan: Plan, state: Contents): number => sackFlourG(plan, state) + state.addedFlourG

export const saltG = (plan: Plan, state: Contents): number =>
  rowsOf(plan, 'salt').reduce((sum, row) => sum + asWeighed(state, row), 0) + state.addedSaltG

/** All that is in the bowl. */
export function doughG(plan: Plan, state: Contents): number {
  const others = rowsOf(plan, 'other').reduce((sum, row) => sum + asWeighed(state, row), 0)
  return flourG(plan, state) + state.pouredG + saltG(plan, state) + others
}

/** The dough that is really there, less what the board keeps, rolled and cut as planned. */
export function benchRope(plan: Plan, state: Contents): Rope & { readonly usableG: number } {
  const usableG = doughG(plan, state) * (1 - plan.sheet.lossPercent / 100)
  const { diameterMm, cutMm } = plan.shape
  const { densityGPerCm3, boardMm } = plan
  return { usableG, ...rope({ doughG: usableG, densityGPerCm3, diameterMm, cutMm, boardMm }) }
}

/** Water from everything that is not flour: poured, and brought by milk, oil and the like. */
export function bowlWaterG(plan: Plan, state: Contents): number {
  const others = plan.rows.filter((row) => row.part === 'other' || row.part === 'salt')
  return state.pouredG + others.reduce((sum, row) => sum + asWeighed(state, row) * row.water, 0)
}

export const effectivePercent = (plan: Plan, state: Contents): number => {
  const flour = flourG(plan, state)
  return flour > 0 ? (100 * bowlWaterG(plan, state)) / flour : 0
}

/** Added flour is taken to be like the flour in the bowl. */
export function bowlBasis14(plan: Plan, state: Contents): number {
  const sack = sackFlourG(plan, state)
  if (sack <= 0) return 0
  const grow = flourG(plan, state) / sack
  const flours = rowsOf(plan, 'flour').map((row) => ({ grams: asWeighed(state, row) * grow, moisture: row.water }))
  return basis14Percent(flours, bowlWaterG(plan, state))
}

export interface WaterTargets {
  readonly totalG: number
  readonly startG: number
  readonly holdBackG: number
  readonly ceilingG: number
}

/** The plan's water for the flour that really went in: a little short in the sack, a little less in the jug. */
export function waterTargets(plan: Plan, state: Pick<Contents, 'weighedG'>): WaterTargets {
  const planned = rowsOf(plan, 'flour').reduce((sum, row) => sum + row.weighedG, 0)
  const share = planned > 0 ? sackFlourG(plan, state) / planned : 1
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
export function planWindow({ hydration, shape }: Plan): Window {
  const slope = (100 + hydration.effective) / (100 + hydration.expected14)
  return pouredWindow({ slope, offset: (slope - 1) * 100 }, shape.window14, hydration.expected14 - hydration.paper14)
}
