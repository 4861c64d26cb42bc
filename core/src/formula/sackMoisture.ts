/** How damp flour is in its sack: on the way from what it came with towards the air it stands in. */
import type { Grain, Packing } from '../model/index.ts'
import { storeMoisture, type Climate } from './storeMoisture.ts'

/** Days in which a sack goes about two thirds of the way to the air's own moisture; a lined or lidded one never does. */
const TIME_CONSTANT_DAYS: Readonly<Record<Packing, number>> = {
  'open-bin': 5,
  'small-paper': 30,
  'paper-sack': 120,
  sealed: Infinity,
}
/** Flour as it is packed, fraction of mass, unless its label says otherwise. */
export const PACKED_MOISTURE = 0.135
/** Of a sack nobody knows the age of: a third of the way. */
export const UNKNOWN_AGE_SHARE = 0.35
/** How far off that third may be, one standard deviation. */
export const UNKNOWN_AGE_SHARE_SD = 0.2

export interface Stay extends Climate {
  /** How long it stood in this air; unknown where it is left out. */
  readonly days?: number | undefined
}

export interface SackMoistureRequest {
  readonly grain: Grain
  readonly packing: Packing
  /** Fraction of mass. */
  readonly startMoisture: number
  /** Oldest first. */
  readonly stays: readonly Stay[]
}

export interface SackMoisture {
  /** After the last stay, fraction of mass. */
  readonly moisture: number
  /** Where the last stay's air would lead it in the end. */
  readonly equilibrium: number
}

/** Of the way to equilibrium that a stay takes a sack: 1 − e^(−days/τ). @example shareOfTheWay('small-paper', 30) → 0.63 */
export const shareOfTheWay = (packing: Packing, days: number | undefined): number =>
  packing === 'sealed' ? 0 : days === undefined ? UNKNOWN_AGE_SHARE : 1 - Math.exp(-days / TIME_CONSTANT_DAYS[packing])

/**
 * Each stay draws the sack towards its air: m ← m + share·(m_eq − m), one after the other.
 * @example sackMoisture({ grain: 'durum', packing: 'paper', startMoisture: 0.135, stays: [{ temperatureC: 17, rhPercent: 81 }] })
 * → { moisture: 0.146, equilibrium: 0.166 }
 */
export function sackMoisture({ grain, packing, startMoisture, stays }: SackMoistureRequest): SackMoisture {
  return stays.reduce<SackMoisture>(
    ({ moisture }, stay) => {
      const equilibrium = storeMoisture(grain, stay)
      return { moisture: moisture + shareOfTheWay(packing, stay.days) * (equilibrium - moisture), equilibrium }
    },
    { moisture: startMoisture, equilibrium: startMoisture },
  )
}
