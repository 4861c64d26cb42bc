/** What a maker reads and types in. Everything is stored in g, mm and °C; these are for the edge only. */
import type { Units } from '../model/index.ts'
import { decimalsOfStep, formatNumber } from './format.ts'

export const CUP_ML = { us: 236.588, metric: 250, imperial: 284.131, japan: 200, china: 240 } as const
export type CupRegion = keyof typeof CUP_ML
export const cupRegions = Object.keys(CUP_ML) as CupRegion[]

export const GRAMS_IN = { g: 1, kg: 1000, oz: 28.349523125, lb: 453.59237 } as const
export const MM_PER_INCH = 25.4

/** A figure as it is shown, and its unit. */
export interface Shown {
  readonly figure: string
  readonly unit: string
}

export const shownText = ({ figure, unit }: Shown): string => `${figure} ${unit}`

/** Decimals of a mass in a unit, so that one step of the scale is never hidden and hardly finer is shown. */
const massDecimals = (unit: Units['mass'], stepG: number): number =>
  unit === 'g' ? decimalsOfStep(stepG) : decimalsOfStep(stepG / GRAMS_IN[unit])

/** @example showMass(452, { mass: 'oz' }) → { figure: '15.94', unit: 'oz' }; showMass(0.3, { mass: 'g' }) → { figure: '0.3', unit: 'g' } */
export const showMass = (grams: number, { mass }: Units, stepG = 1): Shown => ({
  figure: formatNumber(grams / GRAMS_IN[mass], massDecimals(mass, shownStepG(grams, stepG))),
  unit: mass,
})

/** Less than this is arithmetic, g. */
const NOTHING_G = 0.005
/** What is there is never shown as nothing. */
function shownStepG(grams: number, stepG: number): number {
  if (grams < NOTHING_G || grams >= stepG / 2) return stepG
  return grams < 0.095 ? 0.01 : 0.1
}

/** @example showTemperature(38, { temperature: '°F' }) → { figure: '100', unit: '°F' } */
export const showTemperature = (celsius: number, { temperature }: Units, decimals = 0): Shown => ({
  figure: formatNumber(temperature === '°C' ? celsius : toFahrenheit(celsius), decimals),
  unit: temperature,
})

/** °C in °F. @example toFahrenheit(38) → 100.4 */
export const toFahrenheit = (celsius: number): number => (celsius * 9) / 5 + 32
/** °F in °C. @example fromFahrenheit(68) → 20 */
export const fromFahrenheit = (fahrenheit: number): number => ((fahrenheit - 32) * 5) / 9

/** A length in the maker's own unit, whatever its size: for a figure that is typed. */
export function plainLength(mm: number, { length }: Units): Shown {
  if (length === 'mm') return { figure: formatNumber(mm, mm < 10 && mm % 1 !== 0 ? 1 : 0), unit: 'mm' }
  const inches = mm / MM_PER_INCH
  return { figure: formatNumber(inches, inches < 10 ? 2 : inches < 100 ? 1 : 0), unit: 'in' }
}

/** From so many inches on a length is told in feet. */
const FEET_FROM_IN = 60

/** A length the way a bench speaks of it. @example 13 mm, 4.85 m; or 0.51 in, 15.9 ft */
export function showLength(mm: number, units: Units): Shown {
  if (units.length === 'in' && mm / MM_PER_INCH >= FEET_FROM_IN) {
    const feet = mm / MM_PER_INCH / 12
    return { figure: formatNumber(feet, feet < 100 ? 1 : 0), unit: 'ft' }
  }
  return units.length === 'mm' && mm >= 1000
    ? { figure: formatNumber(mm / 1000, 2), unit: 'm' }
    : plainLength(mm, units)
}

/** A gap between rollers, as finely as calipers read it: 1.18 mm, or 0.046 in. */
export const showGap = (mm: number, { length }: Units): Shown =>
  length === 'in'
    ? { figure: formatNumber(mm / MM_PER_INCH, 3), unit: 'in' }
    : { figure: formatNumber(mm, 2), unit: 'mm' }

/** Millilitres, or cups of a region. */
export const showVolume = (ml: number, { volume, cup }: Units): Shown =>
  volume === 'ml'
    ? { figure: formatNumber(ml, 0), unit: 'ml' }
    : { figure: formatNumber(ml / CUP_ML[cup], 2), unit: 'cups' }
