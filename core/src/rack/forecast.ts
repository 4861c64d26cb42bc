/** A tray on the rack as the model sees it: when it is dry, how sure that is, when to weigh it and when to turn it. */
import { DRIED_MOISTURE, trayHours, type RackTray } from '../bench/index.ts'
import type { Laying, PieceBody, Spot, TrayLayout } from '../model/index.ts'
import {
  atMoistureG,
  dry,
  DRYING_MODEL,
  fitDrying,
  narrowing,
  PRIOR_SD,
  solidsG,
  type AirFrom,
  type Drying,
  type DryingModel,
  type DryingPoint,
  type Fit,
  type Tray,
  type WeighIn,
} from '../transport/index.ts'
import { airsThrough, clockHour, endsAt, LONGEST_H, type Leg } from './air.ts'

/** Share of the surface the air reaches; a nest's inside hardly sees it. Estimates: the first weighings put them right. */
const EXPOSURE: Readonly<Record<Laying, number>> = { spread: 1, nests: 0.4, layers: 0.25 }
/** Before anything was weighed a time is good to so much either way. */
export const UNFITTED = 0.4
/** Core less surface, dry basis, as the mean passes 18 %: above it pieces crack in the days after. */
export const CRACKS_OVER = 0.15
/** Warm and wetter than that, h, before a caution. */
export const HYGIENE_H = 8

/** A slab that lies on a closed tray dries from one side; round ones show it half of theirs. */
function asItLies({ geometry, halfThicknessMm }: PieceBody, faces: TrayLayout['faces'], laid: Laying) {
  const one = faces === 'one'
  return {
    geometry,
    halfThicknessMm: one && geometry === 'slab' ? 2 * halfThicknessMm : halfThicknessMm,
    exposure: EXPOSURE[laid] * (one && geometry !== 'slab' ? 0.5 : 1),
  }
}

/** The request of a layout in these airs, of a moisture at its start. */
export const trayIn = (
  { body, moisture, faces, laid }: Omit<TrayLayout, 'spot'>,
  climate: readonly AirFrom[],
  model: DryingModel = DRYING_MODEL,
): Tray => ({
  ...asItLies(body, faces, laid),
  startMoisture: moisture,
  targetMoisture: DRIED_MOISTURE,
  climate,
  model,
})

/** Where a tray has stood, from which of its hours. */
export const legsOf = (tray: RackTray): readonly Leg[] =>
  tray.spots.map(({ at, spot }) => ({ fromH: trayHours(tray, Date.parse(at)), spot }))

/** Hours at which it was turned over; only what lies with one face down has another to turn up. */
export const turnsOf = (tray: RackTray): readonly number[] =>
  tray.layout.faces === 'one' && tray.layout.body.geometry === 'slab'
    ? tray.turnedAt.map((at) => trayHours(tray, Date.parse(at)))
    : []

/** The tray as the transport forecasts it: through its rooms so far, the last of them for good. */
export const requestOf = (tray: RackTray, model: DryingModel = DRYING_MODEL): Tray => ({
  ...trayIn(tray.layout, airsThrough(legsOf(tray), clockHour(tray.laidAt)), model),
  turnsH: turnsOf(tray),
})

/** As `dry`; where nights differ from days, what the last air alone would say of the end is put right. */
export function dryThere(
  tray: Tray,
  last: Spot,
  options: Pick<Parameters<typeof dry>[1], 'sampleH' | 'onlyTarget'>,
): Drying {
  const drying = dry(tray, { ...options, maxH: LONGEST_H })
  if (!last.night) return drying
  const { moisture, reaches } = endsAt(last)
  return { ...drying, equilibriumMoisture: moisture, never: drying.hoursToTarget === null && reaches === 'never' }
}

/** What was weighed, hour by hour; lighter than the dry matter is a slip, and not believed. */
export function weighInsOf(tray: RackTray): readonly WeighIn[] {
  const dryG = solidsG(tray.startG, tray.layout.moisture)
  return tray.weighed
    .filter(({ grams }) => grams >= dryG)
    .map(({ at, grams }) => ({ h: trayHours(tray, Date.parse(at)), grams }))
}

export interface BandPoint {
  readonly h: number
  /** Without the tray, g. */
  readonly grams: number
  readonly low: number
  readonly high: number
}

export interface Forecast {
  readonly drying: Drying
  /** From the second weighing on, the start being the first. */
  readonly fit: Fit | null
  readonly hoursToTarget: number | null
  readonly low: number | null
  readonly high: number | null
  readonly band: readonly BandPoint[]
  /** Without the tray, g: on the scale it is so much more. */
  readonly targetG: number
  readonly dryG: number
  /** Now, wet basis: by the last weighing where that was within the hour, else by the model. */
  readonly now: DryingPoint
  readonly nowH: number
  /** Null when there is nothing left to learn. */
  readonly weighNextH: number | null
  readonly turnH: readonly number[]
  /** Warm and wet by now, and in all. */
  readonly warmWetNowH: number
  readonly isDry: boolean
}

const WEIGH_AT_LEAST_AFTER_H = 0.5
const WEIGH_WITHIN = 0.6
const WEIGH_CANDIDATES = 12

/** Hours at which so much of the water that has to go is gone. */
function whenGone(curve: readonly DryingPoint[], start: number, share: number): number | null {
  const level = start - share * (start - DRIED_MOISTURE)
  const at = curve.findIndex(({ moisture }) => moisture <= level)
  if (at <= 0) return null
  const [before, after] = [curve[at - 1]!, curve[at]!]
  return before.h + ((before.moisture - level) / (before.moisture - after.moisture)) * (after.h - before.h)
}

