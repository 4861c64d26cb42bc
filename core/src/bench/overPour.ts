/** More water than all of it: what it does, and the flour that brings the bowl back. */
import { bowlOnRule, bowlWaterG, flourG, waterTargets } from './bowl.ts'
import { saltWithFlour } from './suggest.ts'
import type { BenchState } from './state.ts'
import type { Plan } from '../model/index.ts'

export interface OverPour {
  readonly overG: number
  /** So far above where the formula wants the bowl, on its own rule. */
  readonly points: number
  /** Brings the bowl back, with salt in the formula's proportion. */
  readonly flourG: number
  readonly saltG: number
}

/**
 * Null while `pouredG`, all that will then have gone in, is not more than the jug should hold.
 * Flour to add = F·(W over/W wanted − 1), W being all the water in the bowl: milk and the like count.
 * @example 500 g of flour, 240 g the jug, 264 g poured → 50 g of flour with a tenth of its salt
 */
export function overPour(plan: Plan, state: BenchState, pouredG: number): OverPour | null {
  const { totalG } = waterTargets(plan, state)
  const overG = pouredG - totalG
  if (plan.control.by === 'base' || totalG <= 0 || overG <= plan.scaleStepG / 2) return null
  const wanted = { ...state, pouredG: totalG }
  const over = { ...state, pouredG }
  const share = bowlWaterG(plan, over) / bowlWaterG(plan, wanted) - 1
  const moreG = flourG(plan, state) * share
  return {
    overG,
    points: bowlOnRule(plan, over) - bowlOnRule(plan, wanted),
    flourG: moreG,
    saltG: saltWithFlour(plan, state, moreG),
  }
}
