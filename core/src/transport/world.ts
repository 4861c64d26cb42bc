/**
 * How a tray may really dry: what is told of it, with a number for each thing that is not known, and a quick run through such a
 * world. Here diffusivity falls as the piece dries, the piece shrinks, and what leaves cools it; `dry` knows none of the three and
 * is early by a tenth to a quarter. Finite volumes, second order in time, good to 1.5 % of the hours.
 * Sources by kind: diffusivity by moisture and shrinkage, measurements on drying pasta in journals of food engineering; cooling,
 * the heat balance of a wet thermometer; the spreads, what two makers with the same instruments differ by.
 */
import { bodyOf, type Body } from './body.ts'
import {
  dryBasis,
  DURUM,
  equilibrium,
  HEAT_W_PER_M2_K,
  saturationPa,
  vapourKgPerM2SPa,
  waterActivity,
  wetBasis,
} from './sorption.ts'
import type { AirFrom, DryingPoint, Tray } from './tray.ts'
import { diffusivityAt, SOLIDS_G_PER_CM3 } from './trayRun.ts'

/** What is not known of a tray. A world is a standard deviation of each, from what is usual. */
export const UNKNOWN = [
  'start',
  'warmth',
  'humidity',
  'morning',
  'noon',
  'thickness',
  'diffusivity',
  'exchange',
  'falls',
  'shrinks',
  'closes',
  'isotherm',
  'radiant',
  'filled',
] as const
export type World = readonly number[]
const AT = Object.fromEntries(UNKNOWN.map((name, n) => [name, n])) as Readonly<Record<(typeof UNKNOWN)[number], number>>
/** Everything as is usual. */
export const USUAL_WORLD: World = UNKNOWN.map(() => 0)
/** The same, but water goes through this dough so many times as fast. */
export const worldOfRate = (times: number): World =>
  USUAL_WORLD.map((_, n) => (n === AT.diffusivity ? Math.log(times) / DIFFUSIVITY_SD : 0))
/** The logarithm of how fast water goes through the dough of a world, against what was told. */
export const rateOf = (world: World): number => DIFFUSIVITY_SD * world[AT.diffusivity]!
/** What was laid on the tray, as a share of what the scale said; `relativeSd` is the scale's own error there. */
export const filledIn = (world: World, relativeSd: number): number => 1 + relativeSd * world[AT.filled]!

/** One sd of each. */
const START = 0.005
const WARMTH_C = 1
const HUMIDITY = 3
/** Of a daily swing of up to 8 % of humidity, of which nobody knows the hour; it is warmer while it is drier. */
const SWING_RH = 3.3
const SWING_C_PER_RH = -0.25
const THICKNESS = 0.05
export const DIFFUSIVITY_SD = 0.35
const EXCHANGE = 0.36
const ISOTHERM = 0.1
/** Of the surface of what lies spread the air reaches this much. */
const REACHED = 0.925
const FALLS = { usual: 3.5, sd: 0.9 }
const SHRINKS = { usual: 0.75, sd: 0.25 }
/** Warmth that walls and ceiling send to a cool piece, W/m²K. */
const RADIANT = { usual: 2.5, sd: 1.5 }
/** Water over dry matter at which the diffusivity is that of the tables. */
const FALLS_FROM = 0.3
/**
 * Drawn together, layers lie nearer each other and the face is smaller: powers of the room that is left. Nobody knows beforehand
 * whether a slab shrinks all over, two thirds, or in thickness alone, two, as it rather does flat on a rack; a strand all over, or in its section alone, one.
 */
const NEARER = {
  slab: { usual: 1.5, sd: 0.6 },
  cylinder: { usual: 5 / 6, sd: 0.17 },
  sphere: { usual: 2 / 3, sd: 0 },
} as const
const SMALLER = { slab: 1 / 3, cylinder: 3 / 5, sphere: 2 / 3 } as const

/** What spoils dough stops growing below this water activity: about 17 % water in durum. Source: tables of predictive microbiology, for staphylococci. */
export const GROWS_OVER_AW = 0.86
/** It grows as the square of the degrees above this (the square-root model of predictive microbiology); hours are told as at 20 °C. */
const GROWS_FROM_C = 7
const TOLD_AT_C = 20
/** How fast it grows at this heat, against 20 °C. @example growsAt(30) → 3.1 */
export const growsAt = (celsius: number): number =>
  (Math.max(0, celsius - GROWS_FROM_C) / (TOLD_AT_C - GROWS_FROM_C)) ** 2

