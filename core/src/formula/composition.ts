import type { Material } from '../model/index.ts'

export interface Composition {
  readonly totalG: number
  readonly waterG: number
  readonly fatG: number
  readonly saltG: number
  readonly carbonateG: number
}

export interface Portion {
  readonly material: Material
  readonly grams: number
}

/** What a mixture is made of: each part's mass times its fractions, added up. */
export function compositionOf(parts: readonly Portion[]): Composition {
  const sum = (share: (material: Material) => number) =>
    parts.reduce((total, part) => total + part.grams * share(part.material), 0)
  return {
    totalG: sum(() => 1),
    waterG: sum((m) => m.water),
    fatG: sum((m) => m.fat),
    saltG: sum((m) => m.salt),
    carbonateG: sum((m) => m.carbonate),
  }
}

const SOLIDS_G_PER_CM3 = 1.48
const WATER_G_PER_CM3 = 1.0
const FAT_G_PER_CM3 = 0.92

/**
 * Density of a dough in g/cm³: 1/ρ = solids/1.48 + water/1.00 + fat/0.92 on mass fractions, times (1 − voids).
 * @example flour at 14 % and 1.2 % fat, 48 % water, 1 % salt, 3 % voids → 1.1917
 */
export function densityGPerCm3({ totalG, waterG, fatG }: Composition, voids: number): number {
  const solidsG = totalG - waterG - fatG
  const volumeCm3 = solidsG / SOLIDS_G_PER_CM3 + waterG / WATER_G_PER_CM3 + fatG / FAT_G_PER_CM3
  return (totalG / volumeCm3) * (1 - voids)
}
