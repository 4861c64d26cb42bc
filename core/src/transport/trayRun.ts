/** A tray under way: moisture through one piece, with what is watched for as it dries. */
import { rootBetween } from '../quantity/index.ts'
import { bodyOf } from './body.ts'
import { advance, centreOf, copyRun, meanOf, startRun, turnOver, type Run, type Surface } from './diffusion.ts'
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

const SOLIDS_G_PER_CM3 = 1.48
const HOUR_S = 3600
const CRACKS_FROM = 0.18
/** Wetter than this and warmer than a fridge, what spoils dough grows fast: past it the worst is over. Wet basis; °C. */
export const WET_FROM = 0.24
const GROWS_FROM_C = 5
const LAGS_FROM_X = dryBasis(CRACKS_FROM)
const WET_FROM_X = dryBasis(WET_FROM)

/** Diffusivity of water in the dough, m²/s, at this heat. */
const diffusivityAt = ({ d40M2PerS, eaJPerMol, scaleD }: DryingModel, celsius: number): number =>
  scaleD * d40M2PerS * Math.exp((-eaJPerMol / GAS_J_PER_MOL_K) * (1 / kelvin(celsius) - 1 / 313.15))

/** What the air takes off the surface, in dry-basis moisture × m/s. */
function surfaceIn(
  { temperatureC: celsius, rhPercent, air, open = 1 }: AirFrom,
  { exposure, model, startMoisture }: Tray,
): Surface {
  const solidsKgPerM3 = 1000 / (1 / SOLIDS_G_PER_CM3 + dryBasis(startMoisture))
  const carried =
    (vapourKgPerM2SPa(air, celsius) * exposure * open * model.scaleK * saturationPa(celsius)) / solidsKgPerM3
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
  readonly grows: boolean
}

export const inAir = (air: AirFrom, tray: Tray): InAir => ({
  outside: surfaceIn(air, tray),
  diffusivity: diffusivityAt(tray.model, air.temperatureC),
  grows: air.temperatureC > GROWS_FROM_C,
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
  warmWetS: number
  mean: number
  meanRate: number
  lag: number
}

/** `airs`: all that the run may come into, for the size of what may change. */
export function startTray(tray: Tray, airs: readonly AirFrom[], cells: number): TrayRun {
  const start = dryBasis(tray.startMoisture)
  const target = dryBasis(tray.targetMoisture)
  const changes = airs.map(({ rhPercent, temperatureC }) =>
    Math.abs(start - Math.min(equilibrium(rhPercent, temperatureC), 1)),
  )
  return {
    run: startRun(bodyOf(tray.geometry, tray.halfThicknessMm / 1000, cells), start),
    target,
    scale: Math.max(...changes, 1e-6),
    reachedS: start <= target ? 0 : null,
    lagAt18: null,
    warmWetS: 0,
    mean: start,
    meanRate: 0,
    lag: 0,
  }
}

/** Another that goes its own way from here. */
export const copyTray = (tray: TrayRun): TrayRun => ({ ...tray, run: copyRun(tray.run) })

/** Hours it has gone. */
export const hoursOf = ({ run }: TrayRun): number => run.timeS / HOUR_S
export const pointOf = ({ run, mean }: TrayRun): DryingPoint => ({
  h: run.timeS / HOUR_S,
  moisture: wetBasis(mean),
  surface: wetBasis(run.surface),
  core: wetBasis(centreOf(run)),
})

export function turnTray(tray: TrayRun): void {
  turnOver(tray.run)
  tray.lag = centreOf(tray.run) - tray.run.surface
}

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

/** How much of a step is spent wet enough to spoil: all, none, or up to where it crosses, down or up. */
function wetShare(from: number, fromRate: number, to: number, toRate: number): number {
  const isDrying = from >= WET_FROM_X
  if (isDrying === to >= WET_FROM_X) return isDrying ? 1 : 0
  return isDrying
    ? crossing(from, fromRate, to, toRate, WET_FROM_X)
    : 1 - crossing(-from, -fromRate, -to, -toRate, -WET_FROM_X)
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
    if (air.grows) tray.warmWetS += stepS * wetShare(mean, rate * stepS, next, nextRate * stepS)
    tray.mean = next
    tray.meanRate = nextRate
    tray.lag = nextLag
    return stop?.(tray) ?? false
  })
}
