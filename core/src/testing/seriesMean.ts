/** Mean of a slab, cylinder or sphere whose surface is held, by the series solutions of Fourier's equation: what the solver is held to. */
import type { Geometry } from '../model/index.ts'

const TERMS = 4000

/** Bessel functions of the first kind, order 0 and 1, by their integrals: the trapezoid rule on a period is exact to rounding. */
function bessel(order: 0 | 1, x: number): number {
  const points = 64 + Math.ceil(2 * x)
  let sum = 0
  for (let k = 0; k < points; k += 1) {
    const angle = (2 * Math.PI * k) / points
    sum += Math.cos(order * angle - x * Math.sin(angle))
  }
  return sum / points
}

/** Roots of J₀: McMahon's guess, put right by Newton while it is not exact anyway. */
const besselRoots = Array.from({ length: TERMS }, (_, n) => {
  const b = (n + 0.75) * Math.PI
  let root = b + 1 / (8 * b) - 124 / (3 * (8 * b) ** 3) + 120928 / (15 * (8 * b) ** 5)
  if (n < 12) for (let round = 0; round < 4; round += 1) root += bessel(0, root) / bessel(1, root)
  return root
})

/** Each mode's rate (per Fourier number) and weight in the mean. */
const modes: Readonly<Record<Geometry, (n: number) => readonly [rate: number, weight: number]>> = {
  slab: (n) => [((2 * n + 1) * Math.PI) ** 2 / 4, 8 / ((2 * n + 1) * Math.PI) ** 2],
  cylinder: (n) => [besselRoots[n]! ** 2, 4 / besselRoots[n]! ** 2],
  sphere: (n) => [((n + 1) * Math.PI) ** 2, 6 / ((n + 1) * Math.PI) ** 2],
}

/** Share of the whole change that is still to come; `fourier` is diffusivity × time / half thickness². */
export function seriesMean(geometry: Geometry, fourier: number): number {
  let left = 0
  for (let n = 0; n < TERMS; n += 1) {
    const [rate, weight] = modes[geometry](n)
    left += weight * Math.exp(-rate * fourier)
  }
  return left
}
