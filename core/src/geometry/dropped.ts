/** Batter into the pot: how many times it is filled. */
import { HAIR } from './hair.ts'

export interface DroppedRequest {
  readonly doughG: number
  /** Litres of water at the boil. */
  readonly potL: number
  readonly litresPer100G: number
}

/**
 * Equal potfuls, none over what the water bears.
 * @example dropped({ doughG: 1300, potL: 6, litresPer100G: 1 }) → { potfuls: 3, eachG: 433 }
 */
export function dropped({ doughG, potL, litresPer100G }: DroppedRequest): { potfuls: number; eachG: number } {
  const potfuls = Math.max(1, Math.ceil((doughG * litresPer100G) / (100 * potL) - HAIR))
  return { potfuls, eachG: doughG / potfuls }
}
