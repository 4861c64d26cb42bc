/** Which room, which cover, and when: the sequence that has a tray dry soonest without cracking it or leaving it warm and wet. */
import type { Spot, TrayLayout } from '../model/index.ts'
import {
  copyOf,
  courseIn,
  dryBasis,
  equilibrium,
  DRYING_MODEL,
  feltIn,
  goOnIn,
  runIn,
  USUAL_WORLD,
  wetBasis,
  type DryingModel,
  type Felt,
  type Tray,
  type World,
  type WorldRun,
} from '../transport/index.ts'
import { airOf, airsThrough, isNight, LONGEST_H, untilChange, type Leg } from './air.ts'
import { CRACKS_OVER, crackStrain, GROWTH_H, risksOf, trayIn, type Risks } from './forecast.ts'

/** As in the forecast's risks. */
export interface Limits {
  readonly strain: number
  readonly growthH: number
}
export const USUAL_LIMITS: Limits = { strain: CRACKS_OVER, growthH: GROWTH_H }

/** A cover that saves a tray from cracks may keep it damp for a tenth longer. */
const DAMPER = 1.1
/** Of what is damp inside for longer than five days at 20 °C no way is offered. */
const MOST_GROWTH_H = 120
/** Of a tray that stays damp for longer than is good wherever it stands: hardly longer than as it is. */
export const limitsFor = ({ growthH }: Pick<Risks, 'growthH'>): Limits => ({
  strain: CRACKS_OVER,
  growthH: Math.max(GROWTH_H, Math.min(MOST_GROWTH_H, DAMPER * growthH)),
})

export interface ProgrammeRequest {
  readonly layout: Omit<TrayLayout, 'spot'>
  /** Rooms, each under each cover there is. */
  readonly spots: readonly Spot[]
  readonly limits: Limits
  readonly model?: DryingModel
  /** The world of the tray's forecast. */
  readonly world?: World
  /** The hour of the day at hour 0, for rooms with another air at night; noon where nobody says. */
  readonly startsAt?: number
  /** What is under way: where it has stood, when it was turned, and since when its hours are counted up to now. */
  readonly soFar?: { readonly legs: readonly Leg[]; readonly turnsH: readonly number[]; readonly nowH: number }
}

export interface Programme extends Risks {
  /** Hours of the tray, as its forecast has them. */
  readonly legs: readonly Leg[]
  readonly hours: number
}

export interface Programmes {
  /** The soonest that keeps within the limits, moves weighed against time; null where none does. */
  readonly best: Programme | null
  /** The soonest of those that never change, within the limits; null where none is. */
  readonly constant: Programme | null
}

/** Where the tray may be moved or covered: as its mean passes these, wet basis. Close around 18 %, where cracks are made. */
const STOPS = [0.32, 0.28, 0.25, 0.23, 0.215, 0.205, 0.195, 0.185, 0.175, 0.165, 0.15, 0.135, 0.12, 0.1]
/** People are asked to move a tray on the quarter hour. */
const QUARTER_H = 0.25
const NOON = 12
const HOUR_S = 3600
const MOST_MOVES = 3
/** A move has to be worth so much of the time: nobody covers a tray for a quarter of an hour. */
const MOVE_COSTS = 0.03
/** How many ways in are followed from each stop. */
const FOLLOWED = 40

interface Way {
  readonly run: WorldRun
  readonly legs: readonly { readonly fromH: number; readonly spot: number }[]
}

/** Whether a way is already past a limit: what it has gathered is never lost again. */
const breaks = ({ piece, lagAt18, growthS }: WorldRun, limits: Limits): boolean =>
  (crackStrain(piece.tray, lagAt18) ?? 0) > limits.strain || growthS / HOUR_S > limits.growthH
const hoursOf = ({ seconds }: WorldRun): number => seconds / HOUR_S
const lagOf = ({ core, surface }: WorldRun): number => core - surface

/** A spot as the piece feels it, by day and by night. */
interface There {
  readonly day: Felt
  /** The same where the night is no other. */
  readonly night: Felt
  /** Dry basis: by day or by night nothing gets drier than this there. */
  readonly driest: number
}

/** Goes on in one spot, from day to night, until so or until this hour. */
function goOnThere(
  run: WorldRun,
  { day, night }: There,
  startsAt: number,
  untilH: number,
  isThere: () => boolean,
): void {
  if (day === night) {
    goOnIn(run, day, untilH, isThere)
    return
  }
  // Counted here, for what the run's seconds come to in hours may fall short of the end by a rounding.
  let h = hoursOf(run)
  while (h < untilH && !isThere()) {
    const toH = Math.min(untilH, h + untilChange(h, startsAt))
    goOnIn(run, isNight(h, startsAt) ? night : day, toH, isThere)
    h = toH
  }
}

/** The tray as it is asked about: from its own start, through where it has stood, and then these legs. */
const trayThrough = (request: ProgrammeRequest, legs: readonly Leg[]): Tray => {
  const { layout, model = DRYING_MODEL, startsAt = NOON, soFar } = request
  const all = [...(soFar?.legs ?? []).filter(({ fromH }) => fromH < (legs[0]?.fromH ?? Infinity)), ...legs]
  return {
    ...trayIn(layout, airsThrough(all, startsAt), model),
    turnsH: soFar?.turnsH ?? [],
  }
}

