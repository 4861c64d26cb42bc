import { fitting, HAIR } from './hair.ts'

export interface RopeRequest {
  readonly doughG: number
  readonly densityGPerCm3: number
  readonly diameterMm: number
  readonly cutMm: number
  readonly boardMm: number
}

export interface Rope {
  readonly pieceG: number
  /** Whole pieces. */
  readonly pieces: number
  /** All of the dough rolled to one rope, mm. */
  readonly ropeMm: number
  /** Board lengths, full or part. */
  readonly ropes: number
  readonly piecesPerBoard: number
  readonly leftoverG: number
}

/** Mass of a cylinder in g: ρ·π/4·d²·L, lengths in mm, density in g/cm³. */
export const cylinderG = (densityGPerCm3: number, diameterMm: number, lengthMm: number): number =>
  (densityGPerCm3 * (Math.PI / 4) * diameterMm ** 2 * lengthMm) / 1000

/**
 * A dough rolled into ropes and cut into pieces.
 * @example rope({ doughG: 998, densityGPerCm3: 1.165, diameterMm: 9, cutMm: 18, boardMm: 600 })
 * → { pieces: 748, pieceG: 1.33, ropes: 23 }
 */
export function rope({ doughG, densityGPerCm3, diameterMm, cutMm, boardMm }: RopeRequest): Rope {
  const pieceG = cylinderG(densityGPerCm3, diameterMm, cutMm)
  const pieces = fitting(doughG, pieceG)
  const ropeMm = doughG / cylinderG(densityGPerCm3, diameterMm, 1)
  return {
    pieceG,
    pieces,
    ropeMm,
    ropes: Math.ceil(ropeMm / boardMm - HAIR),
    piecesPerBoard: fitting(boardMm, cutMm),
    leftoverG: Math.max(0, doughG - pieces * pieceG),
  }
}