/** Wet basis: the middle's lag is looked at as the mean passes this. */
export const LAGS_FROM = 0.18
const LAGS_FROM_X = dryBasis(LAGS_FROM)
const HOUR_S = 3600
const DAY_H = 24
const LATENT_J_PER_KG = 2.45e6
const CELLS = 16
/** Share of the whole way that the mean goes in one step. */
const STRIDE = 0.02
const FIRST_S = 20
/** Coming into another air, the next step is not longer. */
const CHANGED_S = 300
const LONGEST_STEP_S = 2 * HOUR_S
/** However steep it is, a run comes to its end. */
const LEAST_STEP_S = 1
/** Weight of a step's end: more than half damps what is stiff, little more keeps second order's small error. A new front is followed by its end alone. */
const LATE = 0.55
const DAMPED_STEPS = 4
const NEWTON_ROUNDS = 6
/** A piece is cooler than the air by no more than a wet thermometer can be. */
const COOLED_C = { least: -5, most: 25 }

/** A piece of a tray in one world: what does not change as it dries. */
interface Piece {
  readonly tray: Tray
  readonly world: World
  readonly body: Body
  readonly start: number
  readonly target: number
  readonly diffuses: number
  readonly falls: number
  readonly shrinks: number
  readonly nearer: number
  readonly isotherm: number
  readonly radiant: number
  readonly exchange: number
  /** Room of the piece at its start, per dry matter, cm³/g. */
  readonly room: number
  readonly growsOver: number
  readonly stride: number
}

/** An air as a world has it. */
export interface Felt {
  readonly celsius: number
  readonly rh: number
  readonly heat: number
  /** Vapour through the face, kg/(m²·s·Pa). */
  readonly carried: number
}

/** A run under way in a world. Moistures dry basis. */
export interface WorldRun {
  readonly piece: Piece
  readonly x: Float64Array
  /** Through the face outside each cell at the end of the step before, in moisture × volume a second. */
  readonly flows: Float64Array
  seconds: number
  mean: number
  surface: number
  core: number
  cooled: number
  step: number
  /** Since the air last changed. */
  steps: number
  felt: Felt | null
  reachedS: number | null
  lagAt18: number | null
  warmWetS: number
  coreWetS: number
  growthS: number
}

export function startIn(tray: Tray, world: World): WorldRun {
  const start = dryBasis(Math.min(0.95, Math.max(0.01, tray.startMoisture + START * world[AT.start]!)))
  const target = dryBasis(tray.targetMoisture)
  const isotherm = Math.exp(ISOTHERM * world[AT.isotherm]!)
  const { usual, sd } = NEARER[tray.geometry]
  return {
    piece: {
      tray,
      world,
      body: bodyOf(tray.geometry, (tray.halfThicknessMm / 1000) * Math.exp(THICKNESS * world[AT.thickness]!), CELLS),
      start,
      target,
      diffuses: Math.exp(rateOf(world)),
      falls: Math.max(0, FALLS.usual + FALLS.sd * world[AT.falls]!),
      shrinks: Math.min(1, Math.max(0, SHRINKS.usual + SHRINKS.sd * world[AT.shrinks]!)),
      nearer: usual + sd * world[AT.closes]!,
      isotherm,
      radiant: Math.max(0, RADIANT.usual + RADIANT.sd * world[AT.radiant]!) * tray.exposure,
      exchange: REACHED * tray.exposure * tray.model.scaleK * Math.exp(EXCHANGE * world[AT.exchange]!),
      room: 1 / SOLIDS_G_PER_CM3 + start,
      growsOver: isotherm * equilibrium(100 * GROWS_OVER_AW, TOLD_AT_C),
      stride: STRIDE * Math.max(Math.abs(start - target), 0.02),
    },
    x: new Float64Array(CELLS).fill(start),
    flows: new Float64Array(CELLS),
    seconds: 0,
    mean: start,
    surface: start,
    core: start,
    cooled: 0,
    step: FIRST_S,
    steps: 0,
    felt: null,
    reachedS: start <= target ? 0 : null,
    lagAt18: null,
    warmWetS: 0,
    coreWetS: 0,
    growthS: 0,
  }
}

/** Another run that goes its own way from here. */
export const copyOf = (run: WorldRun): WorldRun => ({
  ...run,
  x: Float64Array.from(run.x),
  flows: Float64Array.from(run.flows),
})

