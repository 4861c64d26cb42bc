/** A tray in the air of a room, hour by hour: how wet, how far the middle lags, and when it is dry enough to pack. */
import { advance, centreOf, meanOf, startRun, type Run, type Surface } from './diffusion.ts'
import { bodyOf, CELLS, type Geometry } from './body.ts'
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
  type Air,
} from './sorption.ts'

export interface AirFrom {
  /** Hours from the start until which the one before lasts. */
  readonly fromH: number
  readonly temperatureC: number
  readonly rhPercent: number
  readonly air: Air
  /** Share of the surface's exchange that is left under a cloth or a lid, times the tray's own; 1 is open. */
  readonly open?: number | undefined
}

export interface DryingModel {
  /** Diffusivity at 40 °C, m²/s. */
  readonly d40M2PerS: number
  readonly eaJPerMol: number
  readonly scaleD: number
  readonly scaleK: number
}
export const DRYING_MODEL: DryingModel = { d40M2PerS: 1.5e-11, eaJPerMol: 25_000, scaleD: 1, scaleK: 1 }

export interface Tray {
  readonly geometry: Geometry
  /** Half the thickness of a slab that dries from both sides, the whole of one that lies on a closed tray; radius of the round ones. */
  readonly halfThicknessMm: number
  /** Wet basis, as the others. */
  readonly startMoisture: number
  readonly targetMoisture: number
  /** In order; the first from hour 0, the last one lasts. */
  readonly climate: readonly AirFrom[]
  /** Share of the surface that the air reaches: 1 spread on a rack, less in nests and layers. */
  readonly exposure: number
  readonly model: DryingModel
}

export interface DryingPoint {
  readonly h: number
  /** Wet basis: of the whole piece, at its surface, in its middle. */
  readonly moisture: number
  readonly surface: number
  readonly core: number
}

export interface Drying {
  /** 0 when it is there already; null when it does not get there within the time looked at. */
  readonly hoursToTarget: number | null
  /** It never does: the air it ends in holds it at or above the target. */
  readonly never: boolean
  /** Where it ends, in the last air. */
  readonly equilibriumMoisture: number
  readonly targetWaterActivity: number
  readonly curve: readonly DryingPoint[]
  readonly samples: readonly DryingPoint[]
  /** Core less surface, dry basis, as the mean passes 18 % on its way down: ranks the risk of cracks. */
  readonly coreLagAt18: number | null
  /** Hours while warm and wet enough for what spoils: see `hygiene`. */
  readonly warmWetH: number
}

const SOLIDS_G_PER_CM3 = 1.48
const HOUR_S = 3600
const CURVE_POINTS = 72
const CRACKS_FROM = 0.18
/** Above this water activity, and this warm, bacteria of concern grow; the usual lines of food codes. */
const GROWS_FROM_ACTIVITY = 0.92
const GROWS_FROM_C = 5

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

const pointOf = (run: Run): DryingPoint => ({
  h: run.timeS / HOUR_S,
  moisture: wetBasis(meanOf(run)),
  surface: wetBasis(run.surface),
  core: wetBasis(centreOf(run)),
})

/** Where a smooth curve crosses a level between two ends with their slopes; as a share of the way. */
function crossing(from: number, fromRate: number, to: number, toRate: number, level: number): number {
  let [low, high] = [0, 1]
  const at = (s: number) =>
    (2 * s ** 3 - 3 * s ** 2 + 1) * from +
    (s ** 3 - 2 * s ** 2 + s) * fromRate +
    (-2 * s ** 3 + 3 * s ** 2) * to +
    (s ** 3 - s ** 2) * toRate
  for (let round = 0; round < 40; round += 1) {
    const middle = (low + high) / 2
    if (at(middle) > level) low = middle
    else high = middle
  }
  return (low + high) / 2
}

interface Options {
  readonly sampleH?: readonly number[] | undefined
  /** How far to look, hours. */
  readonly maxH: number
  readonly cells?: number
  /** No curve is kept, and the run stops once the target is reached: for fits and searches. */
  readonly onlyTarget?: boolean
}

/** Hours at which the curve is drawn: close at first, when most happens. */
const curveHours = (toH: number): readonly number[] =>
  Array.from({ length: CURVE_POINTS }, (_, n) => toH * (n / (CURVE_POINTS - 1)) ** 2)

