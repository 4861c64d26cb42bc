/**
 * Diffusion through a slab, a cylinder or a sphere: finite volumes in space, TR-BDF2 in time (second order, damps what is
 * stiff), with steps as long as the error allows. What leaves through the surface may depend on the surface in any way that
 * rises with it; the rest is linear, so each stage is one sweep through the cells and one equation in one unknown.
 * Source of the scheme and its error: Bank and others, "Transient simulation of silicon devices and circuits" (1985).
 */
import type { Body } from './body.ts'

/** What leaves through the surface, in value × m/s, by the value at the surface. */
export interface Surface {
  readonly flux: (value: number) => number
  /** Of the flux by the value; not negative. */
  readonly slope: (value: number) => number
}
/** The surface is kept at a value, as that of a piece in plenty of hot water. */
export interface Held {
  readonly held: number
}

const GAMMA = 2 - Math.SQRT2
/** Shares of the three rates in a step; the last is also that of each stage. */
const EARLY = Math.SQRT2 / 4
const LATE = GAMMA / 2
const FROM_MIDDLE = 1 / (GAMMA * (2 - GAMMA))
const FROM_START = (1 - GAMMA) ** 2 / (GAMMA * (2 - GAMMA))
const ERROR = (2 * (-3 * GAMMA ** 2 + 4 * GAMMA - 2)) / (12 * (2 - GAMMA))

/** Error of a step that is let through, against the whole of what may change. */
const TOLERANCE = 2e-5
const NEWTON_ROUNDS = 60

/** A run under way: the values of the cells, what has left, and room for the sums of a step. */
export interface Run {
  readonly body: Body
  /** Value of each cell. */
  readonly values: Float64Array
  /** Seconds since the start. */
  timeS: number
  surface: number
  /** Through the surface now, value × m/s; negative when it comes in. */
  flux: number
  /** Through the whole surface since the start, value × volume of the body's own units. */
  left: number
  /** Length of the next step to try, s. */
  stepS: number
  /** What it is in, and its diffusivity there; null before it is in anything. */
  outside: Surface | Held | null
  diffusivity: number
  readonly scratch: Scratch
}

interface Scratch {
  readonly rates: Float64Array
  readonly middle: Float64Array
  readonly middleRates: Float64Array
  readonly next: Float64Array
  readonly nextRates: Float64Array
  readonly given: Float64Array
  readonly sweep: Float64Array
  readonly pivots: Float64Array
  readonly error: Float64Array
}

/** A run that starts evenly at `value`. */
export function startRun(body: Body, value: number): Run {
  const room = () => new Float64Array(body.volumes.length)
  return {
    body,
    values: room().fill(value),
    timeS: 0,
    surface: value,
    flux: 0,
    left: 0,
    stepS: Infinity,
    outside: null,
    diffusivity: 0,
    scratch: {
      rates: room(),
      middle: room(),
      middleRates: room(),
      next: room(),
      nextRates: room(),
      given: room(),
      sweep: room(),
      pivots: room(),
      error: room(),
    },
  }
}

/** Mean over the volume. */
export function meanOf({ body, values }: Run): number {
  let sum = 0
  for (let n = 0; n < values.length; n += 1) sum += body.volumes[n]! * values[n]!
  return sum / body.volume
}

/** In the very middle: a parabola through the two innermost cells, flat at the middle. */
export function centreOf({ body, values }: Run): number {
  const inner = body.centresM[0]! ** 2
  const outer = body.centresM[1]! ** 2
  return values[0]! - ((values[1]! - values[0]!) * inner) / (outer - inner)
}

/**
 * The value at the surface where what comes from within, (from − surface) / resistance, is what leaves.
 * Newton's method, kept between the bounds that a rising flux gives.
 */
function surfaceValue(outside: Surface | Held, from: number, resistance: number, guess: number): number {
  if ('held' in outside) return outside.held
  let low = -Infinity
  let high = Infinity
  let value = guess
  for (let round = 0; round < NEWTON_ROUNDS; round += 1) {
    const over = value - from + resistance * outside.flux(value)
    if (over > 0) high = value
    else low = value
    const next = value - over / (1 + resistance * outside.slope(value))
    const kept = next > low && next < high ? next : Number.isFinite(low + high) ? (low + high) / 2 : next
    if (Math.abs(kept - value) <= 1e-14 * (1 + Math.abs(value))) return kept
    value = kept
  }
  return value
}

/** Rates of change of the cells as they stand, value/s, and the flux that goes with them. */
function ratesNow(run: Run, diffusivity: number, outside: Surface | Held): void {
  const { body, values, scratch } = run
  const last = values.length - 1
  const resistance = body.skinM / diffusivity
  run.surface = surfaceValue(outside, values[last]!, resistance, run.surface)
  run.flux = (values[last]! - run.surface) / resistance
  let inward = 0
  for (let n = 0; n < last; n += 1) {
    const outward = diffusivity * body.conductances[n]! * (values[n]! - values[n + 1]!)
    scratch.rates[n] = (inward - outward) / body.volumes[n]!
    inward = outward
  }
  scratch.rates[last] = (inward - body.area * run.flux) / body.volumes[last]!
}