/**
 * Of ways at the same moisture, those worth following: the soonest of all; and because a way that waited has evened out, the
 * soonest of those with less lag too. Ways that never moved are always followed.
 */
function worthFollowing(ways: readonly Way[]): readonly Way[] {
  const unmoved = ways.filter(({ legs }) => legs.length === 1)
  const byTime = [...ways].sort((a, b) => a.run.seconds - b.run.seconds)
  const kept: Way[] = []
  let least = Infinity
  for (const way of byTime)
    if (lagOf(way.run) < least - 0.002 || kept.length < FOLLOWED / 4) {
      kept.push(way)
      least = Math.min(least, lagOf(way.run))
    }
  return [...new Set([...unmoved, ...kept.slice(0, FOLLOWED)])]
}

/** Run as it would be asked of people: moved on the quarter hours. */
function asAsked(request: ProgrammeRequest, legs: Way['legs']): Programme | null {
  const { spots, soFar, world = USUAL_WORLD } = request
  const nowH = soFar?.nowH ?? 0
  const rounded = legs.map((leg, n) => ({
    ...leg,
    fromH: nowH + (n === 0 ? 0 : Math.max(QUARTER_H * n, Math.round((leg.fromH - nowH) / QUARTER_H) * QUARTER_H)),
  }))
  const inOrder = rounded.filter(({ fromH }, n) => n === rounded.length - 1 || rounded[n + 1]!.fromH > fromH)
  if (inOrder.some(({ fromH }, n) => n > 0 && fromH <= inOrder[n - 1]!.fromH)) return null
  const there = inOrder.map(({ fromH, spot }): Leg => ({ fromH, spot: spots[spot]! }))
  const tray = trayThrough(request, there)
  const course = courseIn(tray, world, 0, LONGEST_H)
  const { hoursToTarget } = course
  if (hoursToTarget === null) return null
  // A move after the end is none.
  return {
    legs: there.filter(({ fromH }, n) => n === 0 || fromH < hoursToTarget),
    hours: hoursToTarget,
    ...risksOf(tray, course),
  }
}

/** Hours still to go, with what its moves cost. */
const effort = ({ hours, legs }: Programme): number => (hours - legs[0]!.fromH) * (1 + MOVE_COSTS * (legs.length - 1))

const keeps = ({ strain, growthH }: Programme, limits: Limits): boolean =>
  (strain ?? 0) <= limits.strain && growthH <= limits.growthH

/**
 * Searched from moisture to moisture: at each stop every way so far goes on in every spot, and the ways worth following are
 * kept. What is found is run again as people would do it, and only what then keeps the limits counts. `tell` hears how far it is.
 */
export function programmes(request: ProgrammeRequest, tell?: (done: number, of: number) => void): Programmes {
  const { spots, startsAt = NOON, soFar, world = USUAL_WORLD } = request
  const nowH = soFar?.nowH ?? 0
  const start = runIn(trayThrough(request, []), world, nowH)
  const felt = spots.map((spot): There => {
    const day = feltIn(start, airOf(spot, 0))
    const night = spot.night ? feltIn(start, airOf(spot, 0, true)) : day
    const driest = Math.min(
      ...[spot, ...(spot.night ? [spot.night] : [])].map((air) => equilibrium(air.rhPercent, air.temperatureC)),
    )
    return { day, night, driest }
  })
  // What is past cannot be kept any more: from now on it is the least there can be.
  const limits = {
    strain: Math.max(request.limits.strain, crackStrain(start.piece.tray, start.lagAt18) ?? 0),
    growthH: Math.max(request.limits.growthH, start.growthS / HOUR_S),
  }
  const target = dryBasis(request.layout.target)
  const now = wetBasis(start.mean)
  const stops = [...STOPS.filter((stop) => stop < now - 0.005 && stop > request.layout.target), request.layout.target]

  const constants = spots.flatMap((_, spot) => asAsked(request, [{ fromH: nowH, spot }]) ?? [])
  const soonest = (found: readonly Programme[]) =>
    found.filter((each) => keeps(each, limits)).sort((a, b) => effort(a) - effort(b))[0] ?? null
  const constant = soonest(constants)
  // What is slower than staying where one is, is no better way.
  const longestH = constant ? Math.min(LONGEST_H, constant.hours * 1.02) : LONGEST_H

  let ways: readonly Way[] = [{ run: start, legs: [] }]
  for (const [n, stop] of stops.entries()) {
    tell?.(n, stops.length)
    const level = dryBasis(stop)
    const further: Way[] = []
    for (const way of ways)
      for (const [spot, air] of felt.entries()) {
        const stays = way.legs.at(-1)?.spot === spot
        if (!stays && way.legs.length > MOST_MOVES) continue
        if (air.driest >= level) continue
        const run = copyOf(way.run)
        const fromH = hoursOf(run)
        goOnThere(run, air, startsAt, longestH, () => run.mean <= level)
        if (run.mean > level || breaks(run, limits)) continue
        further.push({ run, legs: stays ? way.legs : [...way.legs, { fromH, spot }] })
      }
    ways = worthFollowing(further)
    if (ways.length === 0) break
  }
  tell?.(stops.length, stops.length)
  const arrived = ways.filter(({ run }) => run.mean <= target * (1 + 1e-9))
  const asked = arrived
    .sort((a, b) => a.run.seconds - b.run.seconds)
    .flatMap(({ legs }) => asAsked(request, legs) ?? [])
  return { best: soonest([...asked, ...constants]), constant }
}