/** An air of the tray as the run's world has it; the same object is the same air, and a run goes on in it without a new beginning. */
export function feltIn({ piece }: WorldRun, { temperatureC, rhPercent, air, open = 1 }: AirFrom): Felt {
  const celsius = temperatureC + WARMTH_C * piece.world[AT.warmth]!
  return {
    celsius,
    rh: rhPercent + HUMIDITY * piece.world[AT.humidity]!,
    heat: HEAT_W_PER_M2_K[air] * piece.exchange * open,
    carried: vapourKgPerM2SPa(air, celsius) * piece.exchange * open,
  }
}

/** A tray turned over: what lay closed becomes its face. The cells are finer at the face, so each takes what lay where it now lies. */
export function turnIn(run: WorldRun): void {
  const { x } = run
  const { radiusM, volumes: widths } = run.piece.body
  const before = Float64Array.from(x)
  const within = (depth: number): number => {
    let [sum, edge] = [0, 0]
    for (let n = 0; n < before.length && edge < depth; n += 1) {
      sum += before[n]! * Math.min(widths[n]!, depth - edge)
      edge += widths[n]!
    }
    return sum
  }
  let edge = 0
  for (let n = 0; n < x.length; n += 1) {
    x[n] = (within(radiusM - edge) - within(radiusM - edge - widths[n]!)) / widths[n]!
    edge += widths[n]!
  }
  run.surface = x[x.length - 1]!
  run.felt = null
}

/** Room for the sums of a step; one step is done before the next begins. */
const sweep = new Float64Array(CELLS)
const pivots = new Float64Array(CELLS)
const given = new Float64Array(CELLS)
const LAST = CELLS - 1

/** The surface at which as much comes from within, (from − surface) / resistance, as the air takes. Newton's method. */
function surfaceOf(guess: number, from: number, resistance: number, pull: number, rises: number, rh: number): number {
  let value = Math.max(guess, 1e-3)
  for (let round = 0; round < NEWTON_ROUNDS; round += 1) {
    const powered = value ** (DURUM.n - 1)
    const dry = Math.exp(-rises * powered * value)
    const over = value - from + resistance * pull * (1 - dry - rh)
    const next = Math.max(value / 4, value - over / (1 + resistance * pull * dry * rises * DURUM.n * powered))
    const moved = Math.abs(next - value)
    value = next
    if (moved < 1e-5) break
  }
  return value
}

/** −ln(1 − u), to a thousandth where no piece shrinks by more than half; a logarithm for each face would be a quarter of the time. */
const drawnTogether = (u: number): number => (u > 0 ? u * (1 + u * (1 / 2 + u * (1 / 3 + u * (1 / 4 + u * 0.29)))) : 0)

/** How much easier water passes a layer of this moisture than one of the tables, as it falls and draws together. */
const eased = ({ falls, nearer, shrinks, start, room }: Piece, moisture: number): number =>
  Math.exp(falls * (moisture - FALLS_FROM) + nearer * drawnTogether((shrinks * (start - moisture)) / room))

