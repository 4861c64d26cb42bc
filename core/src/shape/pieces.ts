/** How many pieces a dough makes, whatever they are cut from. */
import { blankG } from './blank.ts'
import type { Blank } from '../model/index.ts'
import { rope, type Rope } from '../geometry/index.ts'

export interface Pieces {
  readonly pieceG: number
  /** Whole pieces. */
  readonly pieces: number
  readonly leftoverG: number
  /** How the ropes lie on the board, where there are any. */
  readonly rope: Rope | null
}

/** A dough that makes a whole number to within a rounding error does make it. */
const HAIR = 1e-9

export function piecesOf(blank: Blank, doughG: number, densityGPerCm3: number, boardMm: number): Pieces {
  const pieceG = blankG(densityGPerCm3, blank)
  const pieces = Math.floor(doughG / pieceG + HAIR)
  const { type } = blank
  return {
    pieceG,
    pieces,
    leftoverG: Math.max(0, doughG - pieces * pieceG),
    rope:
      type === 'rope'
        ? rope({ doughG, densityGPerCm3, diameterMm: blank.diameterMm, cutMm: blank.cutMm, boardMm })
        : null,
  }
}
