/** A tray on the rack as the model sees it: when it is dry, how sure that is, when to weigh it and when to turn it. */
import { trayHours, type RackTray } from '../bench/index.ts'
import type { Laying, PieceBody, TrayLayout } from '../model/index.ts'
import {
  atMoistureG,
  DRYING_MODEL,
  courseIn,
  ensembleOf,
  gramsAt,
  LAGS_FROM,
  pointAt,
  quantile,
  solidsG,
  type AirFrom,
  type Course,
  type DryingModel,
  type DryingPoint,
  type Tray,
  type WeighIn,
  type World,
} from '../transport/index.ts'
import { airsThrough, clockHour, endsAt, LONGEST_H, type Leg, type Reaches } from './air.ts'

/**
 * Share of the surface's exchange with the room. A nest and layers hold damp air of their own that hardly changes: strands of 1 to
 * 2 mm, dry in 10 to 24 h where they lie spread, take two to six days in nests. Estimates from makers' accounts; weighings put them right.
 */
const EXPOSURE: Readonly<Record<Laying, number>> = { spread: 1, nests: 0.035, layers: 0.025 }
/**
 * Core less surface, dry basis, as the mean passes 18 %, times the root of the thickness in mm: above it pieces may crack in the
 * days after. A stretched skin cracks once what it stores, strain² × thickness, is more than a crack costs (Griffith). Set so that
 * strands up to 2 mm on an open rack in a dry room pass, as makers find, and walls of 4 mm do not.
 */
