import { fitting, HAIR } from './hair.ts'

export interface RolledSheetRequest {
  readonly doughG: number
  readonly densityGPerCm3: number
  readonly thicknessMm: number
  readonly widthMm: number
  /** What arms, or the bench, can handle in one piece. */
  readonly maxLengthMm: number
  /** Divided into so many, whatever their length. */
  readonly sheets?: number | null
  /** From strand to strand. */
  readonly cutterPitchMm?: number | undefined
}

export interface RolledSheet {
  /** All of it in one piece. */
  readonly lengthMm: number
  readonly areaCm2: number
  /** Equal pieces, none longer than `maxLengthMm`. */
  readonly sheets: number
  readonly sheetLengthMm: number
  /** Whole strands in the width. */
  readonly strandsPerSheet?: number
}

/**
 * A dough rolled out: length = mass/(ρ·t·width).
 * @example rolledSheet({ doughG: 2839, densityGPerCm3: 1.224, thicknessMm: 0.8, widthMm: 140, maxLengthMm: 700 })
 * → { lengthMm: 20_709, sheets: 30, sheetLengthMm: 690 }
 */
export function rolledSheet(request: RolledSheetRequest): RolledSheet {
  const { doughG, densityGPerCm3, thicknessMm, widthMm, maxLengthMm, cutterPitchMm } = request
  const lengthMm = (1000 * doughG) / (densityGPerCm3 * thicknessMm * widthMm)
  const sheets = request.sheets ?? Math.max(1, Math.ceil(lengthMm / maxLengthMm - HAIR))
  return {
    lengthMm,
    areaCm2: (lengthMm * widthMm) / 100,
    sheets,
    sheetLengthMm: lengthMm / sheets,
    ...(cutterPitchMm === undefined ? {} : { strandsPerSheet: fitting(widthMm, cutterPitchMm) }),
  }
}
