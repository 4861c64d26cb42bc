import { rootBetween } from '../quantity/index.ts'
import { MOLAR, saltFacts, type Salt } from './salts.ts'

const K1 = 10 ** -6.35
const K2 = 10 ** -10.33
const KW = 1e-14
const DAVIES_A = 0.509
/** Davies is a fit to weak solutions; beyond this ionic strength its pH is an extrapolation. */
const DAVIES_LIMIT = 0.5

interface Ions {
  readonly carbonMolal: number
  /** Sodium and potassium, equivalents a kilogram of water. */
  readonly alkalinityMolal: number
}

interface Activity {
  /** Activity coefficients of ions with one charge and with two. */
  readonly one: number
  readonly two: number
}

interface Species {
  readonly hydrogen: number
  readonly hydroxide: number
  readonly bicarbonate: number
  readonly carbonate: number
}

function speciesAt(pH: number, carbonMolal: number, { one, two }: Activity): Species {
  const a = 10 ** -pH
  const toBicarbonate = K1 / (a * one)
  const toCarbonate = (toBicarbonate * K2 * one) / (a * two)
  const share = carbonMolal / (1 + toBicarbonate + toCarbonate)
  return {
    hydrogen: a / one,
    hydroxide: KW / (a * one),
    bicarbonate: share * toBicarbonate,
    carbonate: share * toCarbonate,
  }
}

/** pH at which charges balance: A = [HCO₃⁻] + 2[CO₃²⁻] + [OH⁻] − [H⁺]; the right side only grows with pH. */
function balancedPH({ carbonMolal, alkalinityMolal }: Ions, activity: Activity): number {
  return rootBetween(0, 16, (pH) => {
    const s = speciesAt(pH, carbonMolal, activity)
    return s.bicarbonate + 2 * s.carbonate + s.hydroxide - s.hydrogen - alkalinityMolal
  })
}

function strength(pH: number, { carbonMolal, alkalinityMolal }: Ions, activity: Activity): number {
  const s = speciesAt(pH, carbonMolal, activity)
  return (alkalinityMolal + s.hydrogen + s.hydroxide + s.bicarbonate + 4 * s.carbonate) / 2
}

function davies(ionicStrength: number): Activity {
  const root = Math.sqrt(ionicStrength)
  const term = -DAVIES_A * (root / (1 + root) - 0.3 * ionicStrength)
  return { one: 10 ** term, two: 10 ** (4 * term) }
}

/** Beyond this the last digits only go to and fro. */
const SETTLED = 1e-14

const IDEAL: Activity = { one: 1, two: 1 }

/**
 * A carbonate solution at 25 °C, closed to the air, molal taken as molar, crystal water counted as water.
 *
 * pKa 6.35 and 10.33, pKw 14; Davies log γ = −0.509 z² (√I/(1+√I) − 0.3 I), iterated on I; pH is −log₁₀ of the activity of H⁺.
 * It is the water's pH, not the dough's.
 * @example 10 g of sodium carbonate in 350 g of water → pH 11.9 ideal, 11.6 with Davies (out of its range)
 */
export function carbonateSolution(salts: readonly { readonly salt: Salt; readonly grams: number }[], waterG: number) {
  const sum = (of: (part: { salt: Salt; moles: number }) => number) =>
    salts.reduce((total, { salt, grams }) => total + of({ salt, moles: grams / saltFacts[salt].gPerMol }), 0)
  const waterKg = (waterG + sum(({ salt, moles }) => moles * saltFacts[salt].crystalWater * MOLAR.water)) / 1000
  const ions: Ions = {
    carbonMolal: sum(({ moles }) => moles) / waterKg,
    alkalinityMolal: sum(({ salt, moles }) => moles * saltFacts[salt].alkalinity) / waterKg,
  }
  const pHIdeal = balancedPH(ions, IDEAL)
  let [ionicStrength, pHDavies] = [strength(pHIdeal, ions, IDEAL), pHIdeal]
  for (let round = 0; round < 60; round += 1) {
    const activity = davies(ionicStrength)
    pHDavies = balancedPH(ions, activity)
    const before = ionicStrength
    ionicStrength = strength(pHDavies, ions, activity)
    if (Math.abs(ionicStrength - before) <= SETTLED * ionicStrength) break
  }
  return {
    gramsPer100gWater: (100 * salts.reduce((total, part) => total + part.grams, 0)) / waterG,
    carbonMolal: ions.carbonMolal,
    ionicStrength,
    pHIdeal,
    pHDavies,
    daviesInRange: ionicStrength <= DAVIES_LIMIT,
  }
}