/** One step of `dt` seconds in an air. */
function stepOn(run: WorldRun, felt: Felt, dt: number): void {
  const { piece, x, flows } = run
  const { body, start, shrinks, isotherm, room, tray, world } = piece
  const { volumes, conductances } = body
  const angle = (2 * Math.PI * (run.seconds + dt / 2)) / HOUR_S / DAY_H
  const swing = SWING_RH * (world[AT.morning]! * Math.cos(angle) + world[AT.noon]! * Math.sin(angle))
  const celsius = felt.celsius + SWING_C_PER_RH * swing
  const rh = Math.min(0.99, Math.max(0.02, (felt.rh + swing) / 100))
  const pressure = saturationPa(celsius)
  const pieceC = celsius - run.cooled
  const dryKgPerM3 = 1000 / room

  const within = piece.diffuses * diffusivityAt(tray.model, pieceC)
  // The pull of the air is less by what the cooling takes away, by the slope of the pressure half way.
  const slope = run.cooled > 0.01 ? (pressure - saturationPa(pieceC)) / run.cooled : 0.06 * pressure
  const warmth = felt.heat + piece.radiant
  const wetness = waterActivity(run.surface / isotherm, pieceC)
  const slowed = 1 + (felt.carried * wetness * slope * LATENT_J_PER_KG) / warmth
  const left = 1 - (shrinks * (start - run.mean)) / room
  const pull = (felt.carried * pressure * left ** SMALLER[tray.geometry]) / slowed / dryKgPerM3
  const rises = DURUM.k * (pieceC + DURUM.c) * (100 / isotherm) ** DURUM.n

  const late = run.steps < DAMPED_STEPS ? 1 : LATE
  const early = (1 - late) * dt
  const stage = late * dt
  let inner = 0
  for (let n = 0; n <= LAST; n += 1) {
    const outer = n === LAST ? 0 : stage * conductances[n]! * within * eased(piece, (x[n]! + x[n + 1]!) / 2)
    const pivot = volumes[n]! + inner + outer - (n > 0 ? inner * sweep[n - 1]! : 0)
    const gained = early * ((n > 0 ? flows[n - 1]! : 0) - flows[n]!)
    given[n] = (volumes[n]! * x[n]! + gained + (n > 0 ? inner * given[n - 1]! : 0)) / pivot
    sweep[n] = outer / pivot
    pivots[n] = pivot
    inner = outer
  }
  // The last cell still lacks what leaves.
  const response = (stage * body.area) / pivots[LAST]!
  const resistance = body.skinM / (within * eased(piece, (x[LAST]! + run.surface) / 2)) + response
  const from = given[LAST]!
  run.surface = surfaceOf(run.surface, from, resistance, pull, rises, rh)
  const leaves = (from - run.surface) / resistance
  let above = from - response * leaves
  let sum = volumes[LAST]! * above
  flows[LAST] = body.area * leaves
  x[LAST] = above
  for (let n = LAST - 1; n >= 0; n -= 1) {
    const value = given[n]! + sweep[n]! * above
    flows[n] = (sweep[n]! * pivots[n]! * (value - above)) / stage
    x[n] = value
    sum += volumes[n]! * value
    above = value
  }
  run.cooled = Math.max(COOLED_C.least, Math.min(COOLED_C.most, (leaves * dryKgPerM3 * LATENT_J_PER_KG) / warmth))
  watch(run, sum / body.volume, dt, pieceC)
}

/** What is looked for as it dries. */
function watch(run: WorldRun, mean: number, dt: number, pieceC: number): void {
  const { body, target, growsOver } = run.piece
  const [inner, outer] = [body.centresM[0]! ** 2, body.centresM[1]! ** 2]
  run.core = run.x[0]! - ((run.x[1]! - run.x[0]!) * inner) / (outer - inner)
  run.seconds += dt
  run.steps += 1
  const grows = growsAt(pieceC)
  if (grows > 0 && mean > growsOver) run.warmWetS += dt
  if (grows > 0 && run.core > growsOver) {
    run.coreWetS += dt
    run.growthS += dt * grows
  }
  if (run.reachedS === null && mean <= target) run.reachedS = run.seconds - (dt * (target - mean)) / (run.mean - mean)
  if (run.lagAt18 === null && run.mean > LAGS_FROM_X && mean <= LAGS_FROM_X) run.lagAt18 = run.core - run.surface
  const moved = Math.abs(mean - run.mean)
  run.mean = mean
  run.step = Math.max(LEAST_STEP_S, dt * Math.min(1.6, Math.max(0.3, run.piece.stride / Math.max(moved, 1e-9))))
}

/** Goes on in one air until so many hours are over, or until `stop` says so after a step. */
export function goOnIn(run: WorldRun, felt: Felt, untilH: number, stop?: () => boolean): void {
  const untilS = untilH * HOUR_S
  if (run.felt !== felt) {
    run.step = Math.min(run.step, run.felt ? CHANGED_S : FIRST_S)
    run.steps = 0
    run.felt = felt
  }
  while (run.seconds < untilS - 1e-6) {
    const { step } = run
    const dt = Math.min(step, LONGEST_STEP_S, untilS - run.seconds)
    stepOn(run, felt, dt)
    // A step cut short by its end says nothing against a longer one.
    if (dt < step) run.step = Math.max(run.step, step)
    if (stop?.()) return
  }
}

