/** Freezing dough: k about that of the dough itself, ρ 1200 kg/m³; so much of its water freezes, at about this heat. */
const CONDUCTIVITY = 0.4
const DENSITY = 1200
const FREEZES_C = -4
const FROZEN_SHARE = 0.8
const ICE_KJ_PER_KG = 334

export interface ThawRequest {
  /** Of a flat slab, mm. */
  readonly thicknessMm: number
  /** Where it thaws, °C; above −4. */
  readonly roomC: number
  /** Fraction of mass. */
  readonly moisture: number
  readonly hWPerM2K: number
}

/**
 * Hours until a frozen slab has thawed to its middle: Plank's equation, t = ρL/ΔT · (d/2h + d²/8k).
 * @example 30 mm at 42 % in a fridge of 4 °C, h 10 → about 8 h
 */
export function thawHours({ thicknessMm, roomC, moisture, hWPerM2K }: ThawRequest): number {
  const thickM = thicknessMm / 1000
  const latentJ = ICE_KJ_PER_KG * 1000 * moisture * FROZEN_SHARE
  const seconds =
    ((DENSITY * latentJ) / (roomC - FREEZES_C)) * (thickM / (2 * hWPerM2K) + thickM ** 2 / (8 * CONDUCTIVITY))
  return seconds / 3600
}
