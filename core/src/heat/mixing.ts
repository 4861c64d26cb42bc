/** Heat balances of mixing: Σ m·c·T is the same before and after. Masses g, temperatures °C, heat capacities J/g·K. */
import { ok, problem, type Result } from '../result.ts'
import { boilingPointC } from './boilingPoint.ts'

export const WATER_J = 4.18
const SOLIDS_J = 1.42
const FAT_J = 2.0
const ICE_J = 2.05
const MELTING_J_PER_G = 334

/** From this dough temperature on, starch gels; it begins to swell at 55 to 60 °C. */
export const GELS_C = 65

/**
 * Heat capacity of a food, J/g·K, by its water and fat (fractions of mass), the rest as solids: 4.18, 2.0 and 1.42.
 * @example heatCapacityJ(0.14) → 1.81
 */
export const heatCapacityJ = (water: number, fat = 0): number =>
  SOLIDS_J * (1 - water - fat) + WATER_J * water + FAT_J * fat

export interface OtherPart {
  readonly grams: number
  readonly celsius: number
  readonly water: number
  readonly fat: number
}

export interface WaterTemperatureRequest {
  readonly flourG: number
  readonly flourC: number
  readonly flourMoisture: number
  readonly waterG: number
  readonly others: readonly OtherPart[]
  /** How much kneading warms the whole dough. */
  readonly frictionC: number
  readonly targetC: number
  readonly altitudeM: number
  readonly tapC?: number | undefined
  readonly iceC: number
}

export interface WaterTemperature {
  /** Not clamped: it may be below freezing or above the boil. */
  readonly waterC: number
  readonly feasible: boolean
  /** The nearest dough temperature that water can reach, where the wanted one is out of reach. */
  readonly reachableC?: number
  /** Ice that stands in for part of the water, when the tap is too warm; ice and tap are the water. */
  readonly iceG?: number
}

/**
 * The water's temperature for a wanted dough temperature.
 * @example 385 g flour at 10.4 °C and 11.6 %, 142 g water, 9 °C of friction, target 34 °C → 41.5 °C
 */
export function waterTemperature(request: WaterTemperatureRequest): WaterTemperature {
  const { waterG, frictionC, targetC, altitudeM, tapC, iceC } = request
  const parts = heatsBeside(request)
  const mixedC = targetC - frictionC
  const waterHeat = waterG * WATER_J
  const waterC = mixedC + parts.reduce((sum, part) => sum + part.heat * (mixedC - part.celsius), 0) / waterHeat
  const boilC = boilingPointC(altitudeM)
  const feasible = waterC >= 0 && waterC <= boilC
  const iceG =
    tapC !== undefined && tapC > waterC
      ? (waterHeat * (tapC - waterC)) / (WATER_J * tapC + MELTING_J_PER_G - ICE_J * iceC)
      : undefined
  return {
    waterC,
    feasible,
    ...(feasible ? {} : { reachableC: kneadedC(request, waterC < 0 ? 0 : boilC) }),
    ...(iceG !== undefined && iceG <= waterG ? { iceG } : {}),
  }
}

type Mixed = Pick<WaterTemperatureRequest, 'flourG' | 'flourC' | 'flourMoisture' | 'waterG' | 'others' | 'frictionC'>

/** What is in the bowl beside the water: its heat in J/K, and how warm it is. */
const heatsBeside = ({ flourG, flourC, flourMoisture, others }: Mixed) => [
  { heat: flourG * heatCapacityJ(flourMoisture), celsius: flourC },
  ...others.map((part) => ({ heat: part.grams * heatCapacityJ(part.water, part.fat), celsius: part.celsius })),
]

/** How warm a dough is once it is kneaded, by the water that went in, °C: the way back of `waterTemperature`. */
export function kneadedC(mixed: Mixed, waterC: number): number {
  const all = [{ heat: mixed.waterG * WATER_J, celsius: waterC }, ...heatsBeside(mixed)]
  const heat = all.reduce((sum, part) => sum + part.heat, 0)
  return all.reduce((sum, part) => sum + part.heat * part.celsius, 0) / heat + mixed.frictionC
}

/** Cold and hot water that mix to a wanted temperature. Problems: `jugs-out-of-reach`. */
export function twoJugs(
  waterG: number,
  wantedC: number,
  coldC: number,
  hotC: number,
): Result<{ coldG: number; hotG: number }> {
  if (coldC >= hotC || wantedC < coldC || wantedC > hotC)
    return problem('jugs-out-of-reach', 'wantedC', { coldC, hotC })
  const hotG = (waterG * (wantedC - coldC)) / (hotC - coldC)
  return ok({ coldG: waterG - hotG, hotG })
}

export interface ScaldRequest {
  readonly flourG: number
  readonly flourC: number
  readonly flourMoisture: number
  readonly waterG: number
  readonly waterC: number
}

/**
 * Where hot water on flour lands.
 * @example scald({ flourG: 1000, flourC: 20, flourMoisture: 0.14, waterG: 600, waterC: 100 }) → { doughC: 66.5, starchGels: true }
 */
export function scald({ flourG, flourC, flourMoisture, waterG, waterC }: ScaldRequest) {
  const flourHeat = flourG * heatCapacityJ(flourMoisture)
  const waterHeat = waterG * WATER_J
  const doughC = (flourHeat * flourC + waterHeat * waterC) / (flourHeat + waterHeat)
  return { doughC, starchGels: doughC >= GELS_C }
}
