/** Molar masses in g/mol and what a formula unit brings. */
export const MOLAR = {
  bicarbonate: 84.006,
  sodiumCarbonate: 105.988,
  potassiumCarbonate: 138.205,
  water: 18.015,
} as const

export const SALTS = [
  'sodium-carbonate',
  'sodium-carbonate-monohydrate',
  'sodium-carbonate-decahydrate',
  'potassium-carbonate',
  'sodium-bicarbonate',
] as const

export type Salt = (typeof SALTS)[number]

export interface SaltFacts {
  readonly gPerMol: number
  /** Moles of crystal water a mole. */
  readonly crystalWater: number
  /** Equivalents of alkali metal a mole: 2 for a carbonate, 1 for bicarbonate. */
  readonly alkalinity: 1 | 2
}

export const saltFacts: Readonly<Record<Salt, SaltFacts>> = {
  'sodium-carbonate': { gPerMol: MOLAR.sodiumCarbonate, crystalWater: 0, alkalinity: 2 },
  'sodium-carbonate-monohydrate': { gPerMol: MOLAR.sodiumCarbonate + MOLAR.water, crystalWater: 1, alkalinity: 2 },
  'sodium-carbonate-decahydrate': {
    gPerMol: MOLAR.sodiumCarbonate + 10 * MOLAR.water,
    crystalWater: 10,
    alkalinity: 2,
  },
  'potassium-carbonate': { gPerMol: MOLAR.potassiumCarbonate, crystalWater: 0, alkalinity: 2 },
  'sodium-bicarbonate': { gPerMol: MOLAR.bicarbonate, crystalWater: 0, alkalinity: 1 },
}

/** g of Na₂CO₃ with as much carbonate as one gram of the salt; bicarbonate counts as none. */
export const carbonateEquivalent = (salt: Salt): number =>
  salt === 'sodium-bicarbonate' ? 0 : MOLAR.sodiumCarbonate / saltFacts[salt].gPerMol
