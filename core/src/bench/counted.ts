/** What a maker counts of a shape: its pieces, or of long strands the portions they are nested in. Nobody counts ribbons. */
import type { Plan } from '../model/index.ts'
import { benchPieces } from './bowl.ts'
import type { BenchState } from './state.ts'

export interface Counted {
  readonly unit: 'piece' | 'portion'
  readonly count: number
  readonly eachG: number
}

/** As it was counted, or as it will come out. */
export function countedOf(plan: Plan, state: BenchState): Counted {
  const { usableG, pieces, pieceG } = benchPieces(plan, state)
  const { portionG } = plan.shape
  const { shapedPieces } = state
  if (portionG === undefined) return { unit: 'piece', count: shapedPieces ?? pieces, eachG: pieceG }
  const count = Math.max(1, shapedPieces ?? Math.round(usableG / portionG))
  return { unit: 'portion', count, eachG: usableG / count }
}

/** What is made of the dough, g: stamped pieces without their scrap, and all of it where nothing is left over. */
export function madeG(plan: Plan, state: BenchState): number {
  const { usableG, sheet } = benchPieces(plan, state)
  if (!sheet?.stamped) return usableG
  const { count, eachG } = countedOf(plan, state)
  return Math.min(usableG, count * eachG)
}