/** The cells' matrix for a stage, eliminated once for both. */
function eliminate({ body, scratch }: Run, weight: number): void {
  const { volumes, conductances } = body
  const { sweep, pivots } = scratch
  let within = 0
  for (let n = 0; n < volumes.length; n += 1) {
    const outer = weight * conductances[n]!
    const pivot = volumes[n]! + within + outer - (n > 0 ? within * sweep[n - 1]! : 0)
    pivots[n] = pivot
    sweep[n] = outer / pivot
    within = outer
  }
}

/** One stage: `into` such that (into − given) / stage is its rate. Gives the value at the surface. */
function solveStage(
  { body, scratch }: Run,
  weight: number,
  stageS: number,
  diffusivity: number,
  outside: Surface | Held,
  into: Float64Array,
  guess: number,
): number {
  const { volumes, conductances, area, skinM } = body
  const { given, sweep, pivots } = scratch
  const last = volumes.length - 1
  for (let n = 0; n <= last; n += 1) {
    const before = n > 0 ? weight * conductances[n - 1]! * into[n - 1]! : 0
    into[n] = (volumes[n]! * given[n]! + before) / pivots[n]!
  }
  // The last cell still lacks what leaves: it stands at `into − response · flux`.
  const response = (stageS * area) / pivots[last]!
  const resistance = skinM / diffusivity + response
  const surface = surfaceValue(outside, into[last]!, resistance, guess)
  into[last] = into[last]! - (response * (into[last]! - surface)) / resistance
  for (let n = last - 1; n >= 0; n -= 1) into[n] = into[n]! + sweep[n]! * into[n + 1]!
  return surface
}

/**
 * Goes on to `untilS` under one outside and one diffusivity (m²/s). `scale` is the size of what may change, for the error.
 * After every step `onStep` is told when the step began; the run itself is then at its end. It stops where that says true.
 */
export function advance(
  run: Run,
  untilS: number,
  diffusivity: number,
  outside: Surface | Held,
  scale: number,
  onStep?: (fromS: number) => boolean | void,
): void {
  const { body, values, scratch } = run
  const { rates, middle, middleRates, next, nextRates, given, error } = scratch
  const cells = values.length
  if (run.timeS >= untilS) return
  if (run.outside !== outside || run.diffusivity !== diffusivity) {
    // A new outside sets off a new front: it is followed from its beginning.
    ratesNow(run, diffusivity, outside)
    run.outside = outside
    run.diffusivity = diffusivity
    run.stepS = Math.min(run.stepS, body.skinM ** 2 / diffusivity)
  }
  while (run.timeS < untilS) {
    const fromS = run.timeS
    const restS = untilS - fromS
    const isLast = run.stepS >= restS * (1 - 1e-9)
    const stepS = isLast ? restS : run.stepS > restS / 2 ? restS / 2 : run.stepS
    const stageS = LATE * stepS
    const weight = stageS * diffusivity
    eliminate(run, weight)
    for (let n = 0; n < cells; n += 1) given[n] = values[n]! + stageS * rates[n]!
    const middleSurface = solveStage(run, weight, stageS, diffusivity, outside, middle, run.surface)
    for (let n = 0; n < cells; n += 1) {
      middleRates[n] = (middle[n]! - given[n]!) / stageS
      given[n] = FROM_MIDDLE * middle[n]! - FROM_START * values[n]!
    }
    const nextSurface = solveStage(run, weight, stageS, diffusivity, outside, next, middleSurface)
    for (let n = 0; n < cells; n += 1) {
      nextRates[n] = (next[n]! - given[n]!) / stageS
      given[n] =
        ERROR * stepS * (rates[n]! / GAMMA - middleRates[n]! / (GAMMA * (1 - GAMMA)) + nextRates[n]! / (1 - GAMMA))
    }
    // The stiff part of the error is damped as the step itself damps it.
    solveStage(run, weight, stageS, diffusivity, { held: 0 }, error, 0)
    let squares = 0
    for (let n = 0; n < cells; n += 1) squares += body.volumes[n]! * error[n]! ** 2
    const size = Math.sqrt(squares / body.volume) / (scale * TOLERANCE)
    if (size > 1) {
      run.stepS = stepS * Math.max(0.2, 0.9 * size ** (-1 / 3))
      continue
    }
    const middleFlux = ((middle[cells - 1]! - middleSurface) * diffusivity) / body.skinM
    const nextFlux = ((next[cells - 1]! - nextSurface) * diffusivity) / body.skinM
    run.left += stepS * body.area * (EARLY * (run.flux + middleFlux) + LATE * nextFlux)
    values.set(next)
    rates.set(nextRates)
    run.surface = nextSurface
    run.flux = nextFlux
    run.timeS = isLast ? untilS : fromS + stepS
    const longer = stepS * Math.min(4, 0.9 * Math.max(size, 1e-6) ** (-1 / 3))
    // A step cut short by its end says nothing against a longer one.
    run.stepS = isLast ? Math.max(longer, run.stepS) : longer
    if (onStep?.(fromS)) return
  }
}
