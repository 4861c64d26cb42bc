/** A tray in the air of a room, hour by hour: how wet, how far the middle lags, and when it is dry enough to pack. */
import { CELLS } from './body.ts'
import { dryBasis, equilibrium, waterActivity, wetBasis } from './sorption.ts'
import type { DryingPoint, Tray } from './tray.ts'
import { goOn, inAir, pointOf, startTray } from './trayRun.ts'

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
}

const HOUR_S = 3600
const CURVE_POINTS = 72

interface Options {
  readonly sampleH?: readonly number[] | undefined
  /** How far to look, hours. */
  readonly maxH: number
  readonly cells?: number
  /** No curve is kept, and the run stops at the target: for fits and searches. */
  readonly onlyTarget?: boolean
}

/** Hours at which the curve is drawn: close at first, when most happens. */
const curveHours = (toH: number): readonly number[] =>
  Array.from({ length: CURVE_POINTS }, (_, n) => toH * (n / (CURVE_POINTS - 1)) ** 2)

/** A tray from its start through its airs, as far as it is told to go. */
function throughItsAirs(tray: Tray, cells: number) {
  const drying = startTray(tray, cells)
  const airs = tray.climate.map((air) => inAir(air, tray))
  const goTo = (toH: number, stop?: () => boolean): void => {
    for (const [n, air] of airs.entries()) {
      goOn(drying, Math.min(toH, tray.climate[n + 1]?.fromH ?? toH), air, stop)
      if (stop?.()) return
    }
  }
  return { drying, goTo }
}

/**
 * A tray by the plain solver: one-dimensional diffusion of moisture, sizes fixed, isothermal at the air's heat, with the durum
 * isotherm at the surface. The port answers with it; what a maker is told comes from the worlds around it (`ensembleOf`).
 * @example a strand of 1.7 mm at 30 % in a cabinet at 40 °C and 60 % → 8.0 h to 12.5 %
 */
export function dry(tray: Tray, { sampleH = [], maxH, cells = CELLS, onlyTarget = false }: Options): Drying {
  const last = tray.climate[tray.climate.length - 1]!
  const ends = equilibrium(last.rhPercent, last.temperatureC)
  const target = dryBasis(tray.targetMoisture)
  const { drying, goTo } = throughItsAirs(tray, cells)
  const isThere = () => drying.reachedS !== null

  // Past the target a while, so that the curve is seen to pass it.
  const drawnH = () => {
    const known = dryHours(tray, maxH, cells)
    return Math.min(maxH, known === null ? maxH : Math.max(known * 1.25, 1))
  }
  const hours = [...new Set([...(onlyTarget ? [] : curveHours(drawnH())), ...sampleH])].sort((a, b) => a - b)
  const seen = new Map<number, DryingPoint>()
  for (const h of hours) {
    goTo(h)
    seen.set(h, pointOf(drying))
  }
  if (onlyTarget && !isThere()) goTo(maxH, isThere)

  const reachedH = drying.reachedS === null ? null : drying.reachedS / HOUR_S
  const inTime = reachedH === null || reachedH > maxH ? null : reachedH
  return {
    hoursToTarget: inTime,
    never: inTime === null && ends >= target,
    equilibriumMoisture: wetBasis(ends),
    targetWaterActivity: waterActivity(target, last.temperatureC),
    curve: [...seen.values()],
    samples: sampleH.map((h) => seen.get(h)!),
    coreLagAt18: drying.lagAt18,
  }
}

/** Hours until the tray is at its target, or null within the time looked at. */
export const dryHours = (tray: Tray, maxH: number, cells = CELLS): number | null =>
  dry(tray, { maxH, cells, onlyTarget: true }).hoursToTarget