export interface Course {
  /** Null when it does not get there within the time looked at. */
  readonly hoursToTarget: number | null
  /** Core less surface, dry basis, as the mean passes 18 % on its way down; null where it does not. */
  readonly lagAt18: number | null
  /** Hours warm enough and wet enough for what spoils dough to grow: by its mean, and in its very middle. */
  readonly warmWetH: number
  readonly coreWetH: number
  /** As many hours as those of the middle are at 20 °C. */
  readonly growthH: number
  readonly world: World
  readonly start: number
  /** Hours and dry-basis moistures, in order, from 0 to where the run ends. */
  readonly h: readonly number[]
  readonly mean: readonly number[]
  readonly surface: readonly number[]
  readonly core: readonly number[]
}

/** A tray from its start through its airs and turns, as far as it is told to go. */
function throughIn(tray: Tray, run: WorldRun, untilH: number, stop?: () => boolean): void {
  const airs = tray.climate.map((air) => feltIn(run, air))
  const turns = tray.turnsH ?? []
  let turned = 0
  for (const [n, felt] of airs.entries()) {
    const endH = Math.min(untilH, tray.climate[n + 1]?.fromH ?? untilH)
    for (let turnH = turns[turned]; turnH !== undefined && turnH < endH; turnH = turns[turned]) {
      goOnIn(run, felt, turnH, stop)
      if (stop?.()) return
      turnIn(run)
      turned += 1
    }
    goOnIn(run, felt, endH, stop)
    if (stop?.()) return
  }
}

/** The run of a tray in a world at this hour, to go on from. */
export function runIn(tray: Tray, world: World, untilH: number): WorldRun {
  const run = startIn(tray, world)
  if (untilH > 0) throughIn(tray, run, untilH)
  return run
}

/** The course of a tray in a world: to its target and past `atLeastH`, or so far as is looked. */
export function courseIn(tray: Tray, world: World, atLeastH: number, maxH: number): Course {
  const run = startIn(tray, world)
  const h = [0]
  const [mean, surface, core] = [[run.mean], [run.surface], [run.core]]
  const written = () => {
    const hour = run.seconds / HOUR_S
    if (hour > h.at(-1)!) {
      h.push(hour)
      mean.push(run.mean)
      surface.push(run.surface)
      core.push(run.core)
    }
    return run.reachedS !== null && hour >= atLeastH
  }
  if (!written()) throughIn(tray, run, Math.max(maxH, atLeastH), written)
  const reachedH = run.reachedS === null ? null : run.reachedS / HOUR_S
  return {
    hoursToTarget: reachedH === null || reachedH > maxH ? null : reachedH,
    lagAt18: run.lagAt18,
    warmWetH: run.warmWetS / HOUR_S,
    coreWetH: run.coreWetS / HOUR_S,
    growthH: run.growthS / HOUR_S,
    world,
    start: run.piece.start,
    h,
    mean,
    surface,
    core,
  }
}

function at(h: readonly number[], values: readonly number[], hour: number): number {
  let [low, high] = [0, h.length - 1]
  if (hour >= h[high]!) return values[high]!
  while (high - low > 1) {
    const middle = (low + high) >> 1
    if (h[middle]! <= hour) low = middle
    else high = middle
  }
  const share = (hour - h[low]!) / (h[high]! - h[low]!)
  return values[low]! + share * (values[high]! - values[low]!)
}

/** A course at this hour: wet basis, of the whole piece, at its surface and in its middle. */
export const pointAt = (course: Course, hour: number): DryingPoint => ({
  h: hour,
  moisture: wetBasis(at(course.h, course.mean, hour)),
  surface: wetBasis(at(course.h, course.surface, hour)),
  core: wetBasis(at(course.h, course.core, hour)),
})
/** What a scale shows of a course at this hour, of so many grams laid on the tray. */
export const gramsAt = (course: Course, hour: number, laidG: number): number =>
  (laidG / (1 + course.start)) * (1 + at(course.h, course.mean, hour))

/** The moisture through one piece, wet basis, from the middle out, at these hours in order; `depths` as shares of the half thickness. */
export function profilesIn(tray: Tray, world: World, hours: readonly number[]): Profiles {
  const { centresM, radiusM } = startIn(tray, world).piece.body
  return {
    depths: Array.from(centresM, (r) => r / radiusM),
    at: hours.map((h) => ({ h, moisture: Array.from(runIn(tray, world, h).x, wetBasis) })),
  }
}

export interface Profile {
  readonly h: number
  /** Wet basis, from the middle to the surface. */
  readonly moisture: readonly number[]
}
export interface Profiles {
  /** Where the cells lie, as shares of the half thickness. */
  readonly depths: readonly number[]
  readonly at: readonly Profile[]
}