/** Nests are turned at a third and at two thirds of the way, what lies on a closed tray once, half way. */
function turnHours({ layout, turnedAt }: RackTray, curve: readonly DryingPoint[]): readonly number[] {
  const shares = layout.laid === 'spread' ? (layout.faces === 'one' ? [0.5] : []) : [1 / 3, 2 / 3]
  return shares.slice(turnedAt.length).flatMap((share) => whenGone(curve, layout.moisture, share) ?? [])
}

/** Between two points of a curve, straight. */
export function onCurve<K extends string>(
  curve: readonly Readonly<Record<K | 'h', number>>[],
  key: K,
  h: number,
): number {
  const at = curve.findIndex((point) => point.h >= h)
  if (at <= 0) return curve[at < 0 ? curve.length - 1 : 0]![key]
  const [before, after] = [curve[at - 1]!, curve[at]!]
  const share = after.h > before.h ? (h - before.h) / (after.h - before.h) : 1
  return before[key] + share * (after[key] - before[key])
}

/** The curve in grams, and where it may run: stretched and drawn together in time from the last weighing on. */
function bandOf(curve: readonly DryingPoint[], dryG: number, fromH: number, hours: number, low: number, high: number) {
  const grams = (h: number) => atMoistureG(dryG, onCurve(curve, 'moisture', h))
  const left = Math.max(1e-6, hours - fromH)
  const at = (h: number, end: number) =>
    grams(h <= fromH ? h : fromH + ((h - fromH) * left) / Math.max(1e-6, end - fromH))
  return curve.map(({ h }): BandPoint => ({ h, grams: grams(h), low: at(h, Math.max(low, fromH)), high: at(h, high) }))
}

/**
 * The forecast of a tray at this time. `scaleSdG`: how far one reading of the scale strays; `model`: what was learned of such
 * trays before, where anything was.
 */
export function forecastTray(
  tray: RackTray,
  nowMs: number,
  scaleSdG: number,
  model: DryingModel = DRYING_MODEL,
): Forecast {
  const request = requestOf(tray, model)
  const { startG, layout } = tray
  const dryG = solidsG(startG, layout.moisture)
  const nowH = trayHours(tray, tray.end ? Date.parse(tray.end.at) : nowMs)
  const believable = weighInsOf(tray)
  const fit =
    believable.length > 0 ? fitDrying({ tray: request, startG, weighIns: believable, scaleSdG, maxH: LONGEST_H }) : null
  const fitted: Tray = fit ? { ...request, model: { ...model, scaleD: fit.scaleD, scaleK: fit.scaleK } } : request
  const drying = dryThere(fitted, tray.spots.at(-1)!.spot, { sampleH: [Math.min(nowH, LONGEST_H)] })
  const hours = drying.hoursToTarget
  const low = fit ? fit.low : hours === null ? null : hours * (1 - UNFITTED)
  const high = fit ? fit.high : hours === null ? null : hours * (1 + UNFITTED)
  const last = believable.at(-1)
  const now = drying.samples[0]!
  const justWeighed = last && nowH - last.h < 1 ? { ...now, moisture: 1 - dryG / last.grams } : now
  const isDry = justWeighed.moisture <= DRIED_MOISTURE + 5e-4
  return {
    drying,
    fit,
    hoursToTarget: hours,
    low,
    high,
    band:
      hours !== null && low !== null && high !== null
        ? bandOf(drying.curve, dryG, last?.h ?? 0, hours, low, high)
        : bandOf(drying.curve, dryG, last?.h ?? 0, LONGEST_H, LONGEST_H, LONGEST_H),
    targetG: atMoistureG(dryG, DRIED_MOISTURE),
    dryG,
    now: justWeighed,
    nowH,
    weighNextH: tray.end || isDry || hours === null ? null : nextWeighing(fitted, fit, dryG, scaleSdG, nowH, hours),
    turnH: turnHours(tray, drying.curve).filter((h) => h > nowH),
    warmWetNowH: Math.min(drying.warmWetH, nowH),
    isDry,
  }
}

/** Of the hours soon enough to be of use, the one whose weighing would leave the hour of the end best known. */
function nextWeighing(
  tray: Tray,
  fit: Fit | null,
  dryG: number,
  scaleSdG: number,
  nowH: number,
  hours: number,
): number | null {
  const left = hours - nowH
  if (left <= WEIGH_AT_LEAST_AFTER_H) return hours
  const from = nowH + Math.min(WEIGH_AT_LEAST_AFTER_H, left / 4)
  const to = nowH + Math.max(WEIGH_WITHIN * left, WEIGH_AT_LEAST_AFTER_H)
  const candidates = Array.from(
    { length: WEIGH_CANDIDATES },
    (_, n) => from + ((to - from) * n) / (WEIGH_CANDIDATES - 1),
  )
  const covariance = fit?.covariance ?? ([PRIOR_SD ** 2, 0, PRIOR_SD ** 2] as const)
  const spreads = narrowing({ tray, dryG, covariance, scaleSdG, atH: candidates, maxH: LONGEST_H })
  if (!spreads) return null
  const best = spreads.indexOf(Math.min(...spreads))
  return candidates[best] ?? null
}
