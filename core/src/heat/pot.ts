import { boilingPointC } from './boilingPoint.ts'
import { heatCapacityJ, WATER_J } from './mixing.ts'

export interface PotRequest {
  readonly litres: number
  readonly powerKW: number
  /** Share of the power that reaches the water. */
  readonly efficiency: number
  readonly startC: number
  readonly altitudeM: number
  readonly pastaG: number
  readonly pastaC: number
  readonly pastaMoisture: number
  readonly saltGPerL: number
}

/**
 * Minutes to the boil, how far the pot dips when the pasta goes in at once, and how long it takes to come back.
 * @example 12 L at 12 °C on 3 kW with 900 g of pasta → 35 min, a dip of 3.5 °C, 1.4 min to return
 */
export function pot(request: PotRequest) {
  const { litres, powerKW, efficiency, startC, altitudeM, pastaG, pastaC, pastaMoisture, saltGPerL } = request
  const boilC = boilingPointC(altitudeM)
  const kJPerMinute = powerKW * efficiency * 60
  const waterKJ = litres * WATER_J
  const pastaKJ = (pastaG / 1000) * heatCapacityJ(pastaMoisture)
  const dipC = Math.max(0, (pastaKJ * (boilC - pastaC)) / (waterKJ + pastaKJ))
  return {
    minutesToBoil: Math.max(0, (waterKJ * (boilC - startC)) / kJPerMinute),
    dipC,
    minutesToReturn: ((waterKJ + pastaKJ) * dipC) / kJPerMinute,
    saltG: litres * saltGPerL,
  }
}
