/** A tray under way: moisture through one piece, with what is watched for as it dries. */
import { rootBetween } from '../quantity/index.ts'
import { bodyOf } from './body.ts'
import { advance, centreOf, meanOf, startRun, type Run, type Surface } from './diffusion.ts'
import {
  dryBasis,
  equilibrium,
  GAS_J_PER_MOL_K,
  kelvin,
  saturationPa,
  vapourKgPerM2SPa,
  waterActivity,
  waterActivitySlope,
  wetBasis,
} from './sorption.ts'
import type { AirFrom, DryingModel, DryingPoint, Tray } from './tray.ts'

export const SOLIDS_G_PER_CM3 = 1.48
const HOUR_S = 3600
const CRACKS_FROM = 0.18
const LAGS_FROM_X = dryBasis(CRACKS_FROM)

/** Diffusivity of water in the dough, m²/s, at this heat. */
export const diffusivityAt = ({ d40M2PerS, eaJPerMol, scaleD }: DryingModel, celsius: number): number =>
  scaleD * d40M2PerS * Math.exp((-eaJPerMol / GAS_J_PER_MOL_K) * (1 / kelvin(celsius) - 1 / 313.15))

/** What the air takes off the surface, in dry-basis moisture × m/s. */
function surfaceIn(
  { temperatureC: celsius, rhPercent, air }: AirFrom,
  { exposure, model, startMoisture }: Tray,
): Surface {
  const solidsKgPerM3 = 1000 / (1 / SOLIDS_G_PER_CM3 + dryBasis(startMoisture))
  const carried = (vapourKgPerM2SPa(air, celsius) * exposure * model.scaleK * saturationPa(celsius)) / solidsKgPerM3
  const outside = rhPercent / 100
  return {
    flux: (value) => carried * (waterActivity(value, celsius) - outside),
    slope: (value) => carried * waterActivitySlope(value, celsius),
  }
}

/** An air as the piece feels it: the same object is the same air, and a run goes on in it without a new beginning. */
export interface InAir {
  readonly outside: Surface
  readonly diffusivity: number
}

export const inAir = (air: AirFrom, tray: Tray): InAir => ({
  outside: surfaceIn(air, tray),
  diffusivity: diffusivityAt(tray.model, air.temperatureC),
})

export interface TrayRun {
  readonly run: Run
  /** Dry basis, as all here. */
  readonly target: number
  readonly scale: number
  /** When the target was first reached, s; null before. */
  reachedS: number | null
  /** Core less surface as the mean passed 18 %; null before. */
  lagAt18: number | null
  mean: number
  meanRate: number
  lag: number
}

export function startTray(tray: Tray, cells: number): TrayRun {
  const start = dryBasis(tray.startMoisture)
  const target = dryBasis(tray.targetMoisture)
  const changes = tray.climate.map(({ rhPercent, temperatureC }) =>
    Math.abs(start - Math.min(equilibrium(rhPercent, temperatureC), 1)),
  )
  return {
    run: startRun(bodyOf(tray.geometry, tray.halfThicknessMm / 1000, cells), start),
    target,
    scale: Math.max(...changes, 1e-6),
    reachedS: start <= target ? 0 : null,
    lagAt18: null,
    mean: start,
    meanRate: 0,
    lag: 0,
  }
}

export const pointOf = ({ run, mean }: TrayRun): DryingPoint => ({
  h: run.timeS / HOUR_S,
  moisture: wetBasis(mean),
  surface: wetBasis(run.surface),
  core: wetBasis(centreOf(run)),
})

/** Where a smooth curve crosses a level between two ends with their slopes; as a share of the way. */
function crossing(from: number, fromRate: number, to: number, toRate: number, level: number): number {
  return rootBetween(
    0,
    1,
    (s) =>
      level -
      ((2 * s ** 3 - 3 * s ** 2 + 1) * from +
        (s ** 3 - 2 * s ** 2 + s) * fromRate +
        (-2 * s ** 3 + 3 * s ** 2) * to +
        (s ** 3 - s ** 2) * toRate),
  )
}

/** Goes on in one air until so many hours are over, or until `stop` says so after a step. */
export function goOn(tray: TrayRun, untilH: number, air: InAir, stop?: (tray: TrayRun) => boolean): void {
  const { run, target } = tray
  const { body } = run
  // A change of air turns the curve: its slope just after the turn is that of the first step itself.
  let isNew = run.outside !== air.outside
  advance(run, untilH * HOUR_S, air.diffusivity, air.outside, tray.scale, (fromS) => {
    const stepS = run.timeS - fromS
    const next = meanOf(run)
    const nextRate = (-body.area * run.flux) / body.volume
    const { mean } = tray
    const rate = isNew ? (next - mean) / stepS : tray.meanRate
    isNew = false
    const nextLag = centreOf(run) - run.surface
    const at = (level: number) => crossing(mean, rate * stepS, next, nextRate * stepS, level)
    if (tray.reachedS === null && mean > target && next <= target) tray.reachedS = fromS + at(target) * stepS
    if (tray.lagAt18 === null && mean > LAGS_FROM_X && next <= LAGS_FROM_X)
      tray.lagAt18 = tray.lag + at(LAGS_FROM_X) * (nextLag - tray.lag)
    tray.mean = next
    tray.meanRate = nextRate
    tray.lag = nextLag
    return stop?.(tray) ?? false
  })
}
