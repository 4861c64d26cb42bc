/** How dough holds its water against the air: the durum isotherm, and what drives water off a surface. Pressures in Pa. */

import { henderson } from '../formula/index.ts'
import type { Air } from '../model/index.ts'

/** 1 − a_w = exp(−K (T + C) Mᴺ), T in °C, M in % of dry mass. */
export const DURUM = henderson.durum
const { k: K, n: N, c: C } = DURUM

const KELVIN = 273.15
export const GAS_J_PER_MOL_K = 8.314462
const ATMOSPHERE_PA = 101325
const AIR_KG_PER_MOL = 0.02896
const WATER_KG_PER_MOL = 0.018015
const AIR_J_PER_KG_K = 1006
/** Lewis number of water vapour in air to the two thirds: from carrying heat to carrying vapour. */
const LEWIS = 0.865 ** (2 / 3)

/** °C to K. */
export const kelvin = (celsius: number): number => celsius + KELVIN

/** Water activity of a dough at a dry-basis moisture (kg water on 1 kg dry) and °C; 0 when dry, towards 1 when wet. */
export const waterActivity = (dryBasis: number, celsius: number): number =>
  dryBasis > 0 ? -Math.expm1(-K * (celsius + C) * (100 * dryBasis) ** N) : 0

/** How fast the water activity rises with dry-basis moisture. */
export function waterActivitySlope(dryBasis: number, celsius: number): number {
  if (dryBasis <= 0) return 0
  const percent = 100 * dryBasis
  return Math.exp(-K * (celsius + C) * percent ** N) * K * (celsius + C) * N * percent ** (N - 1) * 100
}

/** Dry-basis moisture that rests in air of this humidity (0 to 100 %, 100 is without end) and °C. */
export const equilibrium = (rhPercent: number, celsius: number): number =>
  (-Math.log(1 - rhPercent / 100) / (K * (celsius + C))) ** (1 / N) / 100

/** Saturation pressure of water, Pa, by Buck's formula: good to 0.1 % from 0 to 100 °C. @example saturationPa(40) → 7382 */
export const saturationPa = (celsius: number): number =>
  611.21 * Math.exp((18.678 - celsius / 234.5) * (celsius / (257.14 + celsius)))

/** Heat carried to a surface, W/m²K. */
export const HEAT_W_PER_M2_K: Readonly<Record<Air, number>> = { still: 5, fan: 15, cabinet: 30 }

/** Vapour carried off a surface, kg/(m²·s·Pa): the analogy of heat and mass in air. */
export function vapourKgPerM2SPa(air: Air, celsius: number): number {
  const t = kelvin(celsius)
  const airKgPerM3 = (ATMOSPHERE_PA * AIR_KG_PER_MOL) / (GAS_J_PER_MOL_K * t)
  return (HEAT_W_PER_M2_K[air] / (airKgPerM3 * AIR_J_PER_KG_K * LEWIS)) * (WATER_KG_PER_MOL / (GAS_J_PER_MOL_K * t))
}

/** Water over what is dry, from water over all of it; both fractions, and back. @example dryBasis(0.125) → 0.1429 */
export const dryBasis = (moisture: number): number => moisture / (1 - moisture)
export const wetBasis = (dry: number): number => (Number.isFinite(dry) ? dry / (1 + dry) : 1)
