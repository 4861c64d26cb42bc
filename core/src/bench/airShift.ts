/** The air of the store now against the air the plan was made in. */
import { storeMoisture, type Climate } from '../formula/index.ts'
import type { Grain, Plan } from '../model/index.ts'

/** Solids of 100 g of the flour that hydrations on the 14 % basis are written for. */
const SOLIDS_14 = 86

/**
 * Water more (or less) for the same dough, g, were the flour's air this all along, and the sack as far on its way to it:
 * `null` where the plan knows of no store, or of no grain. Water on solids is kept: ΔW = −F·Δm·(1 + (h₁₄ + 14)/86).
 * @example 500 g of durum in a sack of unknown age, written for 17 °C and 81 %, now 27 °C and 38 %: some 21 g more
 */
export function airShiftG(plan: Plan, now: Climate, grainOf: (ingredient: string) => Grain | undefined): number | null {
  const { store } = plan
  if (!store || plan.control.by === 'base' || plan.sheet.flourState.by !== 'place') return null
  const onSolids = (plan.hydration.expected14 + 14) / SOLIDS_14
  const shifts = plan.rows
    .filter((row) => row.part === 'flour')
    .flatMap((row) => {
      const grain = grainOf(row.ingredient)
      if (!grain || row.airShare === undefined) return []
      const drier = row.airShare * (storeMoisture(grain, store) - storeMoisture(grain, now))
      return [row.weighedG * drier * (1 + onSolids)]
    })
  return shifts.length === 0 ? null : shifts.reduce((sum, each) => sum + each, 0)
}

/** Points of water on flour below which the jug's own hold-back covers it. */
const TOLD_FROM_POINTS = 0.4

/**
 * Whether so much more or less water, g, is worth a word.
 * @example isAirShiftTold(1, 500) → false; isAirShiftTold(5, 500) → true
 */
export const isAirShiftTold = (shiftG: number, flourG: number): boolean =>
  flourG > 0 && Math.abs((100 * shiftG) / flourG) >= TOLD_FROM_POINTS