/**
 * The forecast of a tray: one-dimensional diffusion of moisture, sizes fixed, isothermal at the air's heat, with the durum
 * isotherm at the surface. A start to be put right by weighing: unfitted it is good to about ±40 %.
 * @example a strand of 1.7 mm at 30 % in a cabinet at 40 °C and 60 % → 8.0 h to 12.5 %
 */
export function dry(tray: Tray, { sampleH = [], maxH, cells = CELLS, onlyTarget = false }: Options): Drying {
  const body = bodyOf(tray.geometry, tray.halfThicknessMm / 1000, cells)
  const start = dryBasis(tray.startMoisture)
  const target = dryBasis(tray.targetMoisture)
  const last = tray.climate[tray.climate.length - 1]!
  const ends = equilibrium(last.rhPercent, last.temperatureC)
  const lagsFrom = dryBasis(CRACKS_FROM)
  const scale = Math.max(
    ...tray.climate.map(({ rhPercent, temperatureC }) =>
      Math.abs(start - Math.min(equilibrium(rhPercent, temperatureC), 1)),
    ),
    1e-6,
  )
  const run = startRun(body, start)
  let reachedH: number | null = start <= target ? 0 : null
  let lag: number | null = null
  let warmWetS = 0
  let mean = start
  let meanRate = 0
  let lagBefore = 0

  const airs = tray.climate.map((air) => ({
    outside: surfaceIn(air, tray),
    diffusivity: diffusivityAt(tray.model, air.temperatureC),
    grows: air.temperatureC > GROWS_FROM_C,
    celsius: air.temperatureC,
  }))
  const through = (untilS: number, { outside, diffusivity, grows, celsius }: (typeof airs)[number]) => {
    // A change of air turns the curve: its slope just after the turn is that of the first step itself.
    let turned = run.outside !== outside
    advance(run, untilS, diffusivity, outside, scale, (fromS) => {
      const stepS = run.timeS - fromS
      const next = meanOf(run)
      const nextRate = (-body.area * run.flux) / body.volume
      const rate = turned ? (next - mean) / stepS : meanRate
      turned = false
      const nextLag = centreOf(run) - run.surface
      const at = (level: number) => crossing(mean, rate * stepS, next, nextRate * stepS, level)
      if (reachedH === null && mean > target && next <= target) reachedH = (fromS + at(target) * stepS) / HOUR_S
      if (lag === null && mean > lagsFrom && next <= lagsFrom) lag = lagBefore + at(lagsFrom) * (nextLag - lagBefore)
      if (grows && waterActivity(next, celsius) >= GROWS_FROM_ACTIVITY) warmWetS += stepS
      mean = next
      meanRate = nextRate
      lagBefore = nextLag
    })
  }

  const goOn = (toH: number) => {
    airs.forEach((air, n) => {
      const untilS = Math.min(toH, tray.climate[n + 1]?.fromH ?? toH) * HOUR_S
      if (untilS > run.timeS) through(untilS, air)
    })
  }

  const wanted = [...sampleH].sort((a, b) => a - b)
  const seen = new Map<number, DryingPoint>()
  if (onlyTarget) {
    for (const h of wanted) {
      goOn(h)
      seen.set(h, pointOf(run))
    }
    for (
      let h = (wanted.at(-1) ?? 0) + 1;
      reachedH === null && run.timeS < maxH * HOUR_S;
      h = Math.min(maxH, h * 1.5 + 1)
    )
      goOn(h)
  } else {
    // Past the target a while, so that the curve is seen to pass it.
    const known = dryHours(tray, maxH, cells)
    const toH = Math.min(maxH, known === null ? maxH : Math.max(known * 1.25, 1))
    const hours = [...new Set([...curveHours(toH), ...wanted])].sort((a, b) => a - b)
    for (const h of hours) {
      goOn(h)
      seen.set(h, pointOf(run))
    }
  }
  const inTime = reachedH === null || reachedH > maxH ? null : reachedH
  return {
    hoursToTarget: inTime,
    never: inTime === null && ends >= target,
    equilibriumMoisture: wetBasis(ends),
    targetWaterActivity: waterActivity(target, last.temperatureC),
    curve: [...seen.values()],
    samples: sampleH.map((h) => seen.get(h)!),
    coreLagAt18: lag,
    warmWetH: warmWetS / HOUR_S,
  }
}

/** Hours until the tray is at its target, or null within the time looked at. */
export const dryHours = (tray: Tray, maxH: number, cells = CELLS): number | null =>
  dry(tray, { maxH, cells, onlyTarget: true }).hoursToTarget