export const CRACKS_OVER = 0.26
/** The mean at which that is taken, as a fraction of all: drier than this it can be helped no more. */
export const CRACKS_BELOW = LAGS_FROM
/** Wet in the middle, as hours at 20 °C: over two days is a caution. Six doublings of staphylococci at a water activity of 0.93. */
export const GROWTH_H = 48

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
  { body, moisture, faces, laid, target }: Omit<TrayLayout, 'spot'>,
  climate: readonly AirFrom[],
  model: DryingModel = DRYING_MODEL,
): Tray => ({
  ...asItLies(body, faces, laid),
  startMoisture: moisture,
  targetMoisture: target,
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

/** What was weighed, hour by hour; lighter than the dry matter is a slip, and not believed. */
export function weighInsOf(tray: RackTray): readonly WeighIn[] {
  const dryG = solidsG(tray.startG, tray.layout.moisture)
  return tray.weighed
    .filter(({ grams }) => grams >= dryG)
    .map(({ at, grams }) => ({ h: trayHours(tray, Date.parse(at)), grams }))
}

/** How far a piece is strained as it dries, in the measure of `CRACKS_OVER`. */
export const crackStrain = (
  { halfThicknessMm }: Pick<Tray, 'halfThicknessMm'>,
  lagAt18: number | null,
): number | null => (lagAt18 === null ? null : lagAt18 * Math.sqrt(2 * halfThicknessMm))

/** What is asked of a way to dry, beside its hours. */
export interface Risks {
  readonly strain: number | null
  /** Hours warm and wet by the mean, in the very middle, and the latter as hours at 20 °C. */
  readonly warmWetH: number
  readonly coreWetH: number
  readonly growthH: number
}
export const risksOf = (tray: Tray, { lagAt18, warmWetH, coreWetH, growthH }: Course): Risks => ({
  strain: crackStrain(tray, lagAt18),
  warmWetH,
  coreWetH,
  growthH,
})

export interface BandPoint {
  readonly h: number
  /** Without the tray, g. */
  readonly grams: number
  readonly low: number
  readonly high: number
}

export interface Forecast extends Risks {
  /** Half of the worlds that agree with what was weighed are there by then. */
  readonly hoursToTarget: number | null
  /** Nine of ten lie between; `high` is null where it may be never. */
  readonly low: number | null
  readonly high: number | null
  /** Whether the air it stands in lets it get there at all. */
  readonly reaches: Reaches
  /** Where that air holds it in the end. */
  readonly endsAt: number
  readonly band: readonly BandPoint[]
  /** The world in the middle of those: its pieces are drawn, and other ways are tried in it. */
  readonly world: World
  readonly curve: readonly DryingPoint[]
  /** Of the weighings, those believed. */
  readonly weighings: number
  /** Without the tray, g: on the scale it is so much more. */
  readonly targetG: number
  readonly dryG: number
  /** Now, wet basis: by the last weighing where that was within the hour, else by the model. */
  readonly now: DryingPoint
  readonly nowH: number
  /** Null when there is nothing left to learn. */
  readonly weighNextH: number | null
  readonly turnH: readonly number[]
  readonly coreWetNowH: number
  /** The scale has shown it. */
  readonly isDry: boolean
  /** By now it should be, and nobody has weighed it: the last stretch is told by weight, not by the hour. */
  readonly isDue: boolean
}

const CURVE_POINTS = 72
/** A band is drawn to where so many of the worlds are dry. */
const DRAWN_TO = 0.75
const BAND: readonly [number, number, number] = [0.05, 0.5, 0.95]
const WEIGH_AT_LEAST_AFTER_H = 0.5
const WEIGH_WITHIN = 0.6
const WEIGH_CANDIDATES = 12

/** Hours at which so much of the water that has to go is gone. */
function whenGone(
  curve: readonly DryingPoint[],
  { moisture, target }: Pick<TrayLayout, 'moisture' | 'target'>,
  share: number,
): number | null {
  const level = moisture - share * (moisture - target)
  const at = curve.findIndex(({ moisture }) => moisture <= level)
  if (at <= 0) return null
  const [before, after] = [curve[at - 1]!, curve[at]!]
  return before.h + ((before.moisture - level) / (before.moisture - after.moisture)) * (after.h - before.h)
}

/** Nests are turned at a third and at two thirds of the way, what lies on a closed tray once, half way. */
function turnHours({ layout, turnedAt }: RackTray, curve: readonly DryingPoint[]): readonly number[] {
  const shares = layout.laid === 'spread' ? (layout.faces === 'one' ? [0.5] : []) : [1 / 3, 2 / 3]
  return shares.slice(turnedAt.length).flatMap((share) => whenGone(curve, layout, share) ?? [])
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

/** What the scale shows in all these worlds, hour by hour: half of them below the line, nine of ten in the band. */
const bandOf = (courses: readonly Course[], startG: number, hours: readonly number[]): readonly BandPoint[] =>
  hours.map((h) => {
    const shown = courses.map((course) => gramsAt(course, h, startG)).sort((a, b) => a - b)
    const [low, grams, high] = BAND.map((share) => quantile(shown, share)) as [number, number, number]
    return { h, grams, low, high }
  })

/** Close at first, when most happens. */
const drawnHours = (toH: number): readonly number[] =>
  Array.from({ length: CURVE_POINTS }, (_, n) => toH * (n / (CURVE_POINTS - 1)) ** 2)

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
  const weighIns = weighInsOf(tray)
  const ensemble = ensembleOf({ tray: request, startG, weighIns, scaleSdG, maxH: LONGEST_H })
  const { courses, hoursToTarget, low, high, middle: world } = ensemble
  const drawnH = Math.min(
    LONGEST_H,
    Math.max(1, nowH, (courses[Math.floor(DRAWN_TO * courses.length)]!.hoursToTarget ?? LONGEST_H) * 1.1),
  )
  const middle = courseIn(request, world, drawnH, LONGEST_H)
  const hours = drawnHours(drawnH)
  const curve = hours.map((h) => pointAt(middle, h))
  const last = weighIns.at(-1)
  const now = pointAt(middle, Math.min(nowH, LONGEST_H))
  const justWeighed = last && nowH - last.h < 1 ? { ...now, moisture: 1 - dryG / last.grams } : now
  const isAtTarget = (moisture: number) => moisture <= layout.target + 5e-4
  const isDry = last !== undefined && isAtTarget(1 - dryG / last.grams)
  const isDue = !isDry && isAtTarget(justWeighed.moisture)
  const there = endsAt(tray.spots.at(-1)!.spot, layout.target)
  const risks = risksOf(request, middle)
  return {
    ...risks,
    hoursToTarget,
    low,
    high,
    reaches: there.reaches,
    endsAt: there.moisture,
    // A world that is dry sooner goes on drying: followed as far as is drawn.
    band: bandOf(
      courses.map((course) => courseIn(request, course.world, drawnH, LONGEST_H)),
      startG,
      hours,
    ),
    world,
    curve,
    weighings: weighIns.length,
    targetG: atMoistureG(dryG, layout.target),
    dryG,
    now: justWeighed,
    nowH,
    weighNextH:
      tray.end || isDry || isDue || hoursToTarget === null
        ? null
        : nextWeighing(courses, startG, scaleSdG, nowH, hoursToTarget),
    turnH: turnHours(tray, curve).filter((h) => h > nowH),
    coreWetNowH: Math.min(risks.coreWetH, nowH),
    isDry,
    isDue,
  }
}

/** Of the hours soon enough to be of use, the one whose weighing would tell most of the hour of the end. */
function nextWeighing(
  courses: readonly Course[],
  startG: number,
  scaleSdG: number,
  nowH: number,
  hours: number,
): number | null {
  const left = hours - nowH
  if (left <= WEIGH_AT_LEAST_AFTER_H) return hours
  const from = nowH + Math.min(WEIGH_AT_LEAST_AFTER_H, left / 4)
  const to = nowH + Math.max(WEIGH_WITHIN * left, WEIGH_AT_LEAST_AFTER_H)
  const ends = courses.filter(({ hoursToTarget }) => hoursToTarget !== null)
  const logs = ends.map(({ hoursToTarget }) => Math.log(Math.max(1e-3, hoursToTarget!)))
  const mean = (all: readonly number[]) => all.reduce((sum, each) => sum + each, 0) / all.length
  const middle = mean(logs)
  /** Share of the spread of the ends that a weighing then would explain. */
  const told = (h: number): number => {
    const shown = ends.map((course) => gramsAt(course, h, startG))
    const usual = mean(shown)
    const spread = mean(shown.map((grams) => (grams - usual) ** 2)) + scaleSdG ** 2
    return mean(shown.map((grams, n) => (grams - usual) * (logs[n]! - middle))) ** 2 / spread
  }
  const candidates = Array.from(
    { length: WEIGH_CANDIDATES },
    (_, n) => from + ((to - from) * n) / (WEIGH_CANDIDATES - 1),
  )
  return candidates.reduce((best, h) => (told(h) > told(best) ? h : best))
}
