/** Dough round a filling: how much of it, whether a rim is left to seal, how long the skin stands it. */

/** Of a filling that holds its form, g/cm³. */
const FILLING_DENSITY = 1.05
/** Less than this and a rim will not hold. */
export const RIM_MIN_MM = 6
/** The usual rule: an hour behind a wall of 1.2 mm at 60 % moisture; half of that for every 15 points more. */
const HOUR_WALL_MM = 1.2
const HOUR_MOISTURE = 60
const HALVED_BY = 15
const [SHORTEST_MIN, LONGEST_MIN] = [10, 120]

export interface FilledRequest {
  readonly pieces: number
  /** Dough of one piece. */
  readonly doughG: number
  readonly fillingG: number
  /** Percent of its mass. */
  readonly moisturePercent: number
  /** Of the skin, one layer. */
  readonly wallMm: number
  /** Diameter of a round, side of a square. */
  readonly faceMm: number
}

export interface FilledPieces {
  readonly fillingG: number
  readonly pieceG: number
  /** Filling over dough, by mass. */
  readonly ratio: number
  /** As a half ball. */
  readonly moundMm: number
  /** Left to press together once the skin is over the mound, on each side. */
  readonly rimMm: number
  /** Before the skin goes soft, min: a rule of thumb, and never beyond two hours at room heat. */
  readonly softAfterMin: number
}

/**
 * @example filled({ pieces: 100, doughG: 5.2, fillingG: 8, moisturePercent: 60, wallMm: 1.1, faceMm: 70 })
 * → { fillingG: 800, ratio: 1.5, moundMm: 31, rimMm: 11, softAfterMin: 50 }
 */
export function filled(request: FilledRequest): FilledPieces {
  const { pieces, doughG, fillingG, moisturePercent, wallMm, faceMm } = request
  const radiusMm = ((3 * fillingG * 1000) / (2 * Math.PI * FILLING_DENSITY)) ** (1 / 3)
  const softMin = 60 * (wallMm / HOUR_WALL_MM) ** 2 * 2 ** ((HOUR_MOISTURE - moisturePercent) / HALVED_BY)
  return {
    fillingG: pieces * fillingG,
    pieceG: doughG + fillingG,
    ratio: fillingG / doughG,
    moundMm: 2 * radiusMm,
    // From the fold over the mound and down again: a quarter turn on each side.
    rimMm: faceMm / 2 - (Math.PI / 2) * radiusMm,
    softAfterMin: Math.min(LONGEST_MIN, Math.max(SHORTEST_MIN, softMin)),
  }
}
