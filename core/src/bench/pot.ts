/** Water for what is cooked now, and in how many turns the largest pot of the kitchen takes it. */
import { dropped } from '../geometry/index.ts'
import type { Plan } from '../model/index.ts'
import type { BenchState } from './state.ts'

/** Higher than this it boils over: water, of what the pot holds. */
const FILLED = 0.75
/** Less is too shallow to float in, litres. */
const LEAST_L = 2

export interface PotTurns {
  /** Water, each turn. */
  readonly litres: number
  readonly saltG: number
  readonly turns: number
  /** Dough, each turn. */
  readonly eachG: number
  /** What the pot holds. */
  readonly potL: number
}

/** The pot of a plan, as salty as it is wanted today. */
export const potNow = (
  { pot }: Pick<Plan, 'pot'>,
  { potSaltGPerL }: Pick<BenchState, 'potSaltGPerL'>,
): Plan['pot'] => ({
  ...pot,
  saltGPerL: potSaltGPerL ?? pot.saltGPerL,
})

/** Water of a pot that is no fuller than it may be, litres. @example waterOfPot(8) → 6 */
export const waterOfPot = (potL: number): number => FILLED * potL

/**
 * Litres are whole, rounded up, but never over what the pot may hold.
 * @example potTurns(1300, { litresPer100G: 1, saltGPerL: 10 }, 8) → { turns: 3, eachG: 433, litres: 5, saltG: 50 }
 */
export function potTurns(
  doughG: number,
  { litresPer100G, saltGPerL }: Pick<Plan['pot'], 'litresPer100G' | 'saltGPerL'>,
  potL: number,
): PotTurns {
  const waterL = waterOfPot(potL)
  const { potfuls: turns, eachG } = dropped({ doughG, potL: waterL, litresPer100G })
  const litres = Math.min(waterL, Math.ceil(Math.max(LEAST_L, (litresPer100G * eachG) / 100) - 1e-9))
  return { litres, saltG: litres * saltGPerL, turns, eachG, potL }
}
