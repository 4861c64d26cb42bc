/** Freezing dough: k about that of the dough itself, ρ 1200 kg/m³; so much of its water freezes, at about this heat. */
const CONDUCTIVITY = 0.4
const DENSITY = 1200
const FREEZES_C = -4
const FROZEN_SHARE = 0.8
const ICE_KJ_PER_KG = 334

export interface PlankRequest {
  /** Heat that thaws a cubic metre, J. */
  readonly heatJPerM3: number
  /** From where it thaws to what is around it, K. */
  readonly apartK: number
  /** Half of a flat slab, m. */
  readonly halfM: number
  readonly hWPerM2K: number
  readonly kWPerMK: number
}

/** Seconds until a frozen slab has thawed to its middle: Plank's equation, t = H/ΔT · (a/h + a²/2k), a half of its thickness. */
export const plankS = ({ heatJPerM3, apartK, halfM, hWPerM2K, kWPerMK }: PlankRequest): number =>
  (heatJPerM3 / apartK) * (halfM / hWPerM2K + halfM ** 2 / (2 * kWPerMK))

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
 * Hours until a frozen slab of dough has thawed to its middle, by `plankS`.
 * @example 30 mm at 42 % in a fridge of 4 °C, h 10 → about 8 h
 */
export function thawHours({ thicknessMm, roomC, moisture, hWPerM2K }: ThawRequest): number {
  const seconds = plankS({
    heatJPerM3: DENSITY * ICE_KJ_PER_KG * 1000 * moisture * FROZEN_SHARE,
    apartK: roomC - FREEZES_C,
    halfM: thicknessMm / 2000,
    hWPerM2K,
    kWPerMK: CONDUCTIVITY,
  })
  return seconds / 3600
}
