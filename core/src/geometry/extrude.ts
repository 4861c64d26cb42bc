import { fitting } from './hair.ts'

export interface ExtrudeRequest {
  readonly doughG: number
  readonly densityGPerCm3: number
  /** Of all holes together. */
  readonly openAreaMm2: number
  readonly holes: number
  /** Of the strand as it leaves. */
  readonly speedMmPerS: number
  readonly cutMm: number
  /** Diameter of the strand over that of the hole. */
  readonly swell: number
  /** What is fed at a time. */
  readonly lumpG: number
}

export interface Extruded {
  readonly massFlowGPerMin: number
  readonly pieceG: number
  readonly piecesPerMin: number
  /** Whole pieces. */
  readonly pieces: number
  readonly runMin: number
  readonly lumpEveryS: number
}

/**
 * A run through a die: mass flow = open area · swell² · speed · ρ, a piece from each hole at every cut.
 * @example extrude({ doughG: 1000, densityGPerCm3: 1.3, openAreaMm2: 30, holes: 10, speedMmPerS: 20, cutMm: 25, swell: 1.1, lumpG: 50 })
 * → { massFlowGPerMin: 56.6, piecesPerMin: 480, pieceG: 0.118 }
 */
export function extrude(request: ExtrudeRequest): Extruded {
  const { doughG, densityGPerCm3, openAreaMm2, holes, speedMmPerS, cutMm, swell, lumpG } = request
  const gPerMm = (densityGPerCm3 * openAreaMm2 * swell ** 2) / 1000
  const massFlowGPerMin = gPerMm * speedMmPerS * 60
  const pieceG = (gPerMm * cutMm) / holes
  return {
    massFlowGPerMin,
    pieceG,
    piecesPerMin: (holes * speedMmPerS * 60) / cutMm,
    pieces: fitting(doughG, pieceG),
    runMin: doughG / massFlowGPerMin,
    lumpEveryS: (60 * lumpG) / massFlowGPerMin,
  }
}
