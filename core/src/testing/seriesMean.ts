/** Mean of a slab, cylinder or sphere whose surface is held, by the series solutions of Fourier's equation: what the solver is held to. */
import { GEOMETRIES, type Geometry } from '../model/index.ts'
import { bodyOf, CELLS } from '../transport/body.ts'
import { advance, meanOf, startRun } from '../transport/diffusion.ts'
import type { Tray } from '../transport/index.ts'
import { dryBasis, DURUM } from '../transport/sorption.ts'
import { inAir } from '../transport/trayRun.ts'

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

/** Of each geometry the worst error of the mean after the first hundredth of the change, as a share of it all. */
export const seriesErrors = (): readonly { readonly geometry: Geometry; readonly worst: number }[] =>
  GEOMETRIES.map((geometry) => {
    const run = startRun(bodyOf(geometry, 1), 1)
    const held = { held: 0 }
    let worst = 0
    for (let fourier = 1e-6; fourier < 4; fourier *= 1.2) {
      advance(run, fourier, 1, held, 1)
      const left = seriesMean(geometry, fourier)
      if (left < 0.99) worst = Math.max(worst, Math.abs(meanOf(run) - left))
    }
    return { geometry, worst }
  })

/** The cells and constants of a tray in its first air, for another integrator to do the same sum. */
export function stiffRequest(tray: Tray, hours: number) {
  const { centresM: _, ...body } = bodyOf(tray.geometry, tray.halfThicknessMm / 1000, CELLS)
  const air = tray.climate[0]!
  const { outside, diffusivity } = inAir(air, tray)
  const atRh = air.rhPercent / 100
  // Bone dry, nothing comes from the dough: what the air then brings is the constant times its humidity.
  const carried = -outside.flux(0) / atRh
  return {
    volumes: Array.from(body.volumes),
    conductances: Array.from(body.conductances),
    skinM: body.skinM,
    area: body.area,
    start: dryBasis(tray.startMoisture),
    diffusivity,
    carried,
    outside: atRh,
    kAndC: DURUM.k * (air.temperatureC + DURUM.c),
    power: DURUM.n,
    untilS: hours * 3600,
    rtol: 1e-6,
  }
}
